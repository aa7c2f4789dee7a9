import fs from 'node:fs';
import path from 'node:path';
import readline from 'node:readline/promises';

/**
 * Puts a demo's data aside before it begins anew: asks first, unless told not to, and keeps what was there beside it.
 *
 * @returns where it was put; null when there was nothing
 */
export async function asideDemo(folder, isSure, now = new Date()) {
  if (!fs.existsSync(folder) || fs.readdirSync(folder).length === 0) return null;
  const aside = `${folder}-before-${now.toISOString().slice(0, 19).replace(/[:T]/g, '-')}`;
  if (
    !isSure &&
    !(await agreed(`Begin the demo in ${folder} anew? What is there is kept in ${aside}. (y/n) `))
  ) {
    console.log('Left as it is.');
    process.exit(0);
  }
  fs.renameSync(folder, aside);
  console.log(
    `The demo as it was is kept in ${path.basename(aside)}. Delete that folder when you no longer want it.`,
  );
  return aside;
}

/** What a person answers; where nobody can, the answer is no. */
async function agreed(question) {
  if (!process.stdin.isTTY) {
    console.error('Nobody is there to ask: npm run demo:reset -- --yes does it without asking.');
    return false;
  }
  const ask = readline.createInterface({ input: process.stdin, output: process.stdout });
  const said = await ask.question(question);
  ask.close();
  return /^y(es)?$/i.test(said.trim());
}
