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
  const fault = await resetFault(folder);
  if (fault) {
    console.error(fault);
    process.exit(1);
  }
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

/** Why a folder is not begun anew: somebody's own work is in it, or a program has it open. Null = nothing speaks against it. */
async function resetFault(folder) {
  const file = path.join(folder, 'evarn.sqlite');
  if (!fs.existsSync(file)) return null;
  // Not at the top: this file is read before the packages are installed.
  const { default: Sqlite } = await import('better-sqlite3');
  const lock = path.join(folder, 'lock.sqlite');
  if (fs.existsSync(lock) && isHeld(Sqlite, lock))
    return `${folder} is open in another Evarn. Stop that first.`;
  const sqlite = new Sqlite(file, { readonly: true });
  try {
    const ids = sqlite.prepare('select id from builds').pluck().all();
    return ids.length > 0 && !ids.some((id) => /^demo-\d+$/.test(id))
      ? `${folder} holds a workspace of somebody's own, and is left as it is.`
      : null;
  } catch {
    // What can't be read is kept aside like the rest.
    return null;
  } finally {
    sqlite.close();
  }
}

/** Whether a process holds the lock of a data folder. */
function isHeld(Sqlite, lock) {
  const sqlite = new Sqlite(lock, { timeout: 0 });
  try {
    sqlite.exec('BEGIN EXCLUSIVE; ROLLBACK');
    return false;
  } catch {
    return true;
  } finally {
    sqlite.close();
  }
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
