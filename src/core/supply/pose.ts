import type { Minor } from '../shared/money';
import type { BuyingPlan, Problem, ProblemElement } from '../sourcing';
import { grade, type Grade } from '../ledger';
import { partOf, splitElementKey, type ElementKey } from '../parts';
import type { PriceOf } from '../ledger';
import {
  chanceWithin,
  weightOf,
  type MarketAnswer,
  type MarketBox,
  type MarketSeller,
  type Post,
} from './market';
import type { NeedLot } from './need';

/** How the need is to be met. */
export interface Preferences {
  readonly maxParcels: number | null;
  readonly used: boolean;
  /** Hidden parts in any colour. */
  readonly hiddenAnyColour: boolean;
  readonly boxes: boolean;
  /** Share of their worth at which a box's left-over parts are credited, 0 to 1. */
  readonly credit: number;
  /** Days until it must be there, and how sure; null = whenever. */
  readonly within: number | null;
  readonly chance: number;
  readonly never: ReadonlySet<string>;
  /** Sellers that are preferred, and how many pence more a parcel of theirs may cost than one of others. */
  readonly prefer: ReadonlySet<string>;
  readonly favour: Minor;
  /** Only of sellers who promise that their parts are the maker's own. */
  readonly genuine: boolean;
  /** Lots that are to be new, or may only be used, whatever the others are; by `lotId`. */
  readonly condition: ReadonlyMap<string, 'new' | 'used'>;
  /** Other shapes that fill the same place. */
  readonly shapes: boolean;
}

export const PREFERENCES: Preferences = {
  maxParcels: null,
  used: true,
  hiddenAnyColour: true,
  boxes: true,
  credit: 0.3,
  within: null,
  chance: 0.8,
  never: new Set(),
  prefer: new Set(),
  favour: 100,
  genuine: true,
  condition: new Map(),
  shapes: false,
};

/** An offered element in a condition, as the problem names it. */
export const offerId = (element: ElementKey, g: Grade): string => `${element}#${g}`;
export function readOfferId(id: string): { element: ElementKey; grade: Grade } {
  const cut = id.lastIndexOf('#');
  return { element: id.slice(0, cut) as ElementKey, grade: id.slice(cut + 1) as Grade };
}

/** The id of a need's lot in the problem. */
export const lotId = (lot: Pick<NeedLot, 'element' | 'hidden'>): string =>
  `${lot.element}${lot.hidden ? '!' : ''}`;

/** Whether what is ordered comes in time, with the chance that is asked. */
export const inTime = (post: Post, p: Preferences): boolean =>
  p.within === null || chanceWithin(post, p.within) >= p.chance;

/** Whether a seller may be bought of at all: not shut out, and genuine where that is asked. */
export const isOpen = (s: Pick<MarketSeller, 'id' | 'genuine'>, p: Preferences): boolean =>
  !p.never.has(s.id) && (s.genuine || !p.genuine);

/** Sellers that may be used: open, and quick enough. */
export const allowedSellers = (market: MarketAnswer, p: Preferences): MarketSeller[] =>
  market.sellers.filter((s) => isOpen(s, p) && inTime(s, p));

/** Why a box may not be bought: its seller is not open, or it would not be there in time. Undefined = it may. */
export function boxRefused(
  box: MarketBox,
  market: Pick<MarketAnswer, 'sellers'>,
  p: Preferences,
): 'shut out' | 'late' | undefined {
  const seller = market.sellers.find((s) => s.name === box.seller);
  if (seller && !isOpen(seller, p)) return 'shut out';
  return inTime(box, p) ? undefined : 'late';
}

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

export const boxId = (b: Pick<MarketBox, 'code' | 'condition'>): string => `${b.code} ${b.condition}`;
export const boxGrade = (b: Pick<MarketBox, 'condition'>): Grade =>
  grade(b.condition === 'new' ? 'new' : 'used');

function sumYields(rows: readonly { element: string; qty: number }[]) {
  const sums = new Map<string, number>();
  for (const r of rows) sums.set(r.element, (sums.get(r.element) ?? 0) + r.qty);
  return [...sums].map(([element, qty]) => ({ element, qty }));
}

/**
 * What a plan's boxes are credited with for their left-over parts, in pence: a plan weighs so much less than is paid for
 * it. `problem` is what the plan was made for.
 */
export function boxCredit(
  plan: Pick<BuyingPlan, 'donors'>,
  problem: Pick<Problem, 'donors'>,
  market: Pick<MarketAnswer, 'boxes'>,
): Minor {
  const posed = new Map(problem.donors.map((d) => [d.id, d.price]));
  const asked = new Map(market.boxes.map((b) => [boxId(b), b.price]));
  return plan.donors.reduce(
    (sum, d) => sum + d.copies * ((asked.get(String(d.id)) ?? 0) - (posed.get(d.id) ?? 0)),
    0,
  );
}

/** What the parts of a box that nobody needs are credited with: a share of their worth used. */
function credited(b: MarketBox, wanted: ReadonlySet<ElementKey>, share: number, priceOf: PriceOf): number {
  const worth = b.lots.reduce(
    (s, l) => s + (wanted.has(l.element) ? 0 : l.qty * (priceOf(l.element, grade('used')) ?? 0)),
    0,
  );
  return Math.floor(Math.min(b.price * 0.9, worth * share));
}
