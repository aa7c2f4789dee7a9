import { describe, expect, it } from 'vitest';
import { colourAt, paletteOfColours } from '../testing/made-colours';
import { makeWorkbench, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import { asId, type ColourId } from '../shared/ids';
import { agreeToSchemes, setScheme } from './index';
import { isJudged, proposeScheme } from './scheme';
import type { SeenLot } from './seen-lots';

const PALETTE = paletteOfColours(
  colourAt('stone', [60, 0, 0]),
  colourAt('stone-ish', [66, 0, 0]),
  colourAt('tile-red', [40, 50, 35]),
  colourAt('moss', [40, -40, 30]),
  colourAt('sea', [50, -10, -40]),
  colourAt('glass', [80, 0, 0], { finish: 'transparent' as never }),
);

/** "24 brick 2x4 stone", each piece weighing as given, one unless it is said. */
function lot(text: string, each = 1): SeenLot {
  const [, qty, part, colour] = /^(\d+) (.+) (\S+)$/.exec(text)!;
  const seenQty = Number(qty);
  return {
    zone: zoneId('Wall'),
    element: el(part!, colour!),
    colour: asId<ColourId>(colour!),
    qty: seenQty,
    seenQty,
    seen: 'some sides',
    said: false,
    weight: seenQty * each,
  };
}
const proposed = (...lots: readonly (string | SeenLot)[]) =>
  proposeScheme(
    lots.map((l) => (typeof l === 'string' ? lot(l) : l)),
    PALETTE,
  );

describe('the scheme that a zone seems to have', () => {
  it('is its colours by how much of them is seen, most first', () => {
    expect(proposed('10 brick 2x4 tile-red', '40 brick 1x2 stone', '20 plate 2x2 moss')).toEqual([
      'stone',
      'moss',
      'tile-red',
    ]);
    // What is seen counts, not how many there are.
    expect(proposed(lot('10 brick 2x4 tile-red', 0.9), lot('40 brick 1x2 stone', 0.1))).toEqual([
      'tile-red',
      'stone',
    ]);
    expect(proposed()).toEqual([]);
  });

  it('has a colour of a sixteenth or more, by pieces or by weight', () => {
    const rest = [lot('47 brick 1x2 stone'), lot('47 plate 1x2 stone')];
    expect(proposed(...rest, '6 tile 2x2 moss')).toContain('moss');
    // Five of a hundred are too few, unless they are what is seen.
    const five = ['3 tile 2x2 moss', '3 slope 45 2x2 moss'] as const;
    const many = [lot('100 brick 1x2 stone'), lot('94 plate 1x2 stone')];
    expect(proposed(...many, ...five)).not.toContain('moss');
    const unseen = [lot('100 brick 1x2 stone', 0.1), lot('94 plate 1x2 stone', 0.1)];
    expect(proposed(...unseen, ...five)).toContain('moss');
  });

  it('has a colour of one part only from six pieces of it on', () => {
    expect(proposed('30 brick 1x2 stone', '5 tile 2x2 moss')).toEqual(['stone']);
    expect(proposed('30 brick 1x2 stone', '6 tile 2x2 moss')).toEqual(['stone', 'moss']);
    expect(proposed('30 brick 1x2 stone', '2 tile 2x2 moss', '2 slope 45 2x2 moss')).toEqual([
      'stone',
      'moss',
    ]);
  });

  it('takes a near colour that is less than half as much for the larger one gone wrong', () => {
    expect(proposed('40 brick 1x2 stone', '20 tile 2x2 stone-ish')).toEqual(['stone']);
    expect(proposed('40 brick 1x2 stone', '21 tile 2x2 stone-ish')).toEqual(['stone', 'stone-ish']);
    expect(proposed('40 brick 1x2 stone', '20 tile 2x2 sea')).toEqual(['stone', 'sea']);
    // Beside a third colour it is the larger near one that counts.
    expect(proposed('90 tile 1x4 moss', '40 brick 1x2 stone', '12 tile 2x2 stone-ish')).toEqual([
      'moss',
      'stone',
    ]);
  });

  it('counts no slip for its colour: a few of a part that is otherwise another colour', () => {
    const strays = ['2 brick 1x2 moss', '2 brick 1x4 moss', '2 plate 1x2 moss'] as const;
    expect(proposed('30 brick 1x2 stone', '30 brick 1x4 stone', '30 plate 1x2 stone', ...strays)).toEqual([
      'stone',
    ]);
  });

  it('leaves out what is not held against any scheme', () => {
    const own = ['12 plant 1x1 moss', '12 tile 2x2 glass'] as const;
    expect(proposed('20 brick 1x2 stone', ...own)).toEqual(['stone']);
    expect(proposed('20 brick 1x2 stone', { ...lot('12 tile 2x2 moss'), seenQty: 0 })).toEqual(['stone']);
    expect(
      proposed('20 brick 1x2 stone', {
        ...lot('12 tile 2x2 moss'),
        element: el('tile 2x2', 'moss', 'clock'),
      }),
    ).toEqual(['stone']);
  });
});

describe('what is held against a scheme', () => {
  it.each([
    ['plain and solid', lot('3 brick 1x2 stone'), true],
    ['not seen', { ...lot('3 brick 1x2 stone'), seenQty: 0 }, false],
    ['less than none', { ...lot('3 brick 1x2 stone'), seenQty: -1 }, false],
    ['printed', { ...lot('3 tile 1x2 stone'), element: el('tile 1x2', 'stone', 'clock') }, false],
    ['transparent', lot('3 brick 1x2 glass'), false],
    ['of no known colour', lot('3 brick 1x2 nowhere'), false],
    ['of a family with colours of its own', lot('3 flag 2x2 stone'), false],
  ])('%s', (_, of, judged) => expect(isJudged(of, PALETTE)).toBe(judged));
});

describe('what a person says of schemes', () => {
  const bench = makeWorkbench({ zones: { Wall: ['8 brick 1x2 slate'], Roof: ['8 tile 1x2 ash'] } });
  const slate = asId<ColourId>('slate');
  const at = (name: string, scheme: readonly ColourId[]) => ({ zone: zoneId(name), scheme });

  it('is named by the zone, or by how many there are', () => {
    expect(setScheme(bench, zoneId('Wall'), [slate]).label).toBe('set the scheme of Wall');
    expect(setScheme(bench, zoneId('nowhere'), [slate]).label).toBe('set the scheme of ');
    expect(agreeToSchemes(bench, [at('Wall', [slate])]).label).toBe('agree to the scheme of Wall');
    expect(agreeToSchemes(bench, [at('Wall', [slate]), at('Roof', [slate])]).label).toContain('2');
  });

  it('agrees to what is proposed, and to nothing where nothing is or where it was set', () => {
    const agreed = agreeToSchemes(bench, [at('Wall', [slate]), at('Roof', [])]);
    expect(agreed.diff.added).toMatchObject([
      { type: 'scheme', record: { zone: zoneId('Wall'), colours: [slate] } },
    ]);
  });
});
