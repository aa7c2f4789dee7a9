import { describe, expect, it } from 'vitest';
import { colourAt, paletteOfColours, shownLot } from '../testing/made-colours';
import { isAccent, suspicionOf, ZoneColours } from './suspicion';
import type { PartId } from '../shared/ids';

const PALETTE = paletteOfColours(
  colourAt('stone', [60, 0, 0]),
  // A little off stone, clearly off it, and another colour.
  colourAt('stone-like', [65, 0, 0]),
  colourAt('stone-ish', [74, 0, 0]),
  colourAt('moss', [40, -40, 30]),
  colourAt('brick', [40, 50, 35], { family: 'red' as never }),
  colourAt('coral', [58, 50, 30], { family: 'red' as never }),
  colourAt('sea', [50, -10, -40]),
  colourAt('sand', [75, 5, 30]),
);
const zoneOf = (...lots: string[]) => new ZoneColours(lots.map(shownLot));
/** What is said of the first lot beside the others. */
const said = (lots: readonly string[], mirror?: readonly string[]) =>
  suspicionOf(shownLot(lots[0]!), zoneOf(...lots), PALETTE, mirror ? zoneOf(...mirror) : null);
const sure = (...lots: string[]) => said(lots)?.sure ?? 0;
const WALL = ['60 brick 1x4 stone', '40 plate 2x4 stone'];

describe('the colours of a zone', () => {
  const zone = zoneOf('6 brick 1x2 stone', '4 brick 1x2 moss', '3 tile 1x2 moss', '2 brick 1x2 moss');
  const part = 'brick 1x2' as PartId;
  it('are counted by part and by colour, lots of the same together', () => {
    expect([zone.pieces, zone.total(part), zone.qty(part, shownLot('1 x moss').colour)]).toEqual([15, 12, 6]);
    expect(zone.piecesIn(shownLot('1 x moss').colour)).toBe(9);
    expect(zone.piecesIn(shownLot('1 x nothing').colour)).toBe(0);
    expect([...zone.partsIn(shownLot('1 x moss').colour)]).toEqual([
      ['brick 1x2', 6],
      ['tile 1x2', 3],
    ]);
  });
  it('lead a part that is more than half of them', () => {
    expect(zone.ledBy(shownLot('1 x moss').colour)).toEqual(['tile 1x2']);
    expect(zone.ledBy(shownLot('1 x stone').colour)).toEqual([]);
  });
  it('come most first', () =>
    expect(
      zoneOf('2 brick 1x2 sea', '9 brick 1x2 moss', '4 brick 1x2 stone')
        .coloursOf(part)
        .map(([, n]) => n),
    ).toEqual([9, 4, 2]));
});

describe('a few pieces of a part that comes mostly in another colour are suspect', () => {
  it('to the colour that most of the like have, with what speaks for it', () => {
    expect(said(['2 brick 1x2 moss', '40 brick 1x2 stone', ...WALL])).toMatchObject({
      to: 'stone',
      evidence: { like: 40, elsewhere: 0, leads: 0, mirror: null },
    });
    expect(
      said(['2 brick 1x2 moss', '40 brick 1x2 stone', '3 tile 2x2 moss', ...WALL])!.evidence,
    ).toMatchObject({
      elsewhere: 3,
      leads: 1,
    });
  });

  it('and not at all without like, beside fewer, or of a colour nobody knows', () => {
    expect(said(['2 brick 1x2 moss', ...WALL])).toBeUndefined();
    expect(said(['4 brick 1x2 moss', '4 brick 1x2 stone', ...WALL])).toBeUndefined();
    expect(said(['4 brick 1x2 moss', '3 brick 1x2 stone', ...WALL])).toBeUndefined();
    expect(said(['2 brick 1x2 nowhere', '40 brick 1x2 stone'])).toBeUndefined();
    expect(said(['2 brick 1x2 moss', '40 brick 1x2 nowhere'])).toBeUndefined();
  });

  it('the more, the fewer they are', () => {
    const of = (n: number) => sure(`${n} brick 1x2 moss`, '100 brick 1x2 stone', ...WALL);
    const steps = [10, 25, 40, 60, 80, 99].map(of);
    for (let i = 1; i < steps.length; i++) expect(steps[i]).toBeLessThan(steps[i - 1]!);
    // Within a step it is the share that counts, and not the number.
    expect(of(5)).toBe(of(10));
    expect(of(11)).toBe(of(25));
  });

  it('the more, the nearer the colours; shades of one hue more than two that have nothing in common', () => {
    const of = (colour: string) => sure(`4 brick 1x2 ${colour}`, '40 brick 1x2 stone', ...WALL);
    expect(of('stone-like')).toBeGreaterThan(of('stone-ish'));
    expect(of('stone-ish')).toBeGreaterThan(of('moss'));
    expect(of('moss')).toBe(of('sea'));
    const red = sure('4 brick 1x2 coral', '40 brick 1x2 brick', ...WALL);
    expect(red).toBeGreaterThan(sure('4 brick 1x2 moss', '40 brick 1x2 brick', ...WALL));
  });

  it('the less, the more the colour does elsewhere in the zone', () => {
    const base = ['4 brick 1x2 moss', '40 brick 1x2 stone', ...WALL];
    const alone = sure(...base);
    const oneOther = sure(...base, '1 brick 1x4 moss');
    const twoOthers = sure(...base, '1 brick 1x4 moss', '1 plate 2x4 moss');
    const many = sure(...base, '10 brick 1x4 moss', '10 plate 2x4 moss');
    expect(alone).toBeGreaterThan(oneOther);
    expect(oneOther).toBeGreaterThan(twoOthers);
    expect(twoOthers).toBeGreaterThan(many);
    const leads = sure(...base, '12 slope 45 2x2 moss', '12 tile 2x2 moss');
    expect(leads).toBeLessThan(many);
    // A part of the same family that is the colour's own says more than one of another.
    expect(sure(...base, '30 brick 2x4 moss')).toBeLessThan(sure(...base, '30 tile 2x2 moss'));
    // A few pieces that it leads say less than many, and an accent hardly anything.
    expect(sure(...base, '3 tile 2x2 moss')).toBeGreaterThan(sure(...base, '30 tile 2x2 moss'));
    expect(sure(...base, '3 round brick 1x1 moss')).toBeGreaterThan(sure(...base, '3 tile 2x2 moss'));
  });

  it('a near colour that has a few parts of its own is still taken for the other', () => {
    const near = ['4 brick 1x2 stone-like', '40 brick 1x2 stone', ...WALL];
    const far = ['4 brick 1x2 moss', '40 brick 1x2 stone', ...WALL];
    const drop = (lots: readonly string[], colour: string) =>
      sure(...lots) - sure(...lots, `3 tile 2x2 ${colour}`);
    expect(drop(near, 'stone-like')).toBeLessThan(drop(far, 'moss'));
  });

  it('the less, the more colours the part comes in; and of accents', () => {
    const base = ['4 brick 1x2 moss', '40 brick 1x2 stone', ...WALL];
    expect(sure(...base, '3 brick 1x2 sea')).toBeLessThan(sure(...base));
    expect(sure(...base, '3 brick 1x2 sea', '3 brick 1x2 sand')).toBeLessThan(
      sure(...base, '3 brick 1x2 sea'),
    );
    const of = (part: string) => sure(`4 ${part} moss`, `40 ${part} stone`, ...WALL);
    expect(of('brick 1x1')).toBeLessThan(of('brick 1x2'));
    expect(of('round brick 2x2')).toBeLessThan(of('brick 1x1'));
  });
});

describe('what the mirrored side has', () => {
  const here = ['4 brick 1x2 moss', '20 brick 1x2 stone', ...WALL];
  const there = (...lots: string[]) => said(here, [...lots, ...WALL]);
  const without = said(here)!;

  it('the colour that belongs there in place of these speaks against them', () => {
    const differs = there('24 brick 1x2 stone')!;
    expect(differs.evidence.mirror).toBe('differs');
    expect(differs.kind).toBe('mirror differs');
    expect(differs.sure).toBeGreaterThan(without.sure);
  });
  it('the same speaks for a purpose, also where it has more of it', () => {
    for (const same of [
      there('4 brick 1x2 moss', '20 brick 1x2 stone'),
      there('6 brick 1x2 moss', '18 brick 1x2 stone'),
    ]) {
      expect(same!.evidence.mirror).toBe('the same');
      expect(same!.sure).toBeLessThan(without.sure);
    }
  });
  it('another number of the part, some of the colour, or a third in its place says nothing', () => {
    for (const other of [
      there('23 brick 1x2 stone'),
      there('2 brick 1x2 moss', '22 brick 1x2 stone'),
      there('20 brick 1x2 stone', '4 brick 1x2 sea'),
    ]) {
      expect(other!.evidence.mirror).toBeNull();
      expect(other!.sure).toBe(without.sure);
    }
  });
});

describe('what sort of mistake it is', () => {
  it('a near miss where the two are taken for one another', () =>
    expect(said(['4 brick 1x2 stone-like', '40 brick 1x2 stone', ...WALL])!.kind).toBe('near miss'));
  it('a broken stripe where the colour has parts of its own and is not the main one', () => {
    const stripe = ['40 brick 1x2 brick', '20 slope 45 2x2 brick', '200 brick 2x4 stone'];
    expect(said(['4 brick 1x2 moss', ...stripe])!.kind).toBe('broken stripe');
    expect(said(['4 brick 1x2 moss', '40 brick 1x2 brick', '200 brick 2x4 stone'])!.kind).toBe('odd one');
    expect(said(['4 brick 1x2 moss', '40 brick 1x2 stone', ...WALL])!.kind).toBe('odd one');
  });
});

it.each([
  ['brick 1x1', true],
  ['brick 1x2', false],
  ['tile 1x2', true],
  ['plate 1x2', true],
  ['tile 1x3', false],
  ['round brick 2x2', true],
  ['slope 45 1x2', false],
])('%s is an accent: %s', (part, accent) => expect(isAccent(part as PartId)).toBe(accent));
