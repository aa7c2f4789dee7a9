import { ENTRY_KINDS, type EntryKind } from '../places';
import { elementKey, partOf, splitElementKey, substitutesFor, type ElementKey } from '../parts';
import type { EntryId } from '../shared/ids';
import type { MarketAnswer } from './market';
import type { NeedLot, NeedSource } from '../need';
import { allowedSellers } from './allowed-sellers';
import { type Preferences } from './preferences';
import { lotId } from './problem-ids';

/** A part several of which fill the place of one. */
export interface ShapeFor {
  readonly element: ElementKey;
  /** So many of it for one. */
  readonly per: number;
}

/** Parts of one kind that fill an element's place in its colour: a brick 2x4 is two 1x4. A print has no other shape. */
export function shapesFor(element: ElementKey): ShapeFor[] {
  const { part, colour, print } = splitElementKey(element);
  if (print) return [];
  return substitutesFor(partOf(part))
    .filter((s) => s.parts.length === 1)
    .map((s) => ({ element: elementKey(s.parts[0]!.part.id, colour), per: s.parts[0]!.qty }));
}

/** A shape must be so much cheaper than the part itself to be taken for more than what the market lacks. */
const CHEAPER = 0.85;

/**
 * The need with other shapes in place of what the market lacks, or sells clearly dearer: each such lot becomes one of the
 * parts that fill its place. Only lots whose entries may change their number of pieces are touched, and none that is hidden
 * or keeps a placeholder's place.
 */
export function withShapes(
  lots: readonly NeedLot[],
  market: MarketAnswer,
  preferences: Preferences,
  kindOf: (entry: EntryId) => EntryKind | undefined,
): NeedLot[] {
  const had = supplyOf(market, preferences);
  const out = new Map<string, NeedLot>();
  const add = (lot: NeedLot) => {
    const old = out.get(lotId(lot));
    out.set(
      lotId(lot),
      old ? { ...old, qty: old.qty + lot.qty, sources: [...old.sources, ...lot.sources] } : lot,
    );
  };
  for (const lot of lots) {
    const swapped = replaceable(lot, kindOf) ? chooseShape(lot, had) : null;
    if (!swapped) {
      add(lot);
      continue;
    }
    const { shape, pieces } = swapped;
    const [kept, gone] = cutSources(lot.sources, lot.qty - pieces);
    if (kept.length > 0) add({ ...lot, qty: lot.qty - pieces, sources: kept });
    add({
      element: shape.element,
      hidden: false,
      qty: pieces * shape.per,
      sources: gone.map((s) => ({ ...s, qty: s.qty * shape.per, per: shape.per })),
    });
  }
  return [...out.values()];
}

interface Had {
  readonly stock: number;
  readonly price: number;
}

function supplyOf(market: MarketAnswer, p: Preferences): (element: ElementKey) => Had {
  const sums = new Map<ElementKey, Had>();
  for (const s of allowedSellers(market, p))
    for (const o of s.offers) {
      if (!p.used && o.grade !== 'new') continue;
      const old = sums.get(o.element) ?? { stock: 0, price: Infinity };
      sums.set(o.element, { stock: old.stock + o.stock, price: Math.min(old.price, o.price) });
    }
  return (element) => sums.get(element) ?? { stock: 0, price: Infinity };
}

const replaceable = (lot: NeedLot, kindOf: (entry: EntryId) => EntryKind | undefined): boolean =>
  !lot.hidden &&
  lot.sources.every((s) => {
    const kind = kindOf(s.entry);
    return s.movement !== null && kind !== undefined && !ENTRY_KINDS[kind].even;
  });

function chooseShape(
  lot: NeedLot,
  had: (element: ElementKey) => Had,
): { shape: ShapeFor; pieces: number } | null {
  const own = had(lot.element);
  const lacking = Math.max(0, lot.qty - own.stock);
  const [best] = shapesFor(lot.element)
    .map((shape) => ({ shape, cost: had(shape.element).price * shape.per }))
    .filter((s) => s.cost < Infinity)
    .sort((a, b) => a.cost - b.cost);
  if (!best) return null;
  const most = Math.floor(had(best.shape.element).stock / best.shape.per);
  const wished = best.cost < own.price * CHEAPER ? lot.qty : lacking;
  const pieces = Math.min(wished, most);
  return pieces > 0 ? { shape: best.shape, pieces } : null;
}

/** The first pieces of some sources, and the rest. */
function cutSources(sources: readonly NeedSource[], first: number): [NeedSource[], NeedSource[]] {
  let left = first;
  const [kept, gone]: [NeedSource[], NeedSource[]] = [[], []];
  for (const s of sources) {
    const n = Math.min(left, s.qty);
    left -= n;
    if (n > 0) kept.push({ ...s, qty: n });
    if (n < s.qty) gone.push({ ...s, qty: s.qty - n });
  }
  return [kept, gone];
}
