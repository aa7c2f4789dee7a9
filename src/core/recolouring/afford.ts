import { deltaE00, type Colour } from '../colour';
import type { Workbench } from '../workbench';
import { elementKey } from '../parts';
import type { ColourId, PartId } from '../shared/ids';
import type { Minor } from '../shared/money';
import { Prices } from '../mismatch/fixes';
import { availability, type Register } from '../mismatch/register';
import { withAtHand, type AtHand } from '../stock';

/** Shapes that are wanted in one colour, whatever it is. */
export interface WantedShape {
  readonly part: PartId;
  readonly qty: number;
}

/** What the shapes would take in one colour. */
export interface ColourOffer {
  readonly colour: Colour;
  readonly pieces: number;
  readonly atHand: number;
  /** Of those at hand: what rests on what is roughly known. */
  readonly roughly: number;
  readonly toBuy: number;
  readonly cost: Minor;
  /** Pieces that nobody knows a price of. */
  readonly unpriced: number;
  /** Shapes that were never made in it and are not at hand, with the pieces that lack. */
  readonly cannot: readonly WantedShape[];
  /** ΔE00 to the nearest colour of the scheme: 0 = in it. Null without a scheme. */
  readonly offScheme: number | null;
}

/** Two colours in stripes, where one is not enough. */
export interface StripeOffer {
  readonly main: Colour;
  readonly other: Colour;
  /** Pieces of each, all at hand. */
  readonly mainPieces: number;
  readonly otherPieces: number;
  readonly toBuy: number;
  readonly cost: Minor;
  readonly deltaE: number;
}

export interface AffordReport {
  readonly colours: readonly ColourOffer[];
  readonly stripes: readonly StripeOffer[];
}

/**
 * Ranks every solid colour for a list of shapes: those that can be had for all of it first, then by what must be paid, then by
 * how much is at hand. Where no colour is wholly at hand, pairs of colours for stripes are offered: shape by shape the
 * first gives what it has, the second the rest.
 */
export function affordableColours(
  workbench: Workbench,
  shapes: readonly WantedShape[],
  scheme: readonly ColourId[],
  register: Register,
  year: number,
): AffordReport {
  return withAtHand(workbench, (atHand) => affordWith(atHand, workbench, shapes, scheme, register, year));
}

function affordWith(
  atHand: AtHand,
  workbench: Workbench,
  shapes: readonly WantedShape[],
  scheme: readonly ColourId[],
  register: Register,
  year: number,
): AffordReport {
  const prices = new Prices(workbench);
  const solid = workbench.palette.filter((c) => c.finish === 'solid');
  const schemeLabs = workbench.palette.filter((c) => scheme.includes(c.id)).map((c) => c.lab);
  const pieces = shapes.reduce((s, w) => s + w.qty, 0);
  const offers = solid.map((colour): ColourOffer => {
    let [had, roughly, toBuy, cost, unpriced] = [0, 0, 0, 0, 0];
    const cannot: WantedShape[] = [];
    for (const { part, qty } of shapes) {
      const element = elementKey(part, colour.id);
      const here = Math.min(qty, atHand.count(element));
      const short = qty - here;
      had += here;
      const counted = atHand.count(element) - atHand.countRoughly(element);
      roughly += Math.max(0, here - counted);
      if (short === 0) continue;
      if (availability(register.look(element), year) === 'never') {
        cannot.push({ part, qty: short });
        continue;
      }
      const price = prices.of(element);
      toBuy += short;
      cost += short * (price?.each ?? 0);
      unpriced += price ? 0 : short;
    }
    const offScheme =
      schemeLabs.length > 0 ? Math.min(...schemeLabs.map((l) => deltaE00(l, colour.lab))) : null;
    return { colour, pieces, atHand: had, roughly, toBuy, cost, unpriced, cannot, offScheme };
  });
  const ranked = offers.sort(
    (a, b) =>
      lacking(a) - lacking(b) ||
      a.cost - b.cost ||
      b.atHand - a.atHand ||
      (a.offScheme ?? 0) - (b.offScheme ?? 0),
  );
  return { colours: ranked, stripes: stripesOf(shapes, ranked, atHand, prices) };
}

const lacking = (o: ColourOffer): number => o.cannot.reduce((s, w) => s + w.qty, 0);

function stripesOf(
  shapes: readonly WantedShape[],
  offers: readonly ColourOffer[],
  atHand: AtHand,
  prices: Prices,
): StripeOffer[] {
  if (offers.some((o) => o.atHand === o.pieces)) return [];
  const most = [...offers]
    .sort((a, b) => b.atHand - a.atHand)
    .slice(0, 12)
    .filter((o) => o.atHand > 0);
  const pairs: StripeOffer[] = [];
  for (const main of most)
    for (const other of most) {
      if (main === other || main.atHand < other.atHand) continue;
      const has = (c: Colour, w: WantedShape): number => atHand.count(elementKey(w.part, c.id));
      let [mainPieces, otherPieces, toBuy, cost] = [0, 0, 0, 0];
      for (const w of shapes) {
        const first = Math.min(w.qty, has(main.colour, w));
        const second = Math.min(w.qty - first, has(other.colour, w));
        const short = w.qty - first - second;
        mainPieces += first;
        otherPieces += second;
        toBuy += short;
        cost += short * (prices.of(elementKey(w.part, main.colour.id))?.each ?? 0);
      }
      if (otherPieces === 0) continue;
      const deltaE = deltaE00(main.colour.lab, other.colour.lab);
      pairs.push({ main: main.colour, other: other.colour, mainPieces, otherPieces, toBuy, cost, deltaE });
    }
  // Stripes that can hardly be told apart read as a mismatch, so well apart comes before cheap only among equals.
  return pairs
    .filter((p) => p.deltaE >= 10)
    .sort((a, b) => a.toBuy - b.toBuy || a.cost - b.cost || b.deltaE - a.deltaE)
    .slice(0, 6);
}
