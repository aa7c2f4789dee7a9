import fs from 'node:fs';
import { troubleWords } from '../src/core/shared/trouble';
import { dataFolder } from '../src/data/database';
import { SETTINGS_ID } from '../src/core/records';
import { readRecord, readRecords } from '../src/data/records';
import { seedDemo } from '../src/demo/seed';
import { closeWorkspace, troubleOf, workspace } from '../src/server/workspace';

/** Fills the workspace of EVARN_DATA with the demo, unless something is in it already. */
const folder = dataFolder();
try {
  fs.mkdirSync(folder, { recursive: true });
  const handle = workspace();
  const builds = readRecords(handle.db, 'build');
  const isDemo = readRecord(handle.db, 'settings', SETTINGS_ID)?.isDemo ?? false;
  // A demo of before the mark is known by the names that its builds were given.
  if (builds.length > 0 && !isDemo && !builds.some((b) => /^demo-\d+$/.test(b.id))) {
    console.error(
      `${handle.file} holds a workspace of somebody's own, and the demo never mixes with it. Give the demo another folder: EVARN_DEMO_DATA.`,
    );
    process.exitCode = 1;
  } else if (builds.length === 0) {
    seedDemo(handle);
    console.log(`demo data in ${handle.file}`);
  } else console.log(`${handle.file} has the demo already; left as it is`);
  closeWorkspace();
} catch (error) {
  const trouble = troubleOf(error);
  if (!trouble) throw error;
  console.error(troubleWords(trouble, folder));
  process.exitCode = 1;
}
