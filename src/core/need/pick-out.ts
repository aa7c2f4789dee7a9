import { transferOf, type Workbench } from '../workbench';
import type { Command, Source } from '../ledger';
import { added, changed, joinDiffs, type Diff } from '../ledger';
import { sparesAccount } from '../places';
import type { Movement } from '../records';
import type { PickLine } from './pick-list';

/**
 * Takes a line of the pick list in hand: its pieces go from the tray or box to the build's spares, and the plans take them
 * from there. So what was picked is this build's, and no other build's plan can count on it. Lines of the spares are in hand
 * already.
 */
export function pickOut(workbench: Workbench, line: PickLine, source: Source): Command {
  if (line.place === 'spares') return { label: 'pick nothing', diff: joinDiffs() };
  const spares = sparesAccount(workbench.build);
  let left = line.qty;
  const diffs: Diff[] = [];
  for (const id of line.entries) {
    const entry = workbench.records.entry.get(id);
    if (!entry) continue;
    const movements = entry.movements.flatMap((m): Movement[] => {
      if (m.from !== line.account || m.element !== line.element || m.grade !== line.grade) return [m];
      const n = Math.min(m.qty, left);
      left -= n;
      if (n === 0) return [m];
      const taken = { ...m, qty: n, from: spares };
      return n < m.qty ? [taken, { ...m, qty: m.qty - n }] : [taken];
    });
    diffs.push(changed('entry', entry, { movements }));
  }
  const { element, grade, qty } = line;
  const movement = { element, grade, qty, from: line.account, to: spares, worth: null };
  return {
    label: `pick ${qty}`,
    diff: joinDiffs(added('entry', transferOf(workbench, [movement], 'picked', source)), ...diffs),
  };
}
