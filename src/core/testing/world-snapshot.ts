import { added, applyDiff, emptyRecordSet, joinDiffs, type Entry, type RecordSet } from '../ledger';
import type { BuildId } from '../shared/ids';
import { recordsOf, type BuildSnapshot, type Workbench } from '../workbench';
import { BUILD, COPIES, MODIFICATIONS, ORDERS, PRICES, TRAYS, ZONES } from './world';

/** The build of the made-up world with some entries, as its bench is opened with it. */
export function snapshotOf(entries: readonly Entry[]): BuildSnapshot {
  const records: RecordSet = applyDiff(
    emptyRecordSet(),
    joinDiffs(
      added('build', { id: BUILD as BuildId, name: 'House', note: '', createdAt: '', archived: false }),
      added('copy', ...COPIES.values()),
      added('zone', ...ZONES),
      added('modification', ...MODIFICATIONS),
      added('order', ...ORDERS.values()),
      added('price', ...PRICES),
      added('tray', ...TRAYS.map((id, i) => ({ id, name: id, place: '', position: i }))),
      added('entry', ...entries),
    ),
  );
  return {
    workspace: 'test',
    complete: true,
    revision: 1,
    build: BUILD,
    records: recordsOf(records),
    surroundings: [],
    plannedElsewhere: [],
    undoRedo: { undo: null, redo: null },
  };
}

/** All balances of its books, as built and as planned, in one order: to compare two benches by. */
export const balancesOf = (w: Workbench): string[][] =>
  [w.built, w.planned].map((b) =>
    b.balances
      .rows()
      .map((r) => JSON.stringify(r))
      .sort(),
  );
