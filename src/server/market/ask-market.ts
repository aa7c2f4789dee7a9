import { withKnowledge, type Register } from '@/core/mismatch';
import { priceLookup } from '@/core/ledger';
import type { ElementKey } from '@/core/parts';
import { CLOCK_ID } from '@/core/ledger';
import { boxId, type MarketAnswer, type MarketBox } from '@/core/market';
import { readCatalogue, readSetLots } from '@/data/catalogue';
import type { Handle } from '@/data/database';
import { readRecord, readRecords } from '@/data/records';
import { OWN_MAKER } from '../own-sets';
import { boxesOf, DEMO_MARKET, simulatedMarket } from '@/simulated/market';
import { simulatedRegister } from '@/simulated/register';

/** One question in so many fails, as networks do. */
const FAILING = 0.04;
/** A box of thousands is nobody's donor for a few parts. */
const LARGEST_DONOR = 1500;

/** Whole sets for sale, new and second-hand. */
export function boxesForSale(handle: Handle): MarketBox[] {
  const priceOf = priceLookup(readRecords(handle.db, 'price'));
  const sets = readCatalogue(handle.db)
    .filter((s) => s.pieces <= LARGEST_DONOR && s.maker !== OWN_MAKER)
    .map(({ code, name, year }) => {
      const lots = readSetLots(handle.db, code).map(({ element, qty }) => ({ element, qty }));
      return { code, name, year, lots };
    });
  const own = ownOffers(handle);
  // One's own offer of a set in a condition stands in the place of the market's.
  const ids = new Set(own.map(boxId));
  const others = boxesOf(sets, priceOf, new Date().getFullYear(), DEMO_MARKET);
  return [...others.filter((b) => !ids.has(boxId(b))), ...own];
}

/** How sure it is that a box of one's own comes on its day: nobody's record says, so it is like the usual seller's. */
const OWN_POST = { spread: 2, late: 0.1 };

/** Boxes at prices of one's own, with what the catalogue says is in them; of two for a set and condition the cheaper. */
function ownOffers({ db }: Handle): MarketBox[] {
  const found = new Map<string, MarketBox>();
  for (const o of readRecords(db, 'boxOffer')) {
    const lots = readSetLots(db, o.code).map(({ element, qty }) => ({ element, qty }));
    if (lots.length === 0) continue;
    const { code, condition, price, copies, seller, days } = o;
    const box: MarketBox = {
      ...OWN_POST,
      code,
      name: o.setName,
      condition,
      price,
      copies,
      seller,
      days,
      own: true,
      lots,
    };
    const other = found.get(boxId(box));
    if (!other || price < other.price) found.set(boxId(box), box);
  }
  return [...found.values()];
}

/** The register, with imported lists laid over it, and with what is in some boxes: that was made. */
export function registerIn(handle: Handle, boxes: readonly MarketBox[] = []): Register {
  const imported = new Map(readRecords(handle.db, 'madeIn').map((m) => [m.id, m]));
  return withKnowledge(
    simulatedRegister,
    imported,
    new Set(boxes.flatMap((b) => b.lots.map((l) => l.element))),
  );
}

/** Asks the market for some elements. Throws MarketFailed when it could not be reached. */
export async function askMarket(
  handle: Handle,
  elements: readonly ElementKey[],
  failing = FAILING,
): Promise<MarketAnswer> {
  const priceOf = priceLookup(readRecords(handle.db, 'price'));
  const wanted = new Set(elements);
  const boxes = boxesForSale(handle).filter((b) => b.lots.some((l) => wanted.has(l.element)));
  return simulatedMarket({
    ...DEMO_MARKET,
    priceOf,
    register: registerIn(handle, boxes),
    year: new Date().getFullYear(),
    day: readRecord(handle.db, 'simulatedClock', CLOCK_ID)?.daysAhead ?? 0,
    boxes,
    wait: (ms) => new Promise((done) => setTimeout(done, ms)),
    failing,
    random: Math.random,
  }).ask(elements);
}
