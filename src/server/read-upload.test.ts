import { describe, expect, it } from 'vitest';
import writeXlsxFile from 'write-excel-file/node';
import { TABLE } from '@/core/shared/bounds';
import { seededRandom } from '@/core/shared/random';
import { readUpload } from './read-upload';
import { zipOf } from './testing/zip';

const bytes = (text: string) => new TextEncoder().encode(text);

describe('reading uploads by their content', () => {
  it('reads XLSX', async () => {
    const cells = [
      ['What', 'Shade', 'How many'].map((value) => ({ value })),
      [{ value: 'plate 2x3' }, { value: 'chalk' }, { value: 4, type: Number }],
    ];
    const file = await writeXlsxFile(cells as never).toBuffer();
    const read = await readUpload(file);
    expect(read).toMatchObject({
      ok: true,
      value: { heading: ['What', 'Shade', 'How many'], rows: [['plate 2x3', 'chalk', '4']] },
    });
  });

  it.each([
    ['UTF-8', bytes('part,colour,qty\nplate 2x3,chälk,4')],
    [
      'UTF-16 with its mark',
      Uint8Array.from([0xff, 0xfe, ...Buffer.from('part,colour,qty\nplate 2x3,chälk,4', 'utf16le')]),
    ],
    [
      'the old Western encoding',
      Uint8Array.from(Buffer.from('part,colour,qty\nplate 2x3,chälk,4', 'latin1')),
    ],
  ])('reads text in %s', async (_, data) =>
    expect(await readUpload(data)).toMatchObject({
      ok: true,
      value: { rows: [['plate 2x3', 'chälk', '4']] },
    }),
  );

  it('refuses what is too large, damaged, old or no table', async () => {
    expect(await readUpload(new Uint8Array(TABLE.bytes + 1))).toMatchObject({
      reason: { fault: 'too large' },
    });
    expect(await readUpload(Uint8Array.from([0x50, 0x4b, 3, 4, 9, 9, 9]))).toMatchObject({
      reason: { fault: 'unreadable' },
    });
    expect(await readUpload(Uint8Array.from([0xd0, 0xcf, 0x11, 0xe0, 1]))).toMatchObject({
      reason: { fault: 'old spreadsheet' },
    });
    expect(await readUpload(Uint8Array.from([0, 1, 2, 0]))).toMatchObject({
      reason: { fault: 'not a table' },
    });
    expect(await readUpload(bytes(''))).toMatchObject({ reason: { fault: 'empty' } });
    const rows = `part,colour,qty\n${'brick 1x2,ash,1\n'.repeat(50_001)}`;
    expect(await readUpload(bytes(rows))).toMatchObject({ reason: { fault: 'too many rows' } });
  });

  it('refuses a small file that says it unpacks to a huge one', async () => {
    const bomb = new Uint8Array(80);
    const view = new DataView(bomb.buffer);
    view.setUint32(0, 0x04034b50, true);
    view.setUint32(20, 0x02014b50, true);
    view.setUint32(44, 0xfffffff0, true);
    expect(await readUpload(bomb)).toMatchObject({
      reason: { fault: expect.stringMatching(/too large|unreadable/) },
    });
  });
});

const RELS = '<Relationships><Relationship Id="r1" Target="worksheets/sheet1.xml"/></Relationships>';
const BOOK = '<workbook><sheets><sheet name="a" r:id="r1"/></sheets></workbook>';
/** A spreadsheet file whose one sheet has these rows, as XML. */
const sheet = (rows: string, more: Record<string, string | Buffer> = {}): Uint8Array =>
  zipOf({
    'xl/workbook.xml': BOOK,
    'xl/_rels/workbook.xml.rels': RELS,
    'xl/worksheets/sheet1.xml': `<worksheet><sheetData>${rows}</sheetData></worksheet>`,
    ...more,
  });
const cell = (at: string, text: string) => `<c r="${at}" t="inlineStr"><is><t>${text}</t></is></c>`;
const GOOD = `<row r="1">${cell('A1', 'Part')}${cell('B1', 'Colour')}${cell('C1', 'Qty')}</row><row r="2">${cell('A2', 'brick 1x2')}${cell('B2', 'ash')}<c r="C2"><v>4</v></c></row>`;

describe('a spreadsheet that is made to be costly ends at a bound', () => {
  it('one stray cell in the last column there is', async () => {
    const stray = `<row r="1048576">${cell('XFD1048576', 'x')}</row>`;
    expect(await readUpload(sheet(GOOD + stray))).toEqual({
      ok: false,
      reason: { fault: 'too many columns', columns: 16_384, line: 1_048_576 },
    });
  });

  it('a row beyond any sheet', async () =>
    expect(
      await readUpload(sheet(`${GOOD}<row r="4000000000">${cell('A4000000000', 'x')}</row>`)),
    ).toMatchObject({
      reason: { fault: 'unreadable' },
    }));

  it('a stray cell far below is one more row, with its own line', async () => {
    const read = await readUpload(sheet(`${GOOD}<row r="900000">${cell('A900000', 'tile 1x2')}</row>`));
    expect(read).toMatchObject({ ok: true, value: { lines: [2, 900_000], columns: 3 } });
  });

  it('a flood of spaces', async () => {
    const spaces = Buffer.alloc(150 * 1024 * 1024, 0x20);
    const flood = sheet('', {
      'xl/worksheets/sheet1.xml': Buffer.concat([Buffer.from('<worksheet>'), spaces]),
    });
    expect(flood.byteLength).toBeLessThan(1_000_000);
    expect(await readUpload(flood)).toMatchObject({ reason: { fault: 'too large' } });
  });

  it('a million and a half rows', async () => {
    const rows = Array.from(
      { length: 1_500_000 },
      (_, i) => `<row r="${i + 1}"><c r="A${i + 1}"><v>1</v></c></row>`,
    );
    expect(await readUpload(sheet(rows.join('')))).toMatchObject({ reason: { fault: 'too many rows' } });
  });

  it('defined entities, a page that never ends, thousands of parts', async () => {
    const entity = '<!DOCTYPE x [<!ENTITY a "aaaa">]><worksheet>&a;</worksheet>';
    expect(await readUpload(sheet('', { 'xl/worksheets/sheet1.xml': entity }))).toMatchObject({
      reason: { fault: 'unreadable' },
    });
    const many = Object.fromEntries(Array.from({ length: 2500 }, (_, i) => [`x${i}`, '']));
    expect(await readUpload(sheet(GOOD, many))).toMatchObject({ reason: { fault: 'too large' } });
  });
});

describe('a spreadsheet as people have them', () => {
  it('shared texts, numbers, days, yes and no, gaps and empty rows', async () => {
    const read = await readUpload(
      sheet(
        `<row r="1"><c r="A1" t="s"><v>0</v></c><c r="B1" t="s"><v>1</v></c><c r="C1" t="s"><v>2</v></c><c r="D1" t="s"><v>3</v></c></row><row r="3"><c r="A3" t="s"><v>4</v></c><c r="C3"><v>12</v></c><c r="D3" s="1"><v>45292</v></c></row><row r="4"><c r="A4" t="str"><v>tile 1x2</v></c><c r="B4" t="b"><v>1</v></c><c r="C4" t="e"><v>#N/A</v></c></row>`,
        {
          'xl/sharedStrings.xml':
            '<sst><si><t>Part</t></si><si><r><t>Col</t></r><r><t>our</t></r></si><si><t>Qty</t></si><si><t>From</t><rPh><t>no</t></rPh></si><si><t xml:space="preserve"> brick  1x2 </t></si></sst>',
          'xl/styles.xml':
            '<styleSheet><numFmts><numFmt numFmtId="170" formatCode="dd/mm/yyyy"/></numFmts><cellXfs><xf numFmtId="0"/><xf numFmtId="170"/></cellXfs></styleSheet>',
        },
      ),
    );
    expect(read).toEqual({
      ok: true,
      value: {
        heading: ['Part', 'Colour', 'Qty', 'From'],
        rows: [
          ['brick 1x2', '', '12', '2024-01-01'],
          ['tile 1x2', 'yes', '', ''],
        ],
        lines: [3, 4],
        columns: 4,
      },
    });
  });
});

describe('damaged on the way', () => {
  it('a file with any byte changed or its end cut off is read or refused, and nothing else', async () => {
    const random = seededRandom(5);
    const good = sheet(GOOD);
    for (let n = 0; n < 25; n++) {
      const bad = Uint8Array.from(good);
      for (let k = 0; k < 4; k++) bad[Math.floor(random() * bad.length)] = Math.floor(random() * 256);
      const read = await readUpload(n % 3 === 0 ? bad.slice(0, Math.floor(random() * bad.length)) : bad);
      expect(typeof read.ok).toBe('boolean');
    }
  });
});
