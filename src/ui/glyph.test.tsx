import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { PALETTE, shadeHex } from '@/core/colour';
import { ENTRY_KIND_NAMES } from '@/core/ledger';
import { FAMILIES } from '@/core/parts';
import { el } from '@/core/testing/world';
import { Glyph, LotGlyph, type GlyphMark } from './glyph';
import { Mark, MARK_OF } from './mark';
import { count, modNo, money, pieces, signed } from './numbers';
import { PaletteProvider } from './palette-context';

const draw = (node: React.ReactNode) =>
  renderToStaticMarkup(<PaletteProvider palette={PALETTE}>{node}</PaletteProvider>);
const hexOf = (name: string) => PALETTE.find((c) => c.name === name)!.hex;
const MARKS: GlyphMark[] = ['in', 'out', 'recoloured', 'renewed', 'placeholder', 'moved', 'hidden'];

describe('a drawn part', () => {
  it('is in its true colour, lit from above', () => {
    const svg = draw(<Glyph element={el('brick 2x4', 'kelp')} />);
    const fills = [...svg.matchAll(/fill="(#[0-9a-f]{6})"/g)].map((m) => m[1]);
    expect(fills).toContain(shadeHex(hexOf('kelp'), 1.05));
    expect(new Set(fills).size).toBeGreaterThanOrEqual(3);
  });

  it('has no number finer than can be seen, in any mark: a page has dozens', () => {
    for (const mark of MARKS) {
      const drawing = (
        <Glyph element={el('brick 1x3', 'kelp')} was={el('brick 1x3', 'ash')} mark={mark} size={34} />
      );
      expect(draw(drawing)).not.toMatch(/\.\d{4}/);
    }
  });

  it('weighs little however many studs it has: where their sides cannot be seen they are left out', () => {
    const [large, small] = [340, 34].map((size) =>
      draw(<Glyph element={el('plate 16x16', 'ash')} size={size} />),
    );
    expect(small!.length).toBeLessThan(25_000);
    expect(large!.length).toBeGreaterThan(2 * small!.length);
    // Every stud is still there.
    expect(small!.match(/a[\d.]+ [\d.]+ 0 1 0 [\d.]+ 0a/g)).toHaveLength(256);
    const few = draw(<Glyph element={el('brick 2x4', 'ash')} size={34} />);
    expect(few.match(/<path/g)!.length).toBeGreaterThan(4);
  });

  it('is drawn for every family, in every finish, without a broken number', () => {
    for (const family of FAMILIES)
      for (const colour of ['chalk', 'clear-sky', 'brass', 'glow-worm', 'moonstone']) {
        const svg = draw(<Glyph element={el(family.name, colour)} />);
        expect(svg).not.toMatch(/NaN|Infinity|undefined/);
        expect(svg).toContain('<path');
      }
  });

  it('is see-through when it is clear', () => {
    expect(draw(<Glyph element={el('pane 1x2x2', 'clear-sky')} />)).toContain('fill-opacity="0.55"');
    expect(draw(<Glyph element={el('pane 1x2x2', 'sky')} />)).toContain('fill-opacity="1"');
  });

  it('marks a print, in ink that can be seen on it', () => {
    const strokes = (colour: string, print: string) =>
      draw(<Glyph element={el('tile 2x2', colour, print)} />);
    expect(strokes('chalk', 'compass')).toContain('stroke="#161616"');
    expect(strokes('soot', 'compass')).toContain('stroke="#f4f4f4"');
    expect(strokes('chalk', '')).not.toContain('stroke="#161616"');
  });

  it('is drawn in grey when its colour is not known', () => {
    expect(draw(<Glyph element={el('brick 1x2', 'no-such-colour')} />)).toContain(shadeHex('#9a9a9a', 0.86));
  });

  it.each(MARKS.map((m) => [m]))('%s has a look of its own', (mark) => {
    const was = el('brick 1x2', 'deep');
    const one = draw(<Glyph element={el('brick 1x2', 'kelp')} mark={mark} was={was} />).replace(
      /«?:?r[0-9a-z]+:?»?|_R_[^"]*?_/g,
      '',
    );
    const others = MARKS.filter((m) => m !== mark).map((m) =>
      draw(<Glyph element={el('brick 1x2', 'kelp')} mark={m} was={was} />).replace(
        /«?:?r[0-9a-z]+:?»?|_R_[^"]*?_/g,
        '',
      ),
    );
    expect(others).not.toContain(one);
  });

  it('that is out is dashed and has no colour; that is recoloured has both', () => {
    const out = draw(<Glyph element={el('brick 1x2', 'kelp')} mark="out" />);
    expect(out).toContain('stroke-dasharray');
    expect(out).not.toMatch(/fill="#/);
    const both = draw(
      <Glyph element={el('brick 1x2', 'kelp')} mark="recoloured" was={el('brick 1x2', 'coral')} />,
    );
    for (const colour of ['kelp', 'coral']) expect(both).toContain(shadeHex(hexOf(colour), 0.86));
  });

  it('is said by its name where no name stands beside it, and is silent where one does', () => {
    expect(draw(<Glyph element={el('brick 1x2', 'ash')} />)).toContain('aria-hidden="true"');
    expect(draw(<LotGlyph element={el('brick 1x2', 'ash')} qty={4} />)).toContain(
      'aria-label="4 brick 1x2 ash"',
    );
  });

  it('keeps one scale: a small part is drawn smaller than a large one in the same box', () => {
    const view = (part: string) =>
      Number(
        /viewBox="[-\d.]+ [-\d.]+ ([\d.]+)/.exec(draw(<Glyph element={el(part, 'ash')} size={38} />))![1],
      );
    expect(view('brick 1x1')).toBe(view('plate 1x2'));
    expect(view('plate 8x16')).toBeGreaterThan(view('plate 1x2'));
  });
});

describe('marks', () => {
  it('there is one for every kind of entry, drawn and named', () => {
    for (const kind of ENTRY_KIND_NAMES) {
      const svg = renderToStaticMarkup(<Mark mark={MARK_OF[kind]} label={kind} />);
      expect(svg).toContain(`aria-label="${kind}"`);
      expect(svg).toMatch(/ d="M/);
    }
  });
});

describe('numbers', () => {
  it.each([
    [signed(55), '+55'],
    [signed(-8), '−8'],
    [signed(0), '0'],
    [signed(-1200), '−1,200'],
    [count(7812), '7,812'],
    [pieces(1), '1 piece'],
    [pieces(2), '2 pieces'],
    [modNo(3), 'M 03'],
    [modNo(120), 'M 120'],
    [money(3140), '£31.40'],
  ])('%s', (written, expected) => expect(written).toBe(expected));
});
