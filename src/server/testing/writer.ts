import { writeSync } from 'node:fs';
import { openDatabase } from '@/data/database';
import { readRecords } from '@/data/records';
import { logLine, readLine, Workbench } from '@/core/workbench';
import { asId, type ActionId } from '@/core/shared/ids';
import { perform, undoOrRedo } from '../perform';
import { takeSnapshot } from '../snapshot';

/**
 * Writes to a workspace without end: logs, undoes, redoes, and says each request's id only once it is acknowledged.
 * Started by the test that kills it.
 */
const [folder = '', prefix = ''] = process.argv.slice(2);
const handle = openDatabase(folder, new Date());
const [build] = readRecords(handle.db, 'build');
if (!build) throw new Error('the test makes a build first');
const lines = [
  '+2 brick 1x2 ash, +1 tile 2x2 slate',
  '~1 arch 1x4 ash > bark @gallery',
  '-1 plate 2x3 chalk / +2 plate 2x3 bark',
  '+3 tile 2x2 slate plan',
];

for (let n = 0; ; n++) {
  const id = `${prefix}-${n}`;
  const done =
    n % 7 === 5
      ? undoOrRedo(handle, id, build.id, 'undo')
      : n % 7 === 6
        ? undoOrRedo(handle, id, build.id, 'redo')
        : write(id, n);
  if (done.ok) writeSync(1, `${id}\n`);
}

function write(id: string, n: number): ReturnType<typeof perform> {
  const snapshot = takeSnapshot(handle, build!.id);
  if (!snapshot) throw new Error('the build is gone');
  const workbench = new Workbench(snapshot);
  const modification = workbench.modifications[0];
  if (!modification) throw new Error('the test makes a modification first');
  const line = lines[n % lines.length] ?? '';
  const reading = readLine(workbench, line, { modification, planned: false });
  let k = 0;
  const command = logLine(workbench, reading, line, { newId: () => `${id}-${k++}`, now: '' });
  return perform(handle, { id: asId<ActionId>(id), scope: build!.id, ...command }, new Date());
}
