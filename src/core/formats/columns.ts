import { matchColour, type Colour } from '../colour';
import { readPartName } from '../parts';
import { readDecimal } from '../shared/decimal';
import type { RawTable } from './table';

/** What a column can mean. */
export const COLUMN_ROLES = [
  'name',
  'code',
  'colour',
  'hex',
  'qty',
  'print',
  'zone',
  'extra',
  'condition',
  'tray',
  'place',
  'newPrice',
  'usedPrice',
  'from',
  'to',
  'ignore',
] as const;
export type ColumnRole = (typeof COLUMN_ROLES)[number];

/** What a table is imported for. */
export const PURPOSES = ['set', 'stock', 'prices', 'register'] as const;
export type Purpose = (typeof PURPOSES)[number];

/** Roles that make sense for a purpose, in the order they are offered. */
export const ROLES_FOR: Readonly<Record<Purpose, readonly ColumnRole[]>> = {
  set: ['name', 'colour', 'qty', 'hex', 'print', 'zone', 'extra', 'condition', 'code', 'ignore'],
  stock: [
    'name',
    'colour',
    'qty',
    'hex',
    'print',
    'tray',
    'place',
    'condition',
    'usedPrice',
    'code',
    'ignore',
  ],
  prices: ['name', 'colour', 'newPrice', 'usedPrice', 'hex', 'print', 'code', 'ignore'],
  register: ['name', 'colour', 'from', 'to', 'hex', 'code', 'ignore'],
};

/** Headings as people write them. The first row that fits wins, so particular ones stand before general ones. */
const HEADINGS: readonly (readonly [ColumnRole, RegExp])[] = [
  ['hex', /\b(hex|rgb|colou?r (value|hex))\b/i],
  ['ignore', /\b(colou?r (id|no|number)|image|picture|url|link|weight|total|sum)\b/i],
  ['from', /\b(from|since|first|introduced|start(ed)?|made from)\b/i],
  ['to', /\b(to|until|till|last|retired|end(ed)?|made to)\b/i],
  ['usedPrice', /\bused\b.*|\bsecond.?hand\b.*|\bprice used\b/i],
  ['newPrice', /\b(price|cost|worth|value|each|unit|new)\b/i],
  ['extra', /\b(extras?|bonus|spares?)\b/i],
  ['condition', /\b(condition|state|grade)\b/i],
  ['tray', /\b(tray|drawer|bin|box|container)\b/i],
  ['place', /\b(place|builds|rack|room|where)\b/i],
  ['zone', /\b(zone|area|section|bag|where it goes|module)\b/i],
  ['print', /\b(print|pattern|sticker|decoration)\b/i],
  ['qty', /\b(qty|quantity|quant|count|pieces|pcs|amount|number|how many|no\.? of|n)\b|^#$|^x$/i],
  ['colour', /\b(colou?r|shade|tone|hue)\b/i],
  ['code', /\b(code|id|ref|sku|part no\.?|part number|item no\.?|element id|mould)\b/i],
  ['name', /\b(part|name|description|item|piece|element|brick|what|type|shape)\b/i],
];

const MANY = 60;

/** The heading a column layout is remembered by. */
export const headingKey = (table: RawTable): string =>
  (table.heading ?? [`${table.columns} columns`])
    .map((h) => h.toLowerCase().trim())
    .join('\u241f')
    .slice(0, 3900);

/** Guesses what each column means, from its heading first and from what stands in it where that says nothing. */
export function guessColumns(table: RawTable, purpose: Purpose, palette: readonly Colour[]): ColumnRole[] {
  const roles: (ColumnRole | null)[] = Array.from({ length: table.columns }, (_, i) =>
    headingRole(table.heading?.[i] ?? '', purpose),
  );
  dropRepeats(roles);
  const sample = table.rows.slice(0, MANY);
  for (const want of ['hex', 'colour', 'qty', 'name'] as const) {
    if (roles.includes(want) || !ROLES_FOR[purpose].includes(want)) continue;
    const scores = roles.map((r, i) => (r === null ? share(sample, i, want, palette) : 0));
    const best = Math.max(0, ...scores);
    if (best > 0.5) roles[scores.indexOf(best)] = want;
  }
  return roles.map((r) => r ?? 'ignore');
}

function headingRole(heading: string, purpose: Purpose): ColumnRole | null {
  const plain = heading.replace(/[\s_\-.]+/g, ' ').replace(/([a-z])([A-Z])/g, '$1 $2');
  const found = HEADINGS.find(([role, pattern]) => pattern.test(plain) && ROLES_FOR[purpose].includes(role));
  return found ? found[0] : null;
}

/** One column a role: the first keeps it, others go by what stands in them. */
function dropRepeats(roles: (ColumnRole | null)[]): void {
  roles.forEach((role, i) => {
    if (role && role !== 'ignore' && roles.indexOf(role) !== i) roles[i] = null;
  });
}

/** The part of a column's cells that look like what is wanted. */
function share(
  rows: readonly (readonly string[])[],
  column: number,
  want: ColumnRole,
  palette: readonly Colour[],
): number {
  const cells = rows.map((r) => r[column] ?? '').filter(Boolean);
  if (cells.length === 0) return 0;
  const fits: Partial<Record<ColumnRole, (cell: string) => boolean>> = {
    hex: (c) => /^#?[0-9a-f]{6}$/i.test(c) && /[a-f#]/i.test(c),
    colour: (c) => !/^\d/.test(c) && ['exact', 'loose', 'everyday'].includes(matchColour(c, palette).how),
    qty: (c) => Number.isInteger(readDecimal(c) ?? NaN) && (readDecimal(c) ?? 0) < 10_000,
    name: (c) => readPartName(c).part.read || (/\p{L}{3}/u.test(c) && c.length > 6),
  };
  const test = fits[want];
  return test ? cells.filter(test).length / cells.length : 0;
}
