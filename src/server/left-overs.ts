import type { ListTable } from '@/core/formats';
import type { List } from '@/core/lists';
import { PALETTE } from '@/core/colour';
import { priceLookup, sparesAccount, stockAccount } from '@/core/ledger';
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

/** Own parts, lot by lot: where they lie, in which condition, what they are worth. */
function ownParts({ db }: Handle): ListTable {
  const priceOf = priceLookup(readRecords(db, 'price'));
  const trays = new Map(readRecords(db, 'tray').map((t) => [stockAccount(t.id), t]));
  const rows = stockBalances(db)
    .filter((r) => r.qty > 0)
    .map((r) => {
      const { part, colour, print } = splitElementKey(r.element);
      const each = priceOf(r.element, r.grade);
      const tray = trays.get(r.account);
      return [
        tray?.name ?? '',
        tray?.place ?? '',
        r.qty,
        part,
        colour,
        print,
        r.grade,
        each === null ? '' : moneyAsDecimal(each),
        each === null ? '' : moneyAsDecimal(each * r.qty),
      ];
    });
  const heading = ['tray', 'place', 'quantity', 'part', 'colour', 'print', 'condition', 'price', 'worth'];
  const key = (r: (typeof rows)[number]) => [r[0], r[3], r[4]].join(' ');
  return { heading, rows: rows.sort((a, b) => key(a).localeCompare(key(b), 'en', { numeric: true })) };
}

const leftOverTable = (handle: Handle): ListTable => ({
  heading: ['part', 'colour', 'print', 'quantity', 'colours made in', 'boxes'],
  rows: rareLeftOvers(handle).map((r) => {
    const { part, colour, print } = splitElementKey(r.element);
    return [part, colour, print, r.qty, r.colours ?? '', r.boxes];
  }),
});

function byColour({ db }: Handle): ListTable {
  const priceOf = priceLookup(readRecords(db, 'price'));
  return {
    heading: ['colour', 'pieces', 'kinds', 'worth', 'pieces without a price'],
    rows: stockByColour(stockBalances(db), priceOf).map((c) => [
      c.colour,
      c.pieces,
      c.kinds,
      // A sum of nothing but unknown prices is not known, and no nought.
      c.unpriced === c.pieces ? '' : moneyAsDecimal(c.worth),
      c.unpriced,
    ]),
  };
}

/** The price book. */
const priceTable = ({ db }: Handle): ListTable => ({
  heading: ['part', 'colour', 'print', 'new price', 'used price'],
  rows: readRecords(db, 'price').map((p) => {
    const { part, colour, print } = splitElementKey(p.element);
    const write = (m: number | null) => (m === null ? '' : moneyAsDecimal(m));
    return [part, colour, print, write(p.newPrice), write(p.usedPrice)];
  }),
});

/** Every list of own parts, by the name its files have. */
export const STOCK_LISTS = {
  'own-parts': {
    title: 'Own parts',
    table: ownParts,
    printed: ['tray', 'quantity', 'part', 'colour', 'print', 'condition', 'worth'],
  },
  'by-colour': { title: 'Own parts by colour', table: byColour },
  'left-overs': { title: 'Left over, the rarest first', table: leftOverTable },
  prices: { title: 'Prices', table: priceTable },
} as const satisfies Record<string, List<Handle>>;

export type StockListName = keyof typeof STOCK_LISTS;
