import { createHash } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { PALETTE } from '../colour';
import { escaped } from '../shared/escaped';
import { el } from '../testing/world';
import { did, doneAndBack, makeWorkbench } from '../testing/workbench';
import { photosOf, sheetSchema, type SheetDocument } from './document';
import { sheetHtml, styleFor } from './html';
import { keepModSheet, modSheetOf } from './mod-sheet-of';

const ash = el('brick 2x4', 'ash');
const sheet = (blocks: SheetDocument['blocks'], more: Partial<SheetDocument> = {}): SheetDocument => ({
  ...{ title: 'Pier house', author: '', paper: 'A4', blocks },
  ...more,
});
const html = (s: SheetDocument, data: object | null = null, pictures = new Map<string, string>()) =>
  sheetHtml(s, { palette: PALETTE, pictures, data });

describe('a sheet as a file', () => {
  it('lets through its own style and nothing else', () => {
    for (const paper of ['A4', 'Letter'] as const) {
      const text = html(sheet([], { paper }));
      const hash = createHash('sha256').update(styleFor(paper)).digest('base64');
      expect(text).toContain(`style-src 'sha256-${hash}'`);
      expect(text).toContain(`<style>${styleFor(paper)}</style>`);
      expect(text).toContain("default-src 'none'");
      expect(text).toContain(`size:${paper}`);
    }
  });

  it('makes no markup of what a person typed, wherever it stands', () => {
    const evil = `<img src=x onerror=alert(1)>"'</script><script>alert(2)</script>&`;
    const text = html(
      sheet(
        [
          { is: 'heading', text: evil, level: 2 },
          { is: 'text', text: evil },
          { is: 'list', items: [evil] },
          { is: 'facts', rows: [[evil, evil]] },
          { is: 'table', head: [evil], rows: [[evil, evil]] },
          { is: 'change', where: evil, off: [], on: [] },
          { is: 'pictures', pictures: [{ photo: 'p', says: evil }] },
        ],
        { title: evil, author: evil },
      ),
      { note: evil },
      new Map([['p', 'data:image/webp;base64,AAAA']]),
    );
    expect(text).not.toContain('<img src=x');
    expect(text.match(/<script/g)).toHaveLength(1);
    expect(text.match(/<\/script>/g)).toHaveLength(1);
    const tags = text.replace(/"[^"]*"/g, '""').match(/<\w[^<>]*>/g)!;
    expect(tags.filter((t) => / on\w+=/.test(t))).toEqual([]);
    const inside = /<script type="application\/json" id="mod">(.*)<\/script>/.exec(text)![1]!;
    expect(JSON.parse(inside)).toEqual({ note: evil });
  });

  it('fetches nothing: no address of the web in it, and only pictures that are in it', () => {
    const pictures = new Map([
      ['a', 'data:image/webp;base64,AAAA'],
      ['b', 'https://elsewhere.example/x.png'],
      ['c', 'data:text/html;base64,AAAA'],
    ]);
    const block = {
      is: 'pictures' as const,
      pictures: ['a', 'b', 'c', 'd'].map((photo) => ({ photo, says: photo })),
    };
    const text = html(sheet([block]), null, pictures);
    expect(text.match(/<img/g)).toHaveLength(1);
    expect(text).not.toMatch(/https?:/);
    expect(photosOf(sheet([block, block]))).toEqual(['a', 'b', 'c', 'd']);
  });

  it('draws each part once, in its colour, however often it stands', () => {
    const lot = { element: ash, qty: 3 };
    const text = html(
      sheet([
        { is: 'parts', lots: [lot] },
        { is: 'change', where: 'Wall', off: [lot], on: [{ element: el('brick 2x4', 'kelp'), qty: 3 }] },
      ]),
    );
    expect(text.match(/<symbol/g)).toHaveLength(2);
    expect(text.match(/<use/g)).toHaveLength(3);
    expect(text).toContain('<b>3</b> <bdi>brick 2x4 ash</bdi> off');
  });

  it('keeps every letter that is safe', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), (t) => {
        const back = escaped(t).replace(
          /&(lt|gt|quot|#39|amp);/g,
          (_, k: string) => ({ lt: '<', gt: '>', quot: '"', '#39': "'", amp: '&' })[k]!,
        );
        expect(back).toBe(t);
        expect(escaped(t)).not.toMatch(/[<>"']/);
      }),
    );
  });
});

describe('how a mod is told', () => {
  it('is all of it and nothing private at first, kept, and taken back', () => {
    const b = makeWorkbench({ zones: { Wall: [] } });
    const first = modSheetOf(b);
    expect(first).toMatchObject({ title: 'Test', tells: [], paper: 'A4' });
    expect(first.parts).toHaveLength(11);
    doneAndBack(b, keepModSheet(b, { ...first, parts: ['tally'], tells: ['prices'] }));
    did(b, keepModSheet(b, { ...modSheetOf(b), title: 'Pier' }));
    expect(modSheetOf(b)).toMatchObject({ title: 'Pier', parts: ['tally'], tells: ['prices'] });
  });

  it('is refused where it is none', () => {
    expect(sheetSchema.safeParse(sheet([{ is: 'text', text: 'x' }])).success).toBe(true);
    expect(sheetSchema.safeParse(sheet([{ is: 'script', text: 'x' } as never])).success).toBe(false);
    expect(sheetSchema.safeParse({ ...sheet([]), more: 1 }).success).toBe(false);
  });
});
