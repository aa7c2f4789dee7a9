import Papa from 'papaparse';
import {
  cameFrom,
  ENTRY_KINDS,
  offPieces,
  onPieces,
  placeOf,
  sparesAccount,
  zoneOf,
  type Books,
  type Entry,
  type Modification,
  type Origin,
  type PriceOf,
  type Zone,
} from '../ledger';
import { elementName, partOf, splitElementKey, type ElementKey } from '../parts';
import type { Colour } from '../colour';
import { PART_STATES, type PartState, type StatePart } from '../need';
import { moneyAsDecimal } from '../shared/money';

export type Cell = string | number;

/** A list as cells: what becomes CSV, a spreadsheet or a printed page. */
export interface ListTable {
  readonly heading: readonly string[];
  readonly rows: readonly (readonly Cell[])[];
}

/**
 * Writes CSV with CRLF and quotes where needed. What a spreadsheet would run as a formula (= + - @, tab, return) gets an
 * apostrophe before it, at the start of a cell and behind whatever another program may take for the end of one: a
 * semicolon, comma, bar, tab or line break. Numbers of ours are numbers.
 */
export function writeCsv({ heading, rows }: ListTable): string {
  return (
    Papa.unparse([heading as string[], ...rows.map((r) => r.map(harmless))], { newline: '\r\n' }) + '\r\n'
  );
}

const harmless = (cell: Cell): Cell =>
  typeof cell === 'string'
    ? `${/^[\t\r]/.test(cell) ? "'" : ''}${cell
        .split(/([;,|\t\r\n])/)
        .map((part) => (FORMULA.test(part) ? `'${part}` : part))
        .join('')}`
    : cell;

const FORMULA = /^["'\s]*[=+\-@\u2212\uff1d\uff0b\uff0d\uff20]/;

/** What the files need besides the books. */
export interface FileContext {
  readonly books: Books;
  readonly zones: readonly Zone[];
  readonly modifications: readonly Modification[];
  readonly palette: readonly Colour[];
  readonly priceOf: PriceOf;
}

const money = (amount: number | null): Cell => (amount === null ? '' : moneyAsDecimal(amount));

export const WORKLOG_COLUMNS = [
  'entry',
  'modification',
  'title',
  'zone',
  'kind',
  'state',
  'off qty',
  'off part',
  'on qty',
  'on part',
  'why',
  'out',
  'in',
  'recoloured',
  'renewed',
  'net',
  'out of pocket',
  'worth',
  'without a price',
  'had',
  'had worth',
  'bought',
  'bought paid',
  'ordered',
  'ordered paid',
  'to buy',
  'to buy about',
  'hidden',
  'note',
  'logged',
] as const;

/**
 * One row an entry, in worklog order. The sums of its number columns are the tally's figures; `parts` are the states of
 * what goes in, as `statesOf` gives them.
 */
export function worklogTable(
  context: FileContext,
  entries: readonly Entry[],
  parts: readonly StatePart[],
): ListTable {
  const states = new Map<string, StatePart[]>();
  for (const p of parts) states.set(p.entry.id, [...(states.get(p.entry.id) ?? []), p]);
  const mods = new Map(context.modifications.map((m) => [m.id, m]));
  const list = (pieces: { element: ElementKey }[]) => pieces.map((p) => elementName(p.element)).join(' + ');
  const sum = (pieces: { qty: number }[]) => pieces.reduce((s, p) => s + p.qty, 0);
  const rows = entries.map((e): Cell[] => {
    const part = context.books.partOf(e, { of: 'build' });
    const mod = e.modification ? mods.get(e.modification) : undefined;
    const [off, on] = [offPieces(e), onPieces(e)];
    return [
      e.no,
      mod ? `M${String(mod.no).padStart(2, '0')}` : '',
      mod?.title ?? '',
      zoneName(context, e),
      ENTRY_KINDS[e.kind].label,
      e.state,
      sum(off),
      list(off),
      sum(on),
      list(on),
      e.why ?? '',
      part.out,
      part.in,
      part.recoloured,
      part.renewed,
      part.net,
      known(part.outOfPocket, part.boughtUnpriced),
      known(part.worthIn, part.unpriced),
      part.unpriced,
      ...PART_STATES.flatMap((s) => stateCells(states.get(e.id), s)),
      e.hidden ? 'yes' : '',
      e.note,
      e.loggedAt,
    ];
  });
  return { heading: WORKLOG_COLUMNS, rows: rows };
}

/** Pieces and money of one state: empty where there are no pieces of it. */
function stateCells(parts: readonly StatePart[] | undefined, state: PartState): Cell[] {
  const part = parts?.find((p) => p.state === state);
  return part ? [part.pieces, known(part.money, part.unpriced)] : ['', ''];
}

/** What is known of a sum; nothing where no piece of it has a price, since that is not 0.00. */
const known = (sum: number, unpriced: number): string =>
  sum === 0 && unpriced > 0 ? '' : moneyAsDecimal(sum);

function zoneName(context: FileContext, entry: Entry): string {
  const ids = new Set(
    entry.movements.flatMap((m) => [zoneOf(m.from), zoneOf(m.to)]).filter((z) => z !== undefined),
  );
  return context.zones
    .filter((z) => ids.has(z.id))
    .map((z) => z.name)
    .join(' + ');
}

export const INVENTORY_COLUMNS = [
  'part',
  'family',
  'colour',
  'hex',
  'print',
  'quantity',
  'condition',
  'zone',
  'price',
  'worth',
] as const;

/** What is on the model, a row for each element, condition and zone. The importer reads it back. */
export function inventoryTable(context: FileContext): ListTable {
  const zones = new Map(context.zones.map((z) => [z.id, z.name]));
  const rows = context.books.balances
    .rows((a) => placeOf(a) === 'model')
    .filter((r) => r.qty !== 0)
    .map((r) =>
      lotRow(context, r.element, r.qty, r.grade, zones.get(zoneOf(r.account) ?? ('' as never)) ?? ''),
    );
  return { heading: INVENTORY_COLUMNS, rows: sortRows(rows) };
}

export const SPARES_COLUMNS = INVENTORY_COLUMNS.filter((c) => c !== 'zone');

/** The spares at hand, a row for each element and condition. */
export function sparesTable(context: FileContext): ListTable {
  const spares = sparesAccount(context.books.context.build);
  const rows = context.books.balances
    .rows((a) => a === spares)
    .filter((r) => r.qty > 0)
    .map((r) => lotRow(context, r.element, r.qty, r.grade, '').filter((_, i) => i !== 7));
  return { heading: SPARES_COLUMNS, rows: sortRows(rows) };
}

function lotRow(
  context: FileContext,
  element: ElementKey,
  qty: number,
  grade: Parameters<PriceOf>[1],
  zone: string,
): Cell[] {
  const { part, colour, print } = splitElementKey(element);
  const found = context.palette.find((c) => c.id === colour);
  const price = context.priceOf(element, grade);
  const worth = price === null ? null : price * qty;
  const family = partOf(part).family.name;
  return [
    part,
    family,
    found?.name ?? colour,
    found?.hex ?? '',
    print,
    qty,
    grade,
    zone,
    money(price),
    money(worth),
  ];
}

const sortRows = (rows: Cell[][]): Cell[][] =>
  rows.toSorted((a, b) =>
    `${a[1]} ${a[0]} ${a[2]}`.localeCompare(`${b[1]} ${b[0]} ${b[2]}`, 'en', { numeric: true }),
  );

export const CAME_FROM_COLUMNS = ['zone', 'from', 'part', 'colour', 'print', 'quantity'] as const;

/** What went into each zone and from which box or other source; `nameOf` names an origin. */
export function cameFromTable(context: FileContext, nameOf: (origin: Origin) => string): ListTable {
  const zones = new Map(context.zones.map((z) => [z.id, z.name]));
  const rows = cameFrom(context.books).map(({ zone, origin, element, qty }): Cell[] => {
    const { part, colour, print } = splitElementKey(element);
    return [zones.get(zone) ?? '', nameOf(origin), part, colour, print, qty];
  });
  const order = (a: Cell[], b: Cell[]) =>
    a.slice(0, 4).join('|').localeCompare(b.slice(0, 4).join('|'), 'en');
  return { heading: CAME_FROM_COLUMNS, rows: rows.sort(order) };
}
