import { spawn } from 'node:child_process';
import fs from 'node:fs';
import { build } from './lib/build.mjs';
import { CHROMIUM, PACKAGES } from './lib/chromium.mjs';
import { fetchPackages } from './lib/install.mjs';
import { node, orEnd, PROGRAM, ROOT, run } from './lib/run.mjs';

/** All tests. Installs what they need first: the packages, and a Chromium for the browser. */
const compile = await fetchPackages();
// SQLite is compiled while a browser is fetched and the program is read.
const compiled = compile();
// By itself: it may ask for a password.
const browser = await needChromium();
if (browser !== 0) {
  await compiled;
  orEnd(browser);
}

// What only reads runs two at a time; what the second says is told when it is done.
const second = aside([
  ['types', process.execPath, [PROGRAM.next, 'typegen']],
  ['types', process.execPath, [PROGRAM.tsc, '--noEmit']],
  ['imports', process.execPath, ['scripts/check-imports.mjs']],
  ['unused', process.execPath, [PROGRAM.knip]],
  ['format', process.execPath, [PROGRAM.prettier, '--check', '--log-level', 'warn', '.']],
]);
console.log('\n== lint');
const lint = await node('eslint', ['.', '--max-warnings', '0']);
const { code, said } = await second;
console.log(said);
// What was found ends nothing that is half installed.
const installed = await compiled;
for (const ended of [installed, lint, code]) orEnd(ended);
await step('unit', () => node('vitest', ['run']));
await step('build', async () => {
  await build();
  return 0;
});
await step('browser', () => node('playwright', ['test']));
console.log('\nall tests passed');

async function step(name, work) {
  console.log(`\n== ${name}`);
  orEnd(await work());
}

/** Commands one after the other, and what they said; the first that fails is the last. */
async function aside(commands) {
  let said = '';
  for (const [name, program, args] of commands) {
    said += `\n== ${name}\n`;
    const code = await new Promise((resolve) => {
      const child = spawn(program, args, { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'] });
      child.stdout.on('data', (d) => (said += d));
      child.stderr.on('data', (d) => (said += d));
      child.on('close', (c) => resolve(c ?? 1));
    });
    if (code !== 0) return { code, said };
  }
  return { code: 0, said };
}

/** Debian's Chromium is installed where it lacks; elsewhere one is named. Gives the exit code. */
async function needChromium() {
  if (fs.existsSync(CHROMIUM)) return 0;
  if (process.platform !== 'linux' || !fs.existsSync('/usr/bin/apt-get')) {
    console.error(`There is no Chromium at ${CHROMIUM}. Install one, and name its program in CHROMIUM.`);
    return 1;
  }
  const isRoot = process.getuid?.() === 0;
  const apt = (args) =>
    isRoot
      ? run('apt-get', args, { env: { DEBIAN_FRONTEND: 'noninteractive' } })
      : run('sudo', ['env', 'DEBIAN_FRONTEND=noninteractive', 'apt-get', ...args]);
  const updated = await apt(['update', '-qq']);
  if (updated !== 0) return updated;
  const [small, whole] = PACKAGES;
  const code = await apt(['install', '-y', '-qq', small]);
  return code === 0 ? 0 : apt(['install', '-y', '-qq', whole]);
}
