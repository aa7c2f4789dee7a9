import { inView, placeOf, type Place } from '../ledger';
import { ENTRY_KINDS } from '../places';
import { splitElementKey } from '../parts';
import type { ColourId } from '../shared/ids';
import type { Workbench } from '../workbench';
import { growthOf } from './growth';

/** How a build stood at the end of a day on which something was logged. Pieces and minor units. */
export interface GrowthDay {
  /** "2026-03-14" */
  readonly day: string;
  readonly onModel: number;
  readonly net: number;
  readonly outOfPocket: number;
  readonly unpriced: number;
  /** Lines logged on that day. */
  readonly lines: number;
}

/** The growth of a build day by day, in the order of the days: the last line of each day stands for it. */
export function growthByDay(workbench: Workbench, planned: boolean): GrowthDay[] {
  const days = new Map<string, GrowthDay>();
  let last = '';
  for (const { entry, onModel, net, outOfPocket, unpriced } of growthOf(workbench, planned)) {
    // An entry that was edited keeps its day; a log that was brought together from others goes on from the latest.
    const own = entry.loggedAt.slice(0, 10);
    const day = own > last ? own : last;
    last = day;
    const lines = (days.get(day)?.lines ?? 0) + 1;
    days.set(day, { day, onModel, net, outOfPocket, unpriced, lines });
  }
  return [...days.values()];
}

/** Pieces of a colour in the boxes that a build began from, and on the model. */
export interface ColourShift {
  readonly colour: ColourId;
  readonly before: number;
  readonly after: number;
}

/** Every colour before and after, the most pieces of both first. */
export function colourShifts(workbench: Workbench, planned: boolean): ColourShift[] {
  const books = planned ? workbench.planned : workbench.built;
  const sums = new Map<ColourId, { before: number; after: number }>();
  const sum = (element: Parameters<typeof splitElementKey>[0]) => {
    const { colour } = splitElementKey(element);
    const found = sums.get(colour) ?? { before: 0, after: 0 };
    sums.set(colour, found);
    return found;
  };
  for (const e of workbench.entries)
    if (e.kind === 'unpack' && e.state === 'done')
      for (const m of e.movements) if (placeOf(m.to) === 'model') sum(m.element).before += m.qty;
  for (const r of books.balances.rows((a) => placeOf(a) === 'model')) sum(r.element).after += r.qty;
  return [...sums]
    .map(([colour, s]) => ({ colour, ...s }))
    .filter((s) => s.before > 0 || s.after > 0)
    .sort((a, b) => b.before + b.after - (a.before + a.after) || a.colour.localeCompare(b.colour));
}

/** Where what was put onto a model came from, in pieces. */
export interface OriginSum {
  readonly from: Place;
  readonly pieces: number;
}

/** Pieces put onto the model by the place they came from, the most first; what was moved about on it is left out. */
export function piecesByOrigin(workbench: Workbench, planned: boolean): OriginSum[] {
  const view = { kind: planned ? ('planned' as const) : ('built' as const) };
  const sums = new Map<Place, number>();
  for (const e of workbench.entries) {
    // Pieces noted in another condition came from nowhere.
    if (!inView(e, view) || ENTRY_KINDS[e.kind].regrades) continue;
    for (const m of e.movements) {
      const from = placeOf(m.from);
      if (placeOf(m.to) === 'model' && from !== 'model') sums.set(from, (sums.get(from) ?? 0) + m.qty);
    }
  }
  return [...sums].map(([from, pieces]) => ({ from, pieces })).sort((a, b) => b.pieces - a.pieces);
}
