import { deltaE00, type Colour } from '../colour';
import type { BuyingPlan } from '../sourcing';
import { elementKey, inColour, partOf, splitElementKey, substitutesFor, type ElementKey } from '../parts';
import type { Minor } from '../shared/money';
import { chanceWithin, type MarketAnswer, type MarketOffer, type MarketSeller, type Post } from './market';
import { inTime, isOpen } from './allowed-sellers';
import { type Preferences } from './preferences';
import { offerId } from './problem-ids';

/** What would bring pieces that a plan cannot have: a preference given up, or another element. */
export type InReach = {
  readonly pieces: number;
  /** Least price of a piece. */
  readonly price: Minor;
  /** Who has most of it. */
  readonly seller: string;
} & (
  | { readonly kind: 'used' | 'shut out' | 'another parcel' | 'several limits' }
  | { readonly kind: 'later'; readonly days: number }
  | { readonly kind: 'colour'; readonly element: ElementKey; readonly deltaE: number }
  | { readonly kind: 'shape'; readonly parts: readonly { element: ElementKey; qty: number }[] }
);

/** A seller's offer, and what the plan has left of it. */
interface Left {
  readonly seller: MarketSeller;
  readonly offer: MarketOffer;
  readonly left: number;
}

/** Other elements that could stand in for some: in every colour, and the parts that make up their shape. */
export function othersToAsk(elements: readonly ElementKey[], colours: readonly Colour[]): ElementKey[] {
  const others = elements.flatMap((e) => [
    ...colours.map((c) => inColour(e, c.id)),
    ...shapesOf(e).flatMap((parts) => parts.map((p) => p.element)),
  ]);
  return [...new Set(others)];
}

/**
 * What is in reach of a lot that a plan leaves open: the same element used, later, of a seller shut out, in a parcel
 * more, or with several of these together; the nearest `near` colours by CIEDE2000; other parts of the same shape. What the plan buys already is counted
 * off. `market` is an answer that was asked for `othersToAsk` too.
 */
export function inReach(
  element: ElementKey,
  plan: Pick<BuyingPlan, 'buys'>,
  market: MarketAnswer,
  preferences: Preferences,
  palette: readonly Colour[],
  near = 2,
): InReach[] {
  const bought = new Map(plan.buys.map((b) => [`${b.seller} ${b.element}`, b.qty]));
  const offers = market.sellers.flatMap((seller) =>
    seller.offers.map((offer): Left => {
      const taken = bought.get(`${seller.id} ${offerId(offer.element, offer.grade)}`) ?? 0;
      return { seller, offer, left: Math.floor((offer.stock - taken) / offer.multiple) * offer.multiple };
    }),
  );
  const had = offers.filter((o) => o.left >= o.offer.minQty);
  const fits = fitness(preferences);
  const same = had.filter((o) => o.offer.element === element);
  const lawful = had.filter((o) => fits.condition(o) && fits.open(o) && fits.inTime(o));
  const itself = [
    told(
      same.filter((o) => !fits.condition(o) && fits.open(o) && fits.inTime(o)),
      { kind: 'used' as const },
    ),
    later(
      same.filter((o) => fits.condition(o) && fits.open(o) && !fits.inTime(o)),
      preferences.chance,
    ),
    told(
      same.filter((o) => fits.condition(o) && !fits.open(o) && fits.inTime(o)),
      { kind: 'shut out' as const },
    ),
    // Lawful and still not bought: only the number of parcels can be in its way.
    preferences.maxParcels === null
      ? null
      : told(
          same.filter((o) => lawful.includes(o)),
          { kind: 'another parcel' as const },
        ),
  ].filter((f) => f !== null);
  // Used and late at once, say: one preference given up would not bring it.
  const held = itself.length === 0 ? told(same, { kind: 'several limits' as const }) : null;
  return [
    ...itself,
    ...(held ? [held] : []),
    ...nearColours(element, lawful, palette).slice(0, near),
    ...shapesOf(element).flatMap((parts) => shapeInReach(parts, lawful)),
  ];
}

const fitness = (p: Preferences) => ({
  condition: ({ offer }: Left) => p.used || offer.grade === 'new',
  open: ({ seller }: Left) => isOpen(seller, p),
  inTime: ({ seller }: Left) => inTime(seller, p),
});

function told<T extends object>(offers: readonly Left[], more: T) {
  const most = [...offers].sort((a, b) => b.left - a.left || a.offer.price - b.offer.price)[0];
  if (!most) return null;
  return {
    ...more,
    pieces: offers.reduce((n, o) => n + o.left, 0),
    price: Math.min(...offers.map((o) => o.offer.price)),
    seller: most.seller.name,
  };
}

/** The soonest day by which someone has it as surely as is asked; none when all are late too often. */
function later(offers: readonly Left[], chance: number): InReach | null {
  const days = offers.flatMap((o) => {
    const d = daysFor(o.seller, chance);
    return d === null ? [] : [{ o, d }];
  });
  const soonest = Math.min(...days.map((x) => x.d));
  return told(
    days.filter((x) => x.d === soonest).map((x) => x.o),
    { kind: 'later' as const, days: soonest },
  );
}

/** Days after which a parcel is there as surely as `chance`; null when it never is that sure. */
export function daysFor(seller: Post, chance: number): number | null {
  for (let days = 0; days <= 120; days++) if (chanceWithin(seller, days) >= chance) return days;
  return null;
}

function nearColours(element: ElementKey, lawful: readonly Left[], palette: readonly Colour[]): InReach[] {
  const own = palette.find((c) => c.id === splitElementKey(element).colour);
  if (!own) return [];
  return palette
    .flatMap((c): (InReach & { deltaE: number })[] => {
      const other = inColour(element, c.id);
      // A clear part does not do for an opaque one, however near its colour.
      if (other === element || c.finish !== own.finish) return [];
      const found = told(
        lawful.filter((o) => o.offer.element === other),
        { kind: 'colour' as const, element: other, deltaE: deltaE00(own.lab, c.lab) },
      );
      return found ? [found] : [];
    })
    .sort((a, b) => a.deltaE - b.deltaE);
}

/** Parts that together have an element's shape, in its colour. A print has no other shape. */
function shapesOf(element: ElementKey): { element: ElementKey; qty: number }[][] {
  const { part, colour, print } = splitElementKey(element);
  if (print) return [];
  const shapes = substitutesFor(partOf(part)).map((s) =>
    s.parts.map((p) => ({ element: elementKey(p.part.id, colour), qty: p.qty })),
  );
  // A square part is halved either way by the same two.
  return [...new Map(shapes.map((s) => [JSON.stringify(s), s])).values()];
}

function shapeInReach(
  parts: readonly { element: ElementKey; qty: number }[],
  lawful: readonly Left[],
): InReach[] {
  const each = parts.map((p) => ({
    qty: p.qty,
    found: told(
      lawful.filter((o) => o.offer.element === p.element),
      {},
    ),
  }));
  const pieces = Math.min(...each.map((e) => Math.floor((e.found?.pieces ?? 0) / e.qty)));
  const seller = each[0]?.found?.seller;
  if (pieces < 1 || seller === undefined) return [];
  const price = each.reduce((sum, e) => sum + e.qty * (e.found?.price ?? 0), 0);
  return [{ kind: 'shape', parts, pieces, price, seller }];
}
