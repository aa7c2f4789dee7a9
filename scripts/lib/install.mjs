import { createHash } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import { needNode } from './node-version.mjs';
import { npm, orEnd, ROOT, saying } from './run.mjs';

const STAMP = path.join(ROOT, 'node_modules/.evarn-installed');

/** Installs the packages of the lock file, and nothing when they are there already. */
export async function install() {
  orEnd(await (await fetchPackages())());
}

/**
 * Fetches the packages of the lock file, and nothing when they are there already. What this gives back compiles those that
 * must be, which is most of the wait and leaves one processor idle: what needs none of them can run beside it.
 *
 * @returns compiles, and gives the exit code
 */
export async function fetchPackages() {
  needNode();
  const want = createHash('sha256')
    .update(fs.readFileSync(path.join(ROOT, 'package-lock.json')))
    .update(process.version)
    .digest('hex');
  if (fs.existsSync(STAMP) && fs.readFileSync(STAMP, 'utf8') === want) return async () => 0;
  console.log(
    'Installing the packages. A minute or two; where SQLite must be compiled, up to ten, with no word from the compiler.',
  );
  const code = await saying('fetching the packages', () =>
    npm(['ci', '--ignore-scripts', '--no-audit', '--no-fund']),
  );
  if (code !== 0) sayNotInstalled();
  orEnd(code);
  return () => compilePackages(want);
}

async function compilePackages(want) {
  // Node's own headers, where Debian's package has put them: SQLite is compiled against them.
  const headers = fs.existsSync('/usr/include/node/node.h')
    ? { npm_package_config_node_gyp_nodedir: '/usr' }
    : {};
  // Half the wait of the compiler's most careful way, which would make SQLite itself five to ten percent quicker.
  const { CFLAGS = '-O1', CXXFLAGS = '-O1' } = process.env;
  const env = { JOBS: 'max', CFLAGS, CXXFLAGS, ...headers };
  const code = await saying('compiling', () => npm(['rebuild'], { env }));
  if (code === 0) fs.writeFileSync(STAMP, want);
  else sayNotInstalled();
  return code;
}

const sayNotInstalled = () =>
  console.error(
    'The packages could not be installed: see the lines above. Without a network, copy node_modules from a machine of the same kind; where SQLite did not compile, install a C++ compiler and Python.',
  );
