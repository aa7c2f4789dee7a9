import fs from 'node:fs';
import path from 'node:path';
import { ROOT } from './run.mjs';

/**
 * Bundles the threads that work beside the server, each from src/workers/NAME/thread.ts to .workers/NAME.mjs, since a thread is
 * started from a file. HiGHS and SQLite stay packages of their own: their WebAssembly and their compiled code lie beside them.
 */
export async function bundleThreads() {
  // Not at the top: this file is read before the packages are installed.
  const { build } = await import('esbuild');
  const from = path.join(ROOT, 'src/workers');
  const names = fs.readdirSync(from).filter((n) => fs.existsSync(path.join(from, n, 'thread.ts')));
  for (const name of names)
    await build({
      absWorkingDir: ROOT,
      entryPoints: [`src/workers/${name}/thread.ts`],
      bundle: true,
      platform: 'node',
      format: 'esm',
      target: 'node20',
      external: ['highs', 'better-sqlite3'],
      alias: { 'server-only': './src/data/testing/server-only.ts' },
      banner: {
        js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);",
      },
      outfile: `.workers/${name}.mjs`,
      logLevel: 'warning',
    });
}
