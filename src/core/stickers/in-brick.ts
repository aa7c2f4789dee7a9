import { courseParts, suppliesFor } from '../fit';
import { quickLaying } from '../fit/lay';
import { Prices } from '../mismatch';
import { elementKey, type ElementKey } from '../parts';
import type { ColourId } from '../shared/ids';
import type { Minor } from '../shared/money';
import type { Workbench } from '../workbench';

/** A way of making a stripe of parts: what is seen of them is so high. */
export interface BrickWay {
  readonly name: 'plates in the wall' | 'tiles laid flat' | 'plates on their side' | 'bricks in the wall';
  /** How high the stripe then is, mm, and by how much that differs from the printed one. */
  readonly high: number;
  readonly off: number;
  /** How long it is, mm. */
  readonly long: number;
  readonly pieces: readonly { readonly element: ElementKey; readonly qty: number; readonly bought: number }[];
  readonly atHand: number;
  readonly toBuy: number;
  readonly cost: Minor;
  /** Pieces to be bought whose price nobody knows. */
  readonly unpriced: number;
  /** True where some of the cost is a guess from the same shape in other colours. */
  readonly estimated: boolean;
  /** Studs of its length that nothing fills. */
  readonly empty: number;
}

/** Seen heights, mm: a plate's side, a brick's side, a tile from above, and a plate that stands on its side. */
const WAYS = [
  { name: 'plates in the wall', family: 'plate', high: 3.2 },
  { name: 'bricks in the wall', family: 'brick', high: 9.6 },
  { name: 'tiles laid flat', family: 'tile', high: 8 },
  { name: 'plates on their side', family: 'plate', high: 8 },
] as const;
const STUD = 8;

/**
 * What a stripe would be in parts of its colour, in each way that there is: rows as many as come nearest to its width, laid
 * from what is at hand first. Cheapest of those that come within half a plate first, the others by how far they are off.
 *
 * @example stripesInBrick(workbench, 'chalk', { w: 3.2, l: 64 })[0] // plates in the wall: one row, 8 studs
 */
export function stripesInBrick(
  workbench: Workbench,
  colour: ColourId,
  { w, l }: { w: number; l: number },
): BrickWay[] {
  const studs = Math.max(1, Math.round(Math.max(w, l) / STUD));
  const width = Math.min(w, l);
  const ways = WAYS.map(({ name, family, high }) => {
    const rows = Math.max(1, Math.round(width / high));
    const parts = courseParts(family, 1, workbench.elements);
    return {
      ...laid(workbench, parts, colour, studs, rows),
      name,
      high: tenth(rows * high),
      off: tenth(rows * high - width),
    };
  });
  const near = (way: BrickWay) => Math.max(0, Math.abs(way.off) - 1.6);
  return ways.sort(
    (a, b) => a.empty - b.empty || near(a) - near(b) || a.cost - b.cost || Math.abs(a.off) - Math.abs(b.off),
  );
}

const tenth = (mm: number): number => Math.round(mm * 10) / 10;

function laid(
  workbench: Workbench,
  parts: ReturnType<typeof courseParts>,
  colour: ColourId,
  studs: number,
  rows: number,
) {
  const elements = parts.map((p) => elementKey(p.part.id, colour));
  const supplies = suppliesFor(workbench, elements);
  const prices = new Prices(workbench);
  const laying = quickLaying({
    kind: 'walls',
    walls: [{ id: 'stripe', length: studs }],
    corners: [],
    courses: Array.from({ length: rows }, () => ({ colour })),
    openings: [],
    parts: parts.map((p, i) => {
      const { atHand, price } = supplies(elements[i]!);
      return {
        id: elements[i]!,
        colour,
        length: p.length,
        stock: atHand,
        price,
        limit: price === null ? 0 : studs * rows,
      };
    }),
  });
  const plan = laying.plan({ proven: false, seconds: 0 });
  const used = new Map<ElementKey, number>();
  for (const p of plan.pieces) used.set(p.part as ElementKey, (used.get(p.part as ElementKey) ?? 0) + 1);
  const pieces = [...used].map(([element, qty]) => ({ element, qty, bought: plan.bought[element] ?? 0 }));
  const guessed = pieces.filter((p) => p.bought > 0 && supplies(p.element).guessed);
  return {
    long: studs * STUD,
    pieces,
    atHand: pieces.reduce((n, p) => n + p.qty - p.bought, 0),
    toBuy: pieces.reduce((n, p) => n + p.bought, 0),
    cost: pieces.reduce(
      (s, p) => s + (guessed.includes(p) ? 0 : p.bought * (supplies(p.element).price ?? 0)),
      0,
    ),
    unpriced: guessed.reduce((n, p) => n + p.bought, 0),
    estimated: pieces.some((p) => p.bought > 0 && (prices.of(p.element)?.estimated ?? false)),
    empty: plan.unfilled,
  };
}
