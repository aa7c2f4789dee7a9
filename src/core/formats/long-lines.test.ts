import { describe, expect, it } from 'vitest';
import { PALETTE, matchColour } from '../colour';
import { lex } from '../log-line/lexer';
import { readPartName } from '../parts';
import { readDecimal } from '../shared/decimal';
import { readMoney } from '../shared/money';
import { readPriceList } from '../market';
import { readCount, type BoxLot } from '../inspection';
import { aliasKey, guessColumns, headingKey, PURPOSES, readDelimited, readModFile, readRows } from './index';

const LONG = 80_000;
const SELLER = {} as Parameters<typeof readPriceList>[2];
/** Lines of every sort that an expression with nested repeats would stumble over. */
const LINES: Readonly<Record<string, string>> = {
  digits: '1'.repeat(LONG),
  'digits and an end that does not fit': `${'1'.repeat(LONG)}x`,
  'digits and marks': '1.,'.repeat(LONG / 3),
  spaces: ' '.repeat(LONG),
  'spaces and a letter': `${' '.repeat(LONG)}x`,
  letters: 'a'.repeat(LONG),
  'letters and digits': 'a1'.repeat(LONG / 2),
  sizes: '2x3'.repeat(LONG / 3),
  'spaced sizes': '2 x 3 '.repeat(LONG / 6),
  slashes: '1/2/'.repeat(LONG / 4),
  brackets: '('.repeat(LONG),
  'open and closed brackets': '()'.repeat(LONG / 2),
  quotes: '"'.repeat(LONG),
  'quotes and letters': '"a'.repeat(LONG / 2),
  commas: ','.repeat(LONG),
  tabs: '\t'.repeat(LONG),
  bars: '|'.repeat(LONG),
  dashes: '-'.repeat(LONG),
  'words of a part': 'brick plate tile '.repeat(LONG / 17),
  'words of a colour': 'dark red light '.repeat(LONG / 15),
  'capital and small': 'aA'.repeat(LONG / 2),
  'joined letters': '\ufdfa'.repeat(LONG / 10),
  emoji: '\u{1f9f1}'.repeat(LONG / 2),
  hashes: '#'.repeat(LONG),
  'a year over and over': '2019'.repeat(LONG / 4),
  'lines of nothing': '\n'.repeat(LONG),
  returns: '\r'.repeat(LONG),
};

describe.each(Object.entries(LINES))('%s', (_, line) => {
  // What takes longer than the test's time is caught by it: an expression that goes over the text again for each of its
  // characters needs minutes here, one that goes over it once needs none.
  it('is read, or refused, by every reader of tables', { timeout: 20_000 }, () => {
    for (const text of [line, `part,colour,qty\n${line},${line},${line}`, `${line}\n${line}`]) {
      const table = readDelimited(text);
      if (!table.ok) continue;
      headingKey(table.value);
      readPriceList({ ...table.value, heading: ['part', 'colour', 'price', 'add-stock'] }, PALETTE, SELLER);
      for (const purpose of PURPOSES) {
        const roles = guessColumns(table.value, purpose, PALETTE);
        const rows = readRows(table.value, { purpose, roles, palette: PALETTE, aliases: new Map() });
        expect(rows).toHaveLength(table.value.rows.length);
      }
    }
  });

  it('is read, or refused, by every reader of a single field', { timeout: 20_000 }, () => {
    readDecimal(line);
    readMoney(line);
    aliasKey(line);
    matchColour(line, PALETTE);
    readCount(line, { expected: 9 } as BoxLot);
    lex(line);
    readModFile(line);
    const short = line.slice(0, 300);
    readPartName(short);
    expect(aliasKey(line).length).toBeLessThanOrEqual(200);
  });
});

describe('what is shown as taken is taken', () => {
  it('a name longer than is kept names its row and is not taken', () => {
    const table = readDelimited(`part,colour,qty\nbrick 1x2,ash,3\n${'very long brick '.repeat(40)},ash,4\n`);
    if (!table.ok) throw new Error('a table');
    const rows = readRows(table.value, {
      purpose: 'set',
      roles: ['name', 'colour', 'qty'],
      palette: PALETTE,
      aliases: new Map(),
    });
    expect(rows.map((r) => [r.line, r.faults.map((f) => f.fault), r.element !== null])).toEqual([
      [2, [], true],
      [3, ['too long'], false],
    ]);
  });

  it.each([
    ['part,colour,qty', 'only a heading'],
    ['Part;Colour;How many', 'only a heading'],
    ['part,colour,qty\nbrick 1x2,ash,1\n"tile 1x2,ash,2\nbrick 1x4,ash,3\n', 'open quote'],
    ['part,colour,qty\nbrick 1x2,"ash"y,1\nbrick 1x4,ash,3', 'open quote'],
  ])('%j is refused: %s', (text, fault) => expect(readDelimited(text)).toMatchObject({ reason: { fault } }));

  it('says in which line a quote opens', () =>
    expect(readDelimited('part,colour,qty\n"a\nb",ash,1\nbrick 1x2,ash,1\n"tile,ash,2\n')).toMatchObject({
      reason: { fault: 'open quote', line: 5 },
    }));

  it('a single row without a heading is a row', () =>
    expect(readDelimited('brick 1x2,ash,4')).toMatchObject({ ok: true, value: { heading: null } }));
});
