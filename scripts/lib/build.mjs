import { createHash } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import { hintCompiling } from './compile-hints.mjs';
import { node, orEnd, ROOT, saying } from './run.mjs';
import { bundleThreads } from './threads.mjs';

const INTO = [
  'src',
  'scripts/lib/compile-hints.mjs',
  'scripts/lib/threads.mjs',
  'next.config.ts',
  'postcss.config.mjs',
  'package.json',
  'package-lock.json',
  'tsconfig.json',
];
const STAMP = '.next/evarn-built';
const has = (file) => fs.existsSync(path.join(ROOT, file));

/** Builds, unless nothing that goes into the build has changed since the last time. */
export async function build() {
  const want = stampOf(INTO);
  const isBuilt =
    has('.next/BUILD_ID') &&
    has('.workers/sourcing.mjs') &&
    has(STAMP) &&
    fs.readFileSync(path.join(ROOT, STAMP), 'utf8') === want;
  if (isBuilt) return;
  console.log('Building the application. A minute or two, once for each version.');
  await bundleThreads();
  orEnd(await saying('building', () => node('next', ['build'])));
  hintCompiling();
  fs.writeFileSync(path.join(ROOT, STAMP), want);
}

/** A name for what some files hold; tests go into no build. */
function stampOf(entries) {
  const hash = createHash('sha256');
  const add = (file) => {
    const full = path.join(ROOT, file);
    if (fs.statSync(full).isDirectory())
      for (const name of fs.readdirSync(full).sort()) add(path.posix.join(file, name));
    else if (!/\.test\.tsx?$/.test(file)) hash.update(file).update('\0').update(fs.readFileSync(full));
  };
  entries.forEach(add);
  return hash.digest('hex');
}
