import { escaped } from '../core/shared/escaped';

/** The page where a device is let in: a code that is read off the screen of the machine, and a name to know it by. */
export const pairPage = ({ code, says }: { code: string; says: string }): string => `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Let this device in · Evarn</title>
<style>
:root{color-scheme:light dark}
body{font:17px/1.45 system-ui,sans-serif;margin:0;padding:1.5rem;max-width:28rem}
label{display:block;margin:1rem 0 .3rem}
input,button{font:inherit;width:100%;box-sizing:border-box;min-height:3rem;padding:.4rem .8rem}
input[name=code]{font-family:ui-monospace,monospace;letter-spacing:.15em;text-transform:uppercase}
button{margin-top:1.2rem;font-weight:600}
</style>
</head>
<body>
<main>
<h1>Let this device in</h1>
<p>The code is on the machine that runs Evarn: in its terminal, and in its settings. It changes after a quarter of an hour.</p>
<p role="alert">${escaped(says)}</p>
<form method="post" action="/pair">
<label for="code">Code</label>
<input id="code" name="code" value="${escaped(code.slice(0, 20))}" autocomplete="off" autocapitalize="characters" required>
<label for="name">A name to know this device by</label>
<input id="name" name="name" maxlength="60" value="Phone">
<button>Let it in</button>
</form>
</main>
</body>
</html>
`;
