import { written, type Command } from '../ledger';
import type { Looks } from '../records';
import { splitElementKey } from '../parts';
import { placeOf } from '../places';
import type { ColourId } from '../shared/ids';
import type { Workbench } from '../workbench';

/** How a build is to look; nothing is said of it at first. */
export const looksOf = (workbench: Workbench): Looks =>
  workbench.records.looks.get(workbench.build) ?? {
    id: workbench.build,
    build: workbench.build,
    symmetry: 'not said',
    spread: 'not said',
    row: '',
    note: '',
  };

export const keepLooks = (workbench: Workbench, looks: Looks): Command => ({
  label: 'say how it is to look',
  diff: written('looks', workbench.records.looks.get(workbench.build), looks),
});

/**
 * The main colours of a build as planned: at most five, each with its share of all pieces on the model.
 *
 * @example mainColoursOf(workbench)[0] // { colour: 'ash', share: 0.42 }
 */
export function mainColoursOf(workbench: Workbench): { readonly colour: ColourId; readonly share: number }[] {
  const sums = new Map<ColourId, number>();
  let all = 0;
  for (const r of workbench.planned.balances.rows((a) => placeOf(a) === 'model')) {
    if (r.qty <= 0) continue;
    const { colour } = splitElementKey(r.element);
    sums.set(colour, (sums.get(colour) ?? 0) + r.qty);
    all += r.qty;
  }
  return [...sums]
    .map(([colour, n]) => ({ colour, share: n / all }))
    .sort((a, b) => b.share - a.share || (a.colour < b.colour ? -1 : 1))
    .slice(0, 5);
}
