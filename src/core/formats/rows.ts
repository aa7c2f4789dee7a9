import { matchColour, type Colour } from '../colour';
import { CONDITIONS, type Condition } from '../ledger';
import { elementKey, readPartName, type ElementKey, type Part } from '../parts';
import { LIMITS, TABLE } from '../shared/bounds';
import { readDecimal } from '../shared/decimal';
import type { ColourId } from '../shared/ids';
import { readMoney, type Minor } from '../shared/money';
import { cutText } from '../shared/text';
import type { ColumnRole, Purpose } from './columns';
import type { RawTable } from './table';

/** Why a row cannot be taken as it is. */
export type RowFault =
  | { readonly fault: 'no part' }
  /** The name, its colour and its print are longer together than an element may be. */
  | { readonly fault: 'too long'; readonly most: number }
  | { readonly fault: 'no colour' }
  | { readonly fault: 'unknown colour'; readonly text: string; readonly suggestions: readonly ColourId[] }
  | { readonly fault: 'no quantity' }
  | { readonly fault: 'quantity'; readonly text: string }
  | { readonly fault: 'no price' }
  | { readonly fault: 'price'; readonly text: string }
  | { readonly fault: 'year'; readonly text: string };

/** What was taken on trust and should be looked at. */
export type RowNote =
  | { readonly note: 'name kept as written' }
  | { readonly note: 'everyday colour'; readonly text: string }
  | { readonly note: 'nearest colour'; readonly text: string; readonly deltaE: number };

/** One row as it will be imported. */
export interface ReadRow {
  readonly line: number;
  readonly text: string;
  readonly part: Part | null;
  readonly element: ElementKey | null;
  readonly qty: number;
  readonly colourText: string;
  readonly condition: Condition | null;
  readonly zone: string;
  readonly tray: string;
  readonly place: string;
  readonly extra: boolean;
  readonly newPrice: Minor | null;
  readonly usedPrice: Minor | null;
  /** For a register: the years it was made. Null = open. */
  readonly from: number | null;
  readonly to: number | null;
  readonly faults: readonly RowFault[];
  readonly notes: readonly RowNote[];
}

/** What reading rows needs to know besides the table. */
export interface RowContext {
  readonly purpose: Purpose;
  readonly roles: readonly ColumnRole[];
  readonly palette: readonly Colour[];
  /** Foreign colour names that a person has matched before, by `aliasKey`. */
  readonly aliases: ReadonlyMap<string, ColourId>;
}

/** The key under which a foreign colour name is remembered. */
export const aliasKey = (text: string): string =>
  cutText(text.normalize('NFKC').toLowerCase().replace(/\s+/g, ' ').trim(), LIMITS.name);

/** Reads every row of a table. A row with faults says why and is not taken; the others are as they will be. */
export function readRows(table: RawTable, context: RowContext): ReadRow[] {
  const reader = new RowReader(context);
  return table.rows.map((cells, i) => reader.read(cells, table.lines[i] ?? i + 1));
}

interface FoundColour {
  readonly id: ColourId | null;
  readonly text: string;
  readonly rest?: string;
  readonly fault?: RowFault;
  readonly note?: RowNote;
}

class RowReader {
  private readonly seen = new Map<string, FoundColour>();

  constructor(private readonly context: RowContext) {}

  read(cells: readonly string[], line: number): ReadRow {
    const cell = (role: ColumnRole): string => cells[this.context.roles.indexOf(role)] ?? '';
    const full = cell('name') || cell('code');
    const written = full.length > TABLE.name ? cutText(full, TABLE.name) : full;
    const colour = this.colour(cell('colour'), cell('hex'), written);
    const { part, print } = readPartName(colour.rest ?? written);
    const qty = this.quantity(cell('qty'));
    const price = this.prices(cell('newPrice'), cell('usedPrice'));
    const years = this.years(cell('from'), cell('to'));
    const named = written && colour.id ? elementKey(part.id, colour.id, cell('print') || print) : null;
    const long = full.length > TABLE.name || (named?.length ?? 0) > LIMITS.element;
    const faults = [
      ...(written ? [] : [{ fault: 'no part' } as const]),
      ...(long ? [{ fault: 'too long', most: TABLE.name } as const] : []),
      ...(colour.fault && written ? [colour.fault] : []),
      ...qty.faults,
      ...price.faults,
      ...years.faults,
    ];
    return {
      line,
      text: written,
      part: written ? part : null,
      element: long ? null : named,
      qty: qty.qty,
      colourText: colour.text,
      condition: conditionIn(cell('condition')),
      zone: cutText(cell('zone'), 100),
      tray: cutText(cell('tray'), 100),
      place: cutText(cell('place'), 100),
      extra: isYes(cell('extra')),
      newPrice: price.newPrice,
      usedPrice: price.usedPrice,
      from: years.from,
      to: years.to,
      faults,
      notes: [
        ...(written && !part.read ? [{ note: 'name kept as written' } as const] : []),
        ...(colour.note ? [colour.note] : []),
      ],
    };
  }

  private colour(name: string, hex: string, written: string): FoundColour {
    const known = this.context.roles.includes('colour') || this.context.roles.includes('hex');
    const key = known ? `${name}\u241f${hex}` : `\u241f\u241f${written}`;
    const before = this.seen.get(key);
    if (before) return before;
    const found = known ? this.named(name, hex) : this.inName(written);
    this.seen.set(key, found);
    return found;
  }

  private named(name: string, hex: string): FoundColour {
    const text = name || hex;
    if (!text) return { id: null, text: '', fault: { fault: 'no colour' } };
    const alias = this.context.aliases.get(aliasKey(text));
    if (alias) return { id: alias, text };
    const byName = name ? matchColour(name, this.context.palette) : undefined;
    const match =
      // A shade that is measured says more than a word of everyday.
      byName && byName.how !== 'unknown' && !(byName.how === 'everyday' && hex)
        ? byName
        : hex
          ? matchColour(hex, this.context.palette)
          : byName;
    if (!match || match.how === 'unknown') {
      const suggestions = (match?.suggestions ?? []).map((c) => c.id);
      return { id: null, text, fault: { fault: 'unknown colour', text, suggestions } };
    }
    const note: RowNote | undefined =
      match.how === 'near'
        ? { note: 'nearest colour', text, deltaE: match.deltaE }
        : match.how === 'everyday'
          ? { note: 'everyday colour', text }
          : undefined;
    return { id: match.colour.id, text, note };
  }

  /** "plate 2x3 chalk": no colour column, so the colour is looked for at the end of the name. */
  private inName(written: string): FoundColour {
    const words = written.split(' ');
    for (let n = Math.min(3, words.length - 1); n >= 1; n--) {
      const tail = words.slice(-n).join(' ');
      const id = this.context.aliases.get(aliasKey(tail));
      const match = matchColour(tail, this.context.palette);
      const rest = words.slice(0, -n).join(' ');
      if (id) return { id, text: tail, rest };
      if (match.how === 'exact') return { id: match.colour.id, text: tail, rest };
      if (match.how === 'everyday')
        return { id: match.colour.id, text: tail, rest, note: { note: 'everyday colour', text: tail } };
    }
    return { id: null, text: '', fault: { fault: 'no colour' } };
  }

  private quantity(text: string): { qty: number; faults: RowFault[] } {
    if (this.context.purpose === 'prices' || this.context.purpose === 'register')
      return { qty: 1, faults: [] };
    if (!text) return { qty: 0, faults: [{ fault: 'no quantity' }] };
    const n = readDecimal(
      text
        .replace(/(x|pcs|pieces)\.?$/i, '')
        .replace(/^x/i, '')
        .trim(),
    );
    const fine = n !== undefined && Number.isInteger(n) && n > 0 && n <= TABLE.pieces;
    return fine ? { qty: n, faults: [] } : { qty: 0, faults: [{ fault: 'quantity', text }] };
  }

  /** Four-digit years, alone or in a date; empty = open. */
  private years(from: string, to: string): { from: number | null; to: number | null; faults: RowFault[] } {
    if (this.context.purpose !== 'register') return { from: null, to: null, faults: [] };
    const year = (text: string): number | null | undefined =>
      text
        ? /\b(19|20|21)\d\d\b/.test(text)
          ? Number(/\b(?:19|20|21)\d\d\b/.exec(text)?.[0])
          : undefined
        : null;
    const [a, b] = [year(from), year(to)];
    const bad = a === undefined ? from : b === undefined ? to : a && b && b < a ? `${from} to ${to}` : null;
    return { from: a ?? null, to: b ?? null, faults: bad === null ? [] : [{ fault: 'year', text: bad }] };
  }

  private prices(
    newText: string,
    usedText: string,
  ): { newPrice: Minor | null; usedPrice: Minor | null; faults: RowFault[] } {
    const [newPrice, usedPrice] = [newText, usedText].map((t) => (t ? (readMoney(t) ?? NaN) : null));
    const bad = [newText, usedText].find((t) => t && readMoney(t) === undefined);
    const clean = (p: number | null | undefined): Minor | null =>
      p === undefined || Number.isNaN(p) ? null : p;
    const faults: RowFault[] = bad ? [{ fault: 'price', text: bad }] : [];
    const none = this.context.purpose === 'prices' && !newText && !usedText;
    if (none) faults.push({ fault: 'no price' });
    return { newPrice: clean(newPrice), usedPrice: clean(usedPrice), faults };
  }
}

const isYes = (text: string): boolean => /^(y|yes|true|1|x|extra|spare)$/i.test(text);

function conditionIn(text: string): Condition | null {
  const word = text.toLowerCase();
  if (!word) return null;
  if (/^n(ew)?$/.test(word)) return 'new';
  if (/^u(sed)?$|second/.test(word)) return 'used';
  return CONDITIONS.find((c) => word.includes(c)) ?? null;
}
