import fs from 'node:fs';
import { troubleWords } from '../src/core/shared/trouble';
import { dataFolder } from '../src/data/database';
import { readRecords } from '../src/data/records';
import { seedDemo } from '../src/demo/seed';
import { closeWorkspace, troubleOf, workspace } from '../src/server/workspace';

/** Fills the workspace of EVARN_DATA with the demo, unless something is in it already. */
const folder = dataFolder();
try {
  fs.mkdirSync(folder, { recursive: true });
  const handle = workspace();
  if (readRecords(handle.db, 'build').length === 0) {
    seedDemo(handle);
    console.log(`demo data in ${handle.file}`);
  } else console.log(`${handle.file} has data already; left as it is`);
  closeWorkspace();
} catch (error) {
  const trouble = troubleOf(error);
  if (!trouble) throw error;
  console.error(troubleWords(trouble, folder));
  process.exitCode = 1;
}
