import type { Command } from '../ledger';
import type { Workbench } from '../workbench';
import { deltaE00, type Colour } from '../colour';
import { placeOf } from '../places';
import { written, type RecordSet } from '../ledger';
import type { Entry } from '../records';
import { elementKey, inColour, partOf, splitElementKey, type ElementKey } from '../parts';
import type { BuildId, PartId } from '../shared/ids';
import type { Minor } from '../shared/money';

/** A kind of box in a pool: so many copies, and nothing else. */
export interface PoolBox {
  readonly code: string;
  readonly name: string;
  readonly copies: number;
  /** What one more copy costs; null = nobody sells one. */
  readonly price?: Minor | null;
  readonly lots: readonly { readonly element: ElementKey; readonly qty: number }[];
}

export interface PoolWant {
  readonly element: ElementKey;
  readonly qty: number;
}

/** A lot that the pool cannot give whole, and what comes near. */
export interface PoolShort {
  readonly element: ElementKey;
  readonly short: number;
  /** The same shape in other colours that the pool has left, nearest first. */
  readonly near: readonly { readonly element: ElementKey; readonly left: number; readonly deltaE: number }[];
  /** Other parts of the same size and height in the same colour that the pool has left. */
  readonly alike: readonly { readonly element: ElementKey; readonly left: number }[];
  /** More copies of one box that would do, and what they cost, where that is known: the cheapest first. */
  readonly more: readonly {
    readonly code: string;
    readonly name: string;
    readonly copies: number;
    readonly cost: Minor | null;
  }[];
}

export interface PoolReport {
  readonly fits: boolean;
  readonly short: readonly PoolShort[];
  readonly left: readonly PoolWant[];
  readonly used: number;
  readonly held: number;
}

/** Everything that the boxes of a pool hold together. */
export function poolHolds(boxes: readonly PoolBox[]): Map<ElementKey, number> {
  const sums = new Map<ElementKey, number>();
  for (const b of boxes)
    for (const l of b.lots) sums.set(l.element, (sums.get(l.element) ?? 0) + l.qty * b.copies);
  return sums;
}

/** Does a plan fit in a pool; if not, what is short and what comes near; and what is left over. */
export function fitPool(
  boxes: readonly PoolBox[],
  wants: readonly PoolWant[],
  palette: readonly Colour[],
): PoolReport {
  const held = poolHolds(boxes);
  const left = new Map(held);
  const lacking: { element: ElementKey; short: number }[] = [];
  let used = 0;
  for (const w of joinWants(wants)) {
    const there = Math.min(w.qty, left.get(w.element) ?? 0);
    left.set(w.element, (left.get(w.element) ?? 0) - there);
    used += there;
    if (there < w.qty) lacking.push({ element: w.element, short: w.qty - there });
  }
  const short = lacking.map(({ element, short: n }): PoolShort => ({
    element,
    short: n,
    near: nearIn(element, left, palette),
    alike: alikeIn(element, left),
    more: boxes
      .flatMap((b) => {
        const each = b.lots.reduce((s, l) => s + (l.element === element ? l.qty : 0), 0);
        const copies = Math.ceil(n / each);
        const cost = b.price ? b.price * copies : null;
        return each > 0 ? [{ code: b.code, name: b.name, copies, cost }] : [];
      })
      .sort((a, b) => (a.cost ?? Infinity) - (b.cost ?? Infinity) || a.copies - b.copies),
  }));
  return {
    fits: short.length === 0,
    short,
    left: [...left].flatMap(([element, qty]) => (qty > 0 ? [{ element, qty }] : [])),
    used,
    held: [...held.values()].reduce((a, b) => a + b, 0),
  };
}

/** Other shapes that take the same room in the same colour, most first. */
function alikeIn(element: ElementKey, left: ReadonlyMap<ElementKey, number>): PoolShort['alike'] {
  const { part, colour } = splitElementKey(element);
  const { size, height } = partOf(part);
  return [...left]
    .flatMap(([other, n]) => {
      const o = splitElementKey(other);
      if (n <= 0 || o.colour !== colour || o.part === part) return [];
      const p = partOf(o.part);
      const same = p.size[0] === size[0] && p.size[1] === size[1] && p.height === height;
      return same ? [{ element: other, left: n }] : [];
    })
    .sort((a, b) => b.left - a.left)
    .slice(0, 2);
}

/** True of a build that takes from its own boxes and nothing else. */
export const isBoundToBoxes = (records: RecordSet, build: BuildId): boolean =>
  records.buildSources.get(build)?.boxesOnly ?? false;

/** Binds a build to its own boxes, or lets it take from anywhere. */
export const bindToBoxes = (records: RecordSet, build: BuildId, boxesOnly: boolean): Command => ({
  label: boxesOnly ? 'bind the build to its boxes' : 'let the build take from anywhere',
  diff: written('buildSources', records.buildSources.get(build), {
    id: build,
    build,
    boxesOnly,
    elsewhere: records.buildSources.get(build)?.elsewhere ?? null,
  }),
});

/** Pieces that an entry puts on from elsewhere than the build's own boxes. */
export const piecesFromElsewhere = (entry: Entry): number =>
  entry.movements.reduce((s, m) => {
    const from = placeOf(m.from);
    const outside = from === 'stock' || from === 'order' || from === 'outside' || from === 'own';
    return s + (placeOf(m.to) === 'model' && outside && entry.kind !== 'regrade' ? m.qty : 0);
  }, 0);

/** Entries of a build that put on pieces from elsewhere than its own boxes, and how many: exceptions where it is bound. */
export function poolExceptions(workbench: Workbench): { entry: Entry; qty: number }[] {
  return workbench.entries.flatMap((entry) => {
    if (entry.whatIf !== null) return [];
    const qty = piecesFromElsewhere(entry);
    return qty > 0 ? [{ entry, qty }] : [];
  });
}

function joinWants(wants: readonly PoolWant[]): PoolWant[] {
  const sums = new Map<ElementKey, number>();
  for (const w of wants) sums.set(w.element, (sums.get(w.element) ?? 0) + w.qty);
  return [...sums].map(([element, qty]) => ({ element, qty }));
}

function nearIn(
  element: ElementKey,
  left: ReadonlyMap<ElementKey, number>,
  palette: readonly Colour[],
): PoolShort['near'] {
  const { part, colour } = splitElementKey(element);
  const lab = palette.find((c) => c.id === colour)?.lab;
  if (!lab) return [];
  return palette
    .flatMap((c) => {
      const other = inColour(element, c.id);
      const n = other === element ? 0 : (left.get(other) ?? left.get(elementKey(part, c.id)) ?? 0);
      return n > 0 ? [{ element: other, left: n, deltaE: deltaE00(lab, c.lab) }] : [];
    })
    .sort((a, b) => a.deltaE - b.deltaE)
    .slice(0, 3);
}

/** In which colours a pool has a part, how many and out of which boxes, most first: a row of the pool's colour table. */
export function coloursOfPart(
  boxes: readonly PoolBox[],
  part: PartId,
): { element: ElementKey; qty: number; from: { name: string; qty: number }[] }[] {
  const found = new Map<ElementKey, { name: string; qty: number }[]>();
  for (const b of boxes)
    for (const [element, qty] of poolHolds([b]))
      if (qty > 0 && splitElementKey(element).part === part)
        found.set(element, [...(found.get(element) ?? []), { name: b.name, qty }]);
  return [...found]
    .map(([element, from]) => ({ element, qty: from.reduce((s, f) => s + f.qty, 0), from }))
    .sort((a, b) => b.qty - a.qty);
}
