import { openDatabase, dataFolder } from '../src/data/database';
import { readRecords } from '../src/data/records';
import { seedDemo } from '../src/demo/seed';

/** Fills the workspace of EVARN_DATA with the demo, unless something is in it already. */
const handle = openDatabase(dataFolder(), new Date());
if (readRecords(handle.db, 'build').length === 0) {
  seedDemo(handle);
  console.log(`demo data in ${handle.file}`);
} else console.log(`${handle.file} has data already; left as it is`);
handle.sqlite.close();
