import type { Command, Source } from '../ledger';
import type { Workbench } from '../workbench';
import {
  added,
  BLANK_INTENT,
  draftEntry,
  freeAt,
  joinDiffs,
  openPlaceholders,
  type OpenPlaceholder,
} from '../ledger';
import { placeOf, zoneOf, type AccountKey } from '../places';
import type { Entry } from '../records';
import type { ElementKey } from '../parts';
import { asId, type EntryId } from '../shared/ids';
import { withAtHand } from '../stock';

/** A placeholder that was placed, and how many of the right part are at hand, counted or not, and on order. Pieces. */
export interface PlaceholderState extends OpenPlaceholder {
  readonly here: number;
  /** Own and uncounted, as far as that is roughly known. */
  readonly roughly: number;
  readonly coming: number;
}

/** Placeholders that still keep a place, and whether the right part has come. */
export function placeholdersOf(workbench: Workbench): PlaceholderState[] {
  const { kept } = workbench;
  const at = (element: ElementKey, places: readonly string[]) =>
    workbench.built.balances
      .accountKeys()
      .filter((a) => places.includes(placeOf(a)))
      .reduce((s, a) => s + freeAt(workbench.built.balances, a, element, kept), 0);
  return openPlaceholders(workbench.entries.filter((e) => e.state === 'done')).map((s) => ({
    ...s,
    here: at(s.standsFor, ['spares', 'stock']),
    roughly: withAtHand(workbench, (atHand) => atHand.countRoughly(s.standsFor)),
    coming: at(s.standsFor, ['order']),
  }));
}

/**
 * Swaps placeholders for the right part, as many as are at hand: a replacement is logged in the modification and the zone
 * where each was placed, the last placed first. Leaves the bench as it was.
 */
export function swapPlaceholders(
  workbench: Workbench,
  placeholder: OpenPlaceholder,
  source: Source,
): Command {
  const here = placeholdersOf(workbench).find(
    (s) => s.element === placeholder.element && s.standsFor === placeholder.standsFor,
  );
  const ready = here ? Math.min(here.qty, here.here + here.roughly) : 0;
  let left = ready;
  /** What is counted goes in first; the rest is one's own and uncounted. */
  let counted = Math.min(ready, here?.here ?? 0);
  const made: Entry[] = [];
  /** Which movement each replacement takes the place of. */
  const swappedOf = new Map<Entry, { entry: Entry; movement: Entry['movements'][number] }>();
  const swappedFrom = (x: Entry, m: Entry['movements'][number], e: Entry): number => {
    const of = swappedOf.get(x);
    if (of?.entry !== e || of.movement !== m) return 0;
    return x.movements.reduce((s, y) => s + (placeOf(y.to) === 'model' ? y.qty : 0), 0);
  };
  let { no } = workbench.nextEntry(null);
  const placed = workbench.entries
    .filter((e) => e.kind === 'placeholder' && e.state === 'done' && e.standsFor === placeholder.standsFor)
    .sort((a, b) => b.no - a.no);
  for (const e of placed) {
    const modification = e.modification ? workbench.records.modification.get(e.modification) : undefined;
    if (!modification) continue;
    const parts = e.movements.flatMap((m) => [
      { m, source: null },
      { m, source: 'own' as const },
    ]);
    for (const { m, source: from } of parts) {
      if (m.element !== placeholder.element || left === 0) continue;
      const there = workbench.built.balances.at(m.to as AccountKey, m.element);
      const done = made.reduce((s, x) => s + swappedFrom(x, m, e), 0);
      const qty = Math.min(left, m.qty - done, there, from === 'own' ? left - counted : counted);
      if (qty <= 0) continue;
      const entry = draftEntry(
        {
          ...BLANK_INTENT,
          kind: 'replacement',
          off: [{ element: m.element, qty }],
          on: [{ element: placeholder.standsFor, qty }],
          zone: zoneOf(m.to) ?? null,
          source: from,
          standsFor: placeholder.standsFor,
        },
        {
          id: asId<EntryId>(source.newId()),
          no: no++,
          position: workbench.nextEntry(modification.id).position + made.length,
          loggedAt: source.now,
          modification,
        },
        workbench.draftContext(),
      );
      if (!entry.ok) continue;
      left -= qty;
      if (from === null) counted -= qty;
      swappedOf.set(entry.value, { entry: e, movement: m });
      made.push(entry.value);
      workbench.built.post(entry.value);
      workbench.planned.post(entry.value);
    }
  }
  for (const e of made) {
    workbench.built.unpost(e);
    workbench.planned.unpost(e);
  }
  const n = made.reduce(
    (s, e) => s + e.movements.reduce((k, m) => k + (placeOf(m.to) === 'model' ? m.qty : 0), 0),
    0,
  );
  return {
    label: `swap ${n} ${n === 1 ? 'placeholder' : 'placeholders'}`,
    diff: made.length > 0 ? added('entry', ...made) : joinDiffs(),
  };
}
