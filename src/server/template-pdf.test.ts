import { describe, expect, it } from 'vitest';
import { PAPERS, rulerDrawing, windowsOf, type Drawing } from '@/core/stickers';
import { templatePdf } from './template-pdf';

const MM = 72 / 25.4;
const wide: Drawing = {
  title: 'A long piece',
  says: ['300 x 20 mm'],
  w: 300,
  h: 20,
  shapes: [{ kind: 'rect', x: 0, y: 0, w: 300, h: 20, look: 'piece' }],
};

/** Pages of a PDF, and the size of their paper, read from the file itself. */
function pagesOf(pdf: Buffer): { pages: number; w: number; h: number } {
  const text = pdf.toString('latin1');
  const [, w = '0', h = '0'] = /\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/.exec(text) ?? [];
  return { pages: (text.match(/\/Type \/Page\b/g) ?? []).length, w: Number(w), h: Number(h) };
}

describe('templates on paper', () => {
  it.each(['A4', 'Letter'] as const)('stand on %s, at true size', async (paper) => {
    const pdf = await templatePdf('Stripes', [rulerDrawing()], ['Cut away from the hand.'], paper);
    expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
    const { pages, w, h } = pagesOf(pdf);
    expect(pages).toBe(1);
    expect(w).toBeCloseTo(PAPERS[paper].w * MM, 1);
    expect(h).toBeCloseTo(PAPERS[paper].h * MM, 1);
  });

  it('go on over as many pages as they need', async () => {
    const tall = { ...wide, w: 100, h: 180 };
    expect(pagesOf(await templatePdf('Many', [tall, tall, tall], [], 'A4')).pages).toBe(3);
  });

  it('come in parts that meet, where a drawing is larger than the page', () => {
    const parts = windowsOf([wide], { w: 170, h: 240 });
    expect(parts.map((p) => [p.x, p.w, p.part, p.parts])).toEqual([
      [0, 170, 1, 2],
      [170, 130, 2, 2],
    ]);
    expect(windowsOf([rulerDrawing()], { w: 170, h: 240 })).toHaveLength(1);
  });
});
