import type { Grade } from '../places';
import type { PriceOf } from '../ledger';
import { splitElementKey, type ElementKey } from '../parts';
import type { Problem, ProblemElement } from '../sourcing';
import { allowedSellers, boxRefused } from './allowed-sellers';
import { credited } from './box-credit';
import { weightOf, type MarketAnswer } from './market';
import type { NeedLot } from '../need';
import type { Preferences } from './preferences';
import { boxGrade, boxId, lotId, offerId, readOfferId } from './problem-ids';

/** The need and a market as a buying plan problem. Lots that nobody has are kept: they come back as unmet. */
export function poseProblem(
  lots: readonly NeedLot[],
  market: MarketAnswer,
  preferences: Preferences,
  priceOf: PriceOf,
): Problem {
  const sellers = allowedSellers(market, preferences);
  const offered = new Map<string, Set<string>>();
  const byPart = new Map<string, Set<string>>();
  const elements = new Map<string, ProblemElement>();
  const learn = (element: ElementKey, g: Grade): string => {
    const id = offerId(element, g);
    if (elements.has(id)) return id;
    const { part, colour } = splitElementKey(element);
    elements.set(id, { id, part, colour, grams: weightOf(element) });
    const note = (map: Map<string, Set<string>>, key: string) =>
      map.set(key, (map.get(key) ?? new Set()).add(id));
    note(offered, element);
    note(byPart, part);
    return id;
  };
  // Where one lot asks for used parts they are offered, and the others do not accept them.
  const someUsed = preferences.used || [...preferences.condition.values()].includes('used');
  /** Stands in the plan for what nobody offers as it is wanted. */
  const unoffered = (element: ElementKey): string => {
    const id = `${element}#nobody`;
    const { part, colour } = splitElementKey(element);
    if (!elements.has(id)) elements.set(id, { id, part, colour, grams: 1 });
    return id;
  };
  const usable = (g: Grade) => someUsed || g === 'new';
  const fits = (lot: NeedLot, id: string) => {
    const wish = preferences.condition.get(lotId(lot)) ?? (preferences.used ? 'any' : 'new');
    const isNew = readOfferId(id).grade === 'new';
    return wish === 'any' || (wish === 'new') === isNew;
  };
  const posed = sellers.map((s) => ({
    id: s.id,
    minOrder: s.minOrder,
    postage: preferences.prefer.has(s.id)
      ? s.postage.map((b) => ({ ...b, pence: Math.max(0, b.pence - preferences.favour) }))
      : s.postage,
    offers: s.offers
      .filter((o) => usable(o.grade))
      .map((o) => ({
        element: learn(o.element, o.grade),
        price: o.price,
        stock: o.stock,
        minQty: o.minQty,
        multiple: o.multiple,
      })),
  }));
  const boxes = preferences.boxes ? market.boxes.filter((b) => !boxRefused(b, market, preferences)) : [];
  const wanted = new Set(lots.map((l) => l.element));
  const donors = boxes.map((b) => ({
    id: boxId(b),
    price: Math.max(1, b.price - credited(b, wanted, preferences.credit, priceOf)),
    maxCopies: b.copies,
    yields: sumYields(b.lots.map((l) => ({ element: learn(l.element, boxGrade(b)), qty: l.qty }))),
  }));
  const wishes = lots.map((l) => {
    const { part } = splitElementKey(l.element);
    const found = l.hidden && preferences.hiddenAnyColour ? byPart.get(part) : offered.get(l.element);
    const fitting = found ? [...found].filter((id) => fits(l, id)) : [];
    const accept = fitting.length > 0 ? fitting : [unoffered(l.element)];
    return { id: lotId(l), qty: l.qty, accept };
  });
  return {
    schema: 'makeup/1',
    name: 'need',
    elements: [...elements.values()],
    lots: wishes,
    sellers: posed,
    donors,
    maxSellers: preferences.maxParcels,
  };
}

function sumYields(rows: readonly { element: string; qty: number }[]) {
  const sums = new Map<string, number>();
  for (const r of rows) sums.set(r.element, (sums.get(r.element) ?? 0) + r.qty);
  return [...sums].map(([element, qty]) => ({ element, qty }));
}
