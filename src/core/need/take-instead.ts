import {
  changed,
  joinDiffs,
  lotKey,
  placeOf,
  removed,
  written,
  zoneOf,
  type Command,
  type Diff,
} from '../ledger';
import { elementName, splitElementKey, type ElementKey } from '../parts';
import type { Entry, Movement } from '../records';
import type { Workbench } from '../workbench';
import type { NeedLot } from './need';

/** What each planned entry lacks of a lot: pieces by its movements. */
function lackingBy(lot: NeedLot): Map<string, Map<number, number>> {
  const by = new Map<string, Map<number, number>>();
  for (const s of lot.sources) {
    if (s.movement === null) continue;
    const of = by.get(s.entry) ?? new Map<number, number>();
    of.set(s.movement, (of.get(s.movement) ?? 0) + s.qty);
    by.set(s.entry, of);
  }
  return by;
}

/** Entries changed by what is done to so many pieces of each of their movements that lack something. */
function changeLacking(
  workbench: Workbench,
  lot: NeedLot,
  change: (entry: Entry, lacking: ReadonlyMap<number, number>) => Diff,
): Diff {
  return joinDiffs(
    ...[...lackingBy(lot)].map(([id, lacking]) => {
      const entry = workbench.records.entry.get(id);
      return entry ? change(entry, lacking) : joinDiffs();
    }),
  );
}

/**
 * Takes another element for what plans lack of one: the near colour for the one that is not available. What the plans have
 * of it already stays as it is; what takes its place is to be bought at the price book's price.
 */
export function takeInstead(workbench: Workbench, lot: NeedLot, to: ElementKey): Command {
  const diff = changeLacking(workbench, lot, (entry, lacking) => {
    const movements = entry.movements.flatMap((m, i): Movement[] => {
      const n = Math.min(m.qty, lacking.get(i) ?? 0);
      if (n === 0) return [m];
      const from = placeOf(m.from) === 'outside' ? m.from : ('outside' as Movement['from']);
      const instead = { ...m, element: to, qty: n, from, worth: workbench.priceOf(to, m.grade) };
      return n < m.qty ? [{ ...m, qty: m.qty - n }, instead] : [instead];
    });
    return changed('entry', entry, { movements });
  });
  return { label: `take ${elementName(to)} instead`, diff };
}

/**
 * Leaves what plans lack of a lot as it is: those pieces are out of the plans, with what they would have replaced, and where
 * they would have been recoloured it is noted why the old colour stays.
 */
export function leaveNoted(workbench: Workbench, lot: NeedLot, reason: string): Command {
  const noted = new Map<string, Diff>();
  const diff = changeLacking(workbench, lot, (entry, lacking) => {
    let away = [...lacking.values()].reduce((s, n) => s + n, 0);
    const isPair = ['recolour', 'renew', 'replacement', 'swap'].includes(entry.kind);
    const movements = entry.movements.flatMap((m, i): Movement[] => {
      const less = lacking.get(i) ?? 0;
      if (less > 0) return less < m.qty ? [{ ...m, qty: m.qty - less }] : [];
      const zone = zoneOf(m.from);
      if (!isPair || !zone || away === 0) return [m];
      const n = Math.min(away, m.qty);
      away -= n;
      const id = lotKey(zone, m.element);
      const record = { id, build: workbench.build, zone, element: m.element, reason };
      if (entry.kind === 'recolour')
        noted.set(id, written('leftMismatch', workbench.records.leftMismatch.get(id), record));
      return n < m.qty ? [{ ...m, qty: m.qty - n }] : [];
    });
    // What a swap would have put in is all that it was for.
    const nothing = movements.length === 0 || !movements.some((m) => placeOf(m.to) === 'model');
    return nothing ? removed('entry', entry) : changed('entry', entry, { movements });
  });
  const { part, colour } = splitElementKey(lot.element);
  return { label: `leave ${part} ${colour} out`, diff: joinDiffs(diff, ...noted.values()) };
}
