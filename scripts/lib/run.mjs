import { spawn } from 'node:child_process';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

/** The folder of the project, wherever a command was given. */
export const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '../..');

const QUIET = { NEXT_TELEMETRY_DISABLED: '1', PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD: '1' };

/**
 * Runs a program in the project's folder, with no shell between: names with spaces stay whole on every system.
 *
 * @returns its exit code; 1 where it could not be started or was ended by a signal
 */
export function run(program, args, { env = {}, stdio = 'inherit' } = {}) {
  return new Promise((resolve) => {
    const child = spawn(program, args, { cwd: ROOT, stdio, env: { ...process.env, ...QUIET, ...env } });
    const pass = (signal) => child.kill(signal);
    for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, pass);
    child.on('error', (error) => {
      console.error(`${program} could not be started: ${error.message}`);
      resolve(1);
    });
    child.on('close', (code) => {
      for (const signal of ['SIGINT', 'SIGTERM']) process.off(signal, pass);
      resolve(code ?? 1);
    });
  });
}

/** Programs of packages, by the file that Node runs: what npm puts into .bin is written for one system's shell. */
export const PROGRAM = {
  next: 'node_modules/next/dist/bin/next',
  tsx: 'node_modules/tsx/dist/cli.mjs',
  eslint: 'node_modules/eslint/bin/eslint.js',
  prettier: 'node_modules/prettier/bin/prettier.cjs',
  // A third of the time of the one in JavaScript, which eslint and Next read.
  tsc: 'node_modules/typescript-native/bin/tsc',
  knip: 'node_modules/knip/bin/knip.js',
  vitest: 'node_modules/vitest/vitest.mjs',
  playwright: 'node_modules/@playwright/test/cli.js',
  stryker: 'node_modules/@stryker-mutator/core/bin/stryker.js',
};

/** Runs a package's program with this Node. */
export const node = (program, args = [], how = {}) =>
  run(process.execPath, [PROGRAM[program] ?? program, ...args], how);

/** Runs npm: the one that started this command, or the one on the path. */
export function npm(args, how = {}) {
  const cli = process.env.npm_execpath;
  if (cli?.endsWith('.js') || cli?.endsWith('.cjs')) return run(process.execPath, [cli, ...args], how);
  // On Windows npm is a script of the shell, which starts it; its arguments here are fixed words.
  return process.platform === 'win32'
    ? run('cmd.exe', ['/d', '/s', '/c', 'npm', ...args], how)
    : run('npm', args, how);
}

/** Ends the command where a step of it failed. */
export function orEnd(code) {
  if (code !== 0) process.exit(code);
}

/** Says every half minute that something still goes on, and at its end how long it took. */
export async function saying(what, work) {
  const began = Date.now();
  const tell = setInterval(() => console.log(`  … still ${what}, ${lasted(Date.now() - began)}`), 30_000);
  try {
    return await work();
  } finally {
    clearInterval(tell);
    console.log(`  ${what}: ${lasted(Date.now() - began)}`);
  }
}

/** "45 s", "3 min 5 s" */
export function lasted(ms) {
  const s = Math.round(ms / 1000);
  return s < 60 ? `${s} s` : `${Math.floor(s / 60)} min ${s % 60} s`;
}
