import { writeCsv } from '@/core/formats';
import { PALETTE } from '@/core/colour';
import { priceLookup, sparesAccount } from '@/core/ledger';
import { withKnowledge } from '@/core/mismatch';
import { elementKey, splitElementKey } from '@/core/parts';
import type { BuildId, PartId } from '@/core/shared/ids';
import { moneyAsDecimal } from '@/core/shared/money';
import { rarestLots, stockByColour, type RareLot } from '@/core/stock';
import { leftOvers, stockBalances } from '@/data/balances';
import { boxesWith } from '@/data/catalogue';
import type { Handle } from '@/data/database';
import { readRecords } from '@/data/records';
import { simulatedRegister } from '@/simulated/register';

/** All that is left over, in own parts and in every build's spares, the rarest first. */
export function rareLeftOvers({ db }: Handle): RareLot[] {
  const rows = leftOvers(db);
  const imported = new Map(readRecords(db, 'madeIn').map((m) => [m.id as string, m]));
  const register = withKnowledge(simulatedRegister, imported, new Set());
  const known = new Map<PartId, number | null>();
  const coloursOf = (part: PartId): number | null => {
    const had = known.get(part);
    if (had !== undefined) return had;
    const n = PALETTE.filter((c) => register.look(elementKey(part, c.id)).made).length;
    known.set(part, n || null);
    return n || null;
  };
  const boxes = boxesWith(db, [...new Set(rows.map((r) => r.element))]);
  return rarestLots(rows, coloursOf, (e) => boxes.get(e) ?? 0);
}

/** How rare the kinds are that a build has among its spares, the rarest first. */
export function rareSparesOf(handle: Handle, build: BuildId): RareLot[] {
  const spares = sparesAccount(build);
  const own = new Set(leftOvers(handle.db).flatMap((r) => (r.account === spares ? [r.element] : [])));
  return rareLeftOvers(handle).filter((r) => own.has(r.element));
}

export const STOCK_FILES = ['by-colour.csv', 'left-overs.csv'] as const;
export type StockFile = (typeof STOCK_FILES)[number];

/** Own parts by colour, or what is left over with how rare it is, as a table for another program. */
export function stockFile(handle: Handle, file: StockFile): string {
  if (file === 'left-overs.csv')
    return writeCsv(
      ['part', 'colour', 'print', 'quantity', 'colours made in', 'boxes'],
      rareLeftOvers(handle).map((r) => {
        const { part, colour, print } = splitElementKey(r.element);
        return [part, colour, print, r.qty, r.colours ?? '', r.boxes];
      }),
    );
  const priceOf = priceLookup(readRecords(handle.db, 'price'));
  return writeCsv(
    ['colour', 'pieces', 'kinds', 'worth', 'pieces without a price'],
    stockByColour(stockBalances(handle.db), priceOf).map((c) => [
      c.colour,
      c.pieces,
      c.kinds,
      // A sum of nothing but unknown prices is not known, and no nought.
      c.unpriced === c.pieces ? '' : moneyAsDecimal(c.worth),
      c.unpriced,
    ]),
  );
}
