import { partOf, readPartName, splitElementKey, type Part } from '../../parts';
import type { Plot } from '../../records';
import type { Workbench } from '../../workbench';
import { suppliesFor } from '../supply';

/** A baseplate under a plot: what is over at each side, width and depth; below zero the plot sticks out by so much. */
export interface BaseUnder {
  readonly name: string;
  readonly atHand: number;
  readonly over: readonly [number, number];
  readonly fits: boolean;
}

/** Sizes a shop has when nothing else is known, studs. */
const USUAL = ['16x16', '16x32', '24x32', '32x32', '48x48'];

/**
 * Baseplates for a plot, turned the better way: those at hand first, among them those it fits on, the smallest first; of
 * those that are too small what sticks out least. Then the usual sizes that it would fit on.
 *
 * For a plot of 24 x 30 a 24x32 at hand: fits, 0 and 2 studs over.
 */
export function baseplatesFor(workbench: Workbench, plot: Pick<Plot, 'width' | 'depth'>): BaseUnder[] {
  const known = [...workbench.elements].filter(
    (e) => partOf(splitElementKey(e).part).family.name === 'baseplate',
  );
  const supplies = suppliesFor(workbench, known);
  // What colour it is shows only where nothing stands on it.
  const here = new Map<string, { part: Part; atHand: number }>();
  for (const e of known) {
    const part = partOf(splitElementKey(e).part);
    here.set(part.id, { part, atHand: (here.get(part.id)?.atHand ?? 0) + supplies(e).atHand });
  }
  const bySize = (a: BaseUnder, b: BaseUnder) => a.over[0] + a.over[1] - (b.over[0] + b.over[1]);
  const atHand = [...here.values()].filter((h) => h.atHand > 0).map((h) => under(h.part, h.atHand, plot));
  const fitting = (list: readonly BaseUnder[]) => list.filter((b) => b.fits).sort(bySize);
  const small = atHand.filter((b) => !b.fits).sort((a, b) => sticksOut(a) - sticksOut(b));
  const toBuy = USUAL.map((s) => under(readPartName(`baseplate ${s}`).part, 0, plot)).filter(
    (b) => !atHand.some((a) => a.name === b.name),
  );
  return [...fitting(atHand), ...small, ...fitting(toBuy)];
}

const sticksOut = (b: BaseUnder): number => Math.max(0, -b.over[0]) + Math.max(0, -b.over[1]);

/** A baseplate turned so that least sticks out of it. */
function under(part: Part, atHand: number, plot: Pick<Plot, 'width' | 'depth'>): BaseUnder {
  const [w, d] = part.size;
  const ways = [
    [w - plot.width, d - plot.depth],
    [d - plot.width, w - plot.depth],
  ] as const;
  const lack = (o: readonly [number, number]) => Math.max(0, -o[0]) + Math.max(0, -o[1]);
  const over = lack(ways[1]) < lack(ways[0]) ? ways[1] : ways[0];
  return { name: part.id, atHand, over, fits: lack(over) === 0 };
}
