import type { Command, Source, Workbench } from '../bench';
import {
  added,
  BLANK_INTENT,
  draftEntry,
  freeAt,
  joinDiffs,
  openStandIns,
  placeOf,
  zoneOf,
  type AccountKey,
  type Entry,
  type OpenStandIn,
} from '../ledger';
import type { ElementKey } from '../parts';
import { asId, type EntryId } from '../shared/ids';

/** A stand-in that was placed, and how many of the right part are at hand and on order. Pieces. */
export interface StandInState extends OpenStandIn {
  readonly here: number;
  readonly coming: number;
}

/** Stand-ins that still keep a place, and whether the right part has come. */
export function standInsOf(bench: Workbench): StandInState[] {
  const { kept } = bench;
  const at = (element: ElementKey, places: readonly string[]) =>
    bench.built.balances
      .accountKeys()
      .filter((a) => places.includes(placeOf(a)))
      .reduce((s, a) => s + freeAt(bench.built.balances, a, element, kept), 0);
  return openStandIns(bench.entries.filter((e) => e.state === 'done')).map((s) => ({
    ...s,
    here: at(s.standsFor, ['spares', 'stores']),
    coming: at(s.standsFor, ['order']),
  }));
}

/**
 * Swaps stand-ins for the right part, as many as are at hand: a replacement is logged in the modification and the zone
 * where each was placed, the last placed first. Leaves the bench as it was.
 */
export function swapStandIns(bench: Workbench, standIn: OpenStandIn, source: Source): Command {
  const here = standInsOf(bench).find(
    (s) => s.element === standIn.element && s.standsFor === standIn.standsFor,
  );
  let left = Math.min(here?.qty ?? 0, here?.here ?? 0);
  const made: Entry[] = [];
  let { no } = bench.nextEntry(null);
  const placed = bench.entries
    .filter((e) => e.kind === 'stand-in' && e.state === 'done' && e.standsFor === standIn.standsFor)
    .sort((a, b) => b.no - a.no);
  for (const e of placed) {
    const modification = e.modification ? bench.records.modification.get(e.modification) : undefined;
    if (!modification) continue;
    for (const m of e.movements) {
      if (m.element !== standIn.element || left === 0) continue;
      const there = bench.built.balances.at(m.to as AccountKey, m.element);
      const qty = Math.min(left, m.qty, there);
      if (qty === 0) continue;
      const entry = draftEntry(
        {
          ...BLANK_INTENT,
          kind: 'replacement',
          off: [{ element: m.element, qty }],
          on: [{ element: standIn.standsFor, qty }],
          zone: zoneOf(m.to) ?? null,
          standsFor: standIn.standsFor,
        },
        {
          id: asId<EntryId>(source.newId()),
          no: no++,
          position: bench.nextEntry(modification.id).position + made.length,
          loggedAt: source.now,
          modification,
        },
        bench.draftContext(),
      );
      if (!entry.ok) continue;
      left -= qty;
      made.push(entry.value);
      bench.built.post(entry.value);
      bench.planned.post(entry.value);
    }
  }
  for (const e of made) {
    bench.built.unpost(e);
    bench.planned.unpost(e);
  }
  const n = made.reduce(
    (s, e) => s + e.movements.reduce((k, m) => k + (placeOf(m.to) === 'model' ? m.qty : 0), 0),
    0,
  );
  return {
    label: `swap ${n} ${n === 1 ? 'stand-in' : 'stand-ins'}`,
    diff: made.length > 0 ? added('entry', ...made) : joinDiffs(),
  };
}
