import { describe, expect, it } from 'vitest';
import sharp from 'sharp';
import { PALETTE } from '@/core/colour';
import type { SheetDocument } from '@/core/mod-sheet';
import { el } from '@/core/testing/world';
import { sheetPdf } from './sheet-pdf';

const sheet = (blocks: SheetDocument['blocks'], paper: SheetDocument['paper'] = 'A4'): SheetDocument => ({
  ...{ title: 'Pier house', author: 'Wren', paper, blocks },
});
const pagesOf = (pdf: Buffer) => (pdf.toString('latin1').match(/\/Type \/Page\b/g) ?? []).length;
const lots = Array.from({ length: 40 }, () => ({ element: el('brick 2x4', 'kelp'), qty: 2 }));

describe('a sheet as a PDF', () => {
  it('is one, on its paper, with as many pages as it takes', async () => {
    const short = await sheetPdf(sheet([{ is: 'text', text: 'Short.' }]), PALETTE, () => undefined);
    expect(short.subarray(0, 5).toString()).toBe('%PDF-');
    expect(pagesOf(short)).toBe(1);
    expect(short.toString('latin1')).toContain('[0 0 595.28 841.89]');
    const letter = await sheetPdf(sheet([], 'Letter'), PALETTE, () => undefined);
    expect(letter.toString('latin1')).toContain('[0 0 612 792]');
    const long = await sheetPdf(
      sheet(Array.from({ length: 6 }, () => ({ is: 'parts' as const, lots }))),
      PALETTE,
      () => undefined,
    );
    expect(pagesOf(long)).toBeGreaterThan(2);
  });

  it('takes every kind of block, and photos that are there', async () => {
    const photo = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#a3a8aa' } })
      .webp()
      .toBuffer();
    const blocks: SheetDocument['blocks'] = [
      { is: 'heading', text: 'Before and after', level: 2 },
      {
        is: 'pictures',
        pictures: [
          { photo: 'a', says: 'there' },
          { photo: 'b', says: 'gone' },
        ],
      },
      { is: 'table', head: ['Stage', 'pieces'], rows: [['As shipped', '412']] },
      { is: 'facts', rows: [['Mass', 'about 439 g']] },
      { is: 'list', items: ['one', 'two'] },
      {
        ...{ is: 'guide', says: 'Quay', w: 32, h: 9.6 },
        rects: [{ x: 0, y: 0, w: 32, h: 9.6, colour: 'kelp', label: '4' }],
      },
      { is: 'change', where: 'Wall', off: lots.slice(0, 1), on: lots.slice(0, 2) },
    ];
    const pdf = await sheetPdf(sheet(blocks), PALETTE, (id) => (id === 'a' ? photo : undefined));
    expect((pdf.toString('latin1').match(/\/Subtype \/Image/g) ?? []).length).toBe(1);
  });
});
