import { matchColour, type Colour } from '../colour';
import { CONDITIONS, grade, type Condition } from '../places';
import { elementKey, readPartName } from '../parts';
import { readMoney } from '../shared/money';
import { fail, ok, type Result } from '../shared/result';
import type { RawTable } from '../formats/table';
import type { MarketAnswer, MarketOffer, MarketSeller, MarketSource } from './market';

/** Columns of a seller's price list: the names a heading may have for each. */
const COLUMNS = {
  part: ['part', 'part name', 'item', 'name'],
  colour: ['colour', 'color'],
  condition: ['condition', 'grade'],
  price: ['price', 'each', 'price each'],
  stock: ['stock', 'quantity', 'qty', 'pieces'],
  multiple: ['multiple', 'sold in', 'lots of'],
} as const;
type Column = keyof typeof COLUMNS;

export type PriceListFault =
  | { readonly fault: 'no heading' }
  | { readonly fault: 'no column'; readonly column: Column }
  | {
      readonly fault: 'row';
      readonly line: number;
      readonly column: Column;
      readonly text: string;
    };

/**
 * Reads a seller's price list: a table with a heading that names part, colour, price and stock, and condition and multiple
 * where they matter. All or nothing: the first row that cannot be read is told with its line.
 */
export function readPriceList(
  table: RawTable,
  palette: readonly Colour[],
  about: Omit<MarketSeller, 'offers'>,
): Result<MarketSeller, PriceListFault> {
  if (!table.heading) return fail({ fault: 'no heading' });
  const heading = table.heading.map((h) => h.toLowerCase().trim());
  const at = Object.fromEntries(
    (Object.keys(COLUMNS) as Column[]).map((c) => [
      c,
      heading.findIndex((h) => (COLUMNS[c] as readonly string[]).includes(h)),
    ]),
  ) as Record<Column, number>;
  for (const column of ['part', 'colour', 'price', 'stock'] as const)
    if (at[column] < 0) return fail({ fault: 'no column', column });
  const offers: MarketOffer[] = [];
  for (const [i, row] of table.rows.entries()) {
    const cell = (c: Column) => (at[c] < 0 ? '' : (row[at[c]] ?? ''));
    const wrong = (column: Column) =>
      fail({ fault: 'row' as const, line: table.lines[i] ?? i + 1, column, text: cell(column) });
    const { part } = readPartName(cell('part'));
    if (!part.read) return wrong('part');
    const colour = matchColour(cell('colour'), palette);
    // A colour that is only near is somebody's guess, and no colour to buy by.
    if (colour.how === 'unknown' || colour.how === 'near') return wrong('colour');
    const price = readMoney(cell('price'));
    if (price === undefined) return wrong('price');
    const stock = Number(cell('stock'));
    if (!Number.isInteger(stock) || stock < 0 || cell('stock') === '') return wrong('stock');
    const multiple = cell('multiple') === '' ? 1 : Number(cell('multiple'));
    if (!Number.isInteger(multiple) || multiple < 1) return wrong('multiple');
    const condition = (cell('condition').toLowerCase() || 'used') as Condition;
    if (!CONDITIONS.includes(condition)) return wrong('condition');
    offers.push({
      element: elementKey(part.id, colour.colour.id),
      grade: grade(condition),
      price,
      stock,
      minQty: multiple,
      multiple,
    });
  }
  return ok({ ...about, offers: cheapestOf(offers) });
}

/** A list may name an element twice: the cheaper stands, since a seller has one offer of each. */
function cheapestOf(offers: readonly MarketOffer[]): MarketOffer[] {
  const best = new Map<string, MarketOffer>();
  for (const o of offers) {
    const key = `${o.element}#${o.grade}`;
    if (o.price < (best.get(key)?.price ?? Infinity)) best.set(key, o);
  }
  return [...best.values()];
}

/** A seller's list as a source of prices, like any other. */
export const priceListSource = (seller: MarketSeller): MarketSource => ({
  ask: async (elements) => {
    const wanted = new Set(elements);
    return {
      sellers: [{ ...seller, offers: seller.offers.filter((o) => wanted.has(o.element)) }],
      boxes: [],
    };
  },
});

/** Answers of several sources as one. A seller that two of them have stands as the later has him. */
export const joinAnswers = (...answers: readonly MarketAnswer[]): MarketAnswer => ({
  sellers: [...new Map(answers.flatMap((a) => a.sellers.map((s) => [s.id, s] as const))).values()],
  boxes: answers.flatMap((a) => a.boxes),
});
