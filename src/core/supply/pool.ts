import { deltaE00, type Colour } from '../colour';
import { elementKey, inColour, splitElementKey, type ElementKey } from '../parts';
import type { PartId } from '../shared/ids';

/** A kind of box in a pool: so many copies, and nothing else. */
export interface PoolBox {
  readonly code: string;
  readonly name: string;
  readonly copies: number;
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
  /** More copies of one box that would do: the fewest. */
  readonly more: readonly { readonly code: string; readonly name: string; readonly copies: number }[];
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
    more: boxes
      .flatMap((b) => {
        const each = b.lots.reduce((s, l) => s + (l.element === element ? l.qty : 0), 0);
        return each > 0 ? [{ code: b.code, name: b.name, copies: Math.ceil(n / each) }] : [];
      })
      .sort((a, b) => a.copies - b.copies),
  }));
  return {
    fits: short.length === 0,
    short,
    left: [...left].flatMap(([element, qty]) => (qty > 0 ? [{ element, qty }] : [])),
    used,
    held: [...held.values()].reduce((a, b) => a + b, 0),
  };
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

/** In which colours a pool has a part, and how many, most first: a row of the pool's colour table. */
export function coloursOfPart(
  boxes: readonly PoolBox[],
  part: PartId,
): { element: ElementKey; qty: number }[] {
  return [...poolHolds(boxes)]
    .filter(([e]) => splitElementKey(e).part === part)
    .map(([element, qty]) => ({ element, qty }))
    .sort((a, b) => b.qty - a.qty);
}
