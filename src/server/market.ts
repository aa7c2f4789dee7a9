import { withKnowledge } from '@/core/audit';
import { grade, priceLookup } from '@/core/ledger';
import type { ElementKey } from '@/core/parts';
import type { MarketAnswer, MarketBox } from '@/core/supply';
import { readCatalogue, readSetLots } from '@/data/catalogue';
import type { Handle } from '@/data/database';
import { readRecord, readRecords } from '@/data/records';
import { simulatedMarket } from '@/stand-ins/market';
import { standInRegister } from '@/stand-ins/register';

const SELLERS = 40;
const SEED = 2026;
/** One question in so many fails, as networks do. */
const FAILING = 0.04;
/** A box costs this share of what its parts cost used: nobody sells one piece by piece at once. */
const BOX_SHARE = 0.78;
/** Copies of each box that are for sale. */
const COPIES = 4;

/** Whole sets for sale, second-hand. A box of thousands is nobody's donor for a few parts. */
export function boxesForSale(handle: Handle): MarketBox[] {
  const priceOf = priceLookup(readRecords(handle.db, 'price'));
  return readCatalogue(handle.db)
    .filter((s) => s.pieces <= 1500)
    .map((s): MarketBox => {
      const lots = readSetLots(handle.db, s.code).map(({ element, qty }) => ({ element, qty }));
      const worth = lots.reduce((sum, l) => sum + l.qty * (priceOf(l.element, grade('used')) ?? 0), 0);
      const price = Math.max(100, Math.round(worth * BOX_SHARE));
      return { code: s.code, name: s.name, condition: 'second-hand', price, copies: COPIES, lots };
    });
}

/** Asks the market for some elements. Throws MarketFailed when it could not be reached. */
export async function askMarket(
  handle: Handle,
  elements: readonly ElementKey[],
  failing = FAILING,
): Promise<MarketAnswer> {
  const priceOf = priceLookup(readRecords(handle.db, 'price'));
  const imported = new Map(readRecords(handle.db, 'madeIn').map((m) => [m.id, m]));
  const wanted = new Set(elements);
  const boxes = boxesForSale(handle).filter((b) => b.lots.some((l) => wanted.has(l.element)));
  const proof = new Set(boxes.flatMap((b) => b.lots.map((l) => l.element)));
  return simulatedMarket({
    seed: SEED,
    sellers: SELLERS,
    priceOf,
    register: withKnowledge(standInRegister, imported, proof),
    year: new Date().getFullYear(),
    day: readRecord(handle.db, 'setting', 'clock')?.values[0] ?? 0,
    boxes,
    wait: (ms) => new Promise((done) => setTimeout(done, ms)),
    failing,
    random: Math.random,
  }).ask(elements);
}
