import { describe, expect, it } from 'vitest';
import { colourAt, paletteOfColours, shownLot } from '../testing/made-colours';
import { zoneId } from '../testing/workbench';
import { asId, type ColourId } from '../shared/ids';
import { judgeZones, SURE, type Judgement, type ZoneToJudge } from './judge';

const PALETTE = paletteOfColours(
  colourAt('stone', [60, 0, 0]),
  colourAt('stone-like', [65, 0, 0]),
  colourAt('stone-ish', [72, 0, 0]),
  colourAt('moss', [40, -40, 30]),
  colourAt('brick', [40, 50, 35], { family: 'red' as never }),
  colourAt('coral', [58, 50, 30], { family: 'red' as never }),
  colourAt('sea', [50, -10, -40]),
);
const ids = (names: readonly string[]) => names.map((n) => asId<ColourId>(n));
const zone = (
  lots: readonly string[],
  more: { set?: string[]; proposed?: string[]; name?: string } = {},
): ZoneToJudge => ({
  zone: zoneId('Wall'),
  name: more.name ?? 'Wall',
  lots: lots.map(shownLot),
  set: more.set ? ids(more.set) : null,
  proposed: ids(more.proposed ?? []),
});
/** What is said of the lots of one zone, by part and colour. */
const said = (
  lots: readonly string[],
  more: Parameters<typeof zone>[1] = {},
): Map<string, Omit<Judgement, 'lot'>> =>
  new Map(
    judgeZones([zone(lots, more)], PALETTE)[0]!.map(({ lot, ...rest }) => [
      `${lot.part} ${lot.colour}`,
      rest,
    ]),
  );
const WALL = ['60 brick 1x4 stone', '40 plate 2x4 stone'];

describe('beside a scheme that a person set', () => {
  it('what is in its colours is meant, and what is in another stands out', () => {
    const found = said([...WALL, '4 slope 45 2x2 moss', '4 brick 1x2 sea'], { set: ['stone', 'moss'] });
    expect([...found.keys()]).toEqual(['brick 1x2 sea']);
    expect(found.get('brick 1x2 sea')).toMatchObject({ kind: 'off scheme', sure: 0.7, evidence: null });
  });

  it('an empty one says nothing, and neither does one that has the only colour', () => {
    expect(said([...WALL, '4 brick 1x2 sea'], { set: [] }).size).toBe(0);
    expect(said(WALL, { set: ['stone'] }).size).toBe(0);
  });

  it('a near colour is a near miss, surer than a far one', () => {
    const found = said([...WALL, '4 brick 1x2 stone-like', '4 slope 45 2x2 moss'], { set: ['stone'] });
    expect(found.get('brick 1x2 stone-like')).toMatchObject({ to: 'stone', kind: 'near miss', sure: 0.75 });
    expect(found.get('slope 45 2x2 moss')).toMatchObject({ to: 'stone', kind: 'off scheme', sure: 0.7 });
  });

  it('a colour goes to what the same part has, or else its family, or else to the nearest', () => {
    const set = ['stone', 'moss', 'brick'];
    const to = (...more: string[]) => said([...WALL, ...more], { set }).get('brick 1x2 sea')!.to;
    expect(to('4 brick 1x2 sea', '3 brick 1x2 moss')).toBe('moss');
    expect(to('4 brick 1x2 sea', '90 brick 2x2 moss')).toBe('moss');
    expect(to('4 brick 1x2 sea', '20 brick 2x2 moss')).toBe('stone');
    expect(
      said(['4 brick 1x2 sea', '9 tile 2x2 moss'], { set: ['brick', 'stone'] }).get('brick 1x2 sea')!.to,
    ).toBe('stone');
  });

  it('a shade of a stripe of the scheme is a broken stripe; of its main colour it is none', () => {
    const of = (set: string[]) =>
      said(['4 brick 1x2 coral', '30 brick 2x4 brick', '60 brick 1x4 brick'], { set }).get(
        'brick 1x2 coral',
      )!;
    expect(of(['stone', 'brick'])).toMatchObject({ to: 'brick', kind: 'broken stripe' });
    expect(of(['brick', 'stone'])).toMatchObject({ to: 'brick', kind: 'off scheme' });
  });

  it('what is no wall, floor or roof is folded away', () => {
    const found = said([...WALL, '4 round brick 2x2 moss'], { set: ['stone'] });
    expect(found.get('round brick 2x2 moss')!.sure).toBeLessThan(SURE);
  });

  it('one of its own colours is told of only where very much speaks for it', () => {
    const lots = ['1 brick 1x2 stone-like', '60 brick 1x2 stone', ...WALL];
    const found = said(lots, { set: ['stone', 'stone-like'] });
    expect(found.get('brick 1x2 stone-like')).toMatchObject({ to: 'stone', kind: 'near miss' });
    expect(
      said(['20 brick 1x2 moss', '60 brick 1x2 stone', '30 tile 2x2 moss', ...WALL], {
        set: ['stone', 'moss'],
      }).size,
    ).toBe(0);
    // A colour that is not meant makes nothing of one that is.
    expect(
      said(['1 brick 1x2 stone-like', '60 brick 1x2 stone'], { set: ['stone-like'] }).has(
        'brick 1x2 stone-like',
      ),
    ).toBe(false);
  });

  it('what breaks with its like is told as that, and is as sure as any colour off the scheme', () => {
    const found = said(
      ['1 brick 1x2 moss', '60 brick 1x2 stone', ...WALL, '30 tile 2x2 moss', '30 slope 45 2x2 moss'],
      {
        set: ['stone'],
      },
    );
    expect(found.get('brick 1x2 moss')).toMatchObject({ to: 'stone', evidence: { like: 60 } });
    expect(found.get('brick 1x2 moss')!.sure).toBeGreaterThanOrEqual(0.7);
  });
});

describe('where no scheme was set, a part that is there in one colour', () => {
  const proposed = ['stone', 'brick'];
  const alone = (lot: string, ...more: string[]) =>
    said([lot, ...WALL, '40 brick 2x4 brick', ...more], { proposed }).get(lot.replace(/^\d+ /, ''));

  it('is held against the colours that the zone seems to have', () => {
    expect(alone('3 brick 1x2 stone-like')).toMatchObject({ to: 'stone', kind: 'near miss', sure: 0.6 });
    expect(alone('3 brick 1x2 stone-ish')).toMatchObject({ to: 'stone', kind: 'near miss', sure: 0.35 });
    expect(alone('3 slope 45 2x2 coral')).toMatchObject({ to: 'brick', kind: 'broken stripe', sure: 0.55 });
    expect(alone('3 brick 1x2 moss')).toMatchObject({ kind: 'off scheme', sure: 0.15 });
    expect(alone('3 brick 1x2 stone')).toBeUndefined();
  });

  it('is less sure where there is more of its colour, and says nothing of a far one', () => {
    expect(alone('30 brick 1x2 stone-like')).toMatchObject({ kind: 'near miss', sure: 0.3 });
    expect(alone('30 brick 1x2 stone-ish')).toMatchObject({ kind: 'near miss', sure: 0.2 });
    expect(alone('30 brick 1x2 moss')).toBeUndefined();
  });

  it('is less sure of what may be a sign, a lamp or a piece of ground', () => {
    expect(alone('3 brick 1x1 stone-like')!.sure).toBe(0.3);
    // A plate does not stand: a shade of a stripe is no break of it.
    expect(alone('3 plate 2x2 coral')).toMatchObject({ kind: 'off scheme' });
    expect(alone('3 brick 1x1 coral')).toMatchObject({ kind: 'off scheme' });
    // Nor where the shade has more parts of its own.
    expect(alone('3 slope 45 2x2 coral', '2 brick 1x8 coral')).toMatchObject({ kind: 'off scheme' });
  });

  it('says nothing of rounds, plants and windows, nor without colours to hold it against', () => {
    expect(alone('3 round brick 2x2 stone-like')).toBeUndefined();
    expect(said(['3 brick 1x2 stone-like', ...WALL], { proposed: [] }).size).toBe(0);
    expect(said(['3 brick 1x2 nowhere', ...WALL], { proposed: ['stone'] }).size).toBe(0);
    expect(said(['3 brick 1x2 moss', ...WALL], { proposed: ['nowhere'] }).size).toBe(0);
  });

  it('reads as the main colour gone wrong where it is a shade of that', () =>
    expect(
      said(['3 slope 45 2x2 coral', '40 brick 2x4 brick', '40 plate 2x4 brick'], { proposed: ['brick'] }).get(
        'slope 45 2x2 coral',
      ),
    ).toMatchObject({
      to: 'brick',
      kind: 'near miss',
      sure: 0.55,
    }));
});

describe('what a person said of colours once and for all', () => {
  const rule = (to: string | null) => ({
    id: 'r' as never,
    build: 'b' as never,
    zone: null,
    family: '',
    colour: asId<ColourId>('sea'),
    to: to === null ? null : asId<ColourId>(to),
  });
  it('counts before everything that is seen', () => {
    const judged = (to: string | null) =>
      judgeZones([zone(['2 brick 1x2 sea', '60 brick 1x2 stone', ...WALL])], PALETTE, [
        rule(to) as never,
      ])[0]!;
    expect(judged('moss')).toMatchObject([{ to: 'moss', kind: 'off scheme', sure: 1, evidence: null }]);
    expect(judged(null)).toEqual([]);
    // A colour that belongs where it is needs no word.
    expect(judged('sea')).toEqual([]);
  });
});

it('two sides are held against one another, each by its own name', () => {
  const port = zone(['20 tile 2x2 stone', '8 brick 2x2 stone', '2 brick 2x2 moss'], { name: 'Hull, port' });
  const starboard = zone(['20 tile 2x2 stone', '10 brick 2x2 stone'], { name: 'Hull, starboard' });
  const [left, right] = judgeZones([port, starboard], PALETTE);
  expect(left).toMatchObject([{ kind: 'mirror differs', to: 'stone', evidence: { mirror: 'differs' } }]);
  expect(right).toEqual([]);
  const [apart] = judgeZones([port, { ...starboard, name: 'Deck' }], PALETTE);
  expect(apart![0]!.evidence!.mirror).toBeNull();
});
