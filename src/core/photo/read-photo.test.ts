import { describe, expect, it } from 'vitest';
import { deltaE00, PALETTE, type LabD65 } from '../colour';
import { seededRandom } from '../shared/random';
import { paintPhoto, readPhoto, type PaintedPatch, type PhotoMarks, type PhotoScene } from './index';

const lab = (l: number, a: number, b: number): LabD65 => ({ l, a, b, white: 'D65' });
const hexLab = (name: string) => PALETTE.find((c) => c.name === name)!.lab;
const GREY = lab(49.5, 0, 0);
const WHITE = lab(95.997, 0, 0);
const NAMES = [
  'chalk',
  'bone',
  'ash',
  'slate',
  'dune',
  'brick-red',
  'kelp',
  'bark',
  'sky',
  'harbour',
  'soot',
];

const patch = (i: number, colour: LabD65, glare = false): PaintedPatch => ({
  x: 10 + (i % 4) * 60,
  y: 10 + Math.floor(i / 4) * 60,
  width: 50,
  height: 50,
  lab: colour,
  glare,
});
const middle = (p: PaintedPatch, radius = 16) => ({ x: p.x + p.width / 2, y: p.y + p.height / 2, radius });

/** A card first, then the patches; marks on all of them. */
function scene(colours: readonly LabD65[], kelvin: number, more: Partial<PhotoScene> = {}, glare = false) {
  const patches = [GREY, ...colours].map((c, i) => patch(i, c, glare && i > 0));
  const photo: PhotoScene = {
    width: 260,
    height: 200,
    background: lab(30, 0, 2),
    patches,
    kelvin,
    exposure: 0.9,
    noise: 0.004,
    ...more,
  };
  const marks: PhotoMarks = {
    cards: [middle(patches[0]!)],
    card: 'grey',
    spots: patches.slice(1).map((p) => middle(p)),
  };
  return { photo, marks, patches };
}

const read = (photo: PhotoScene, marks: PhotoMarks, seed = 1) => {
  const result = readPhoto(paintPhoto(photo, seededRandom(seed)), marks);
  if (!result.ok) throw new Error(JSON.stringify(result.reason));
  return result.value;
};

/** From a candle to open shade. */
const CASTS: readonly [string, number][] = [
  ['candle', 1900],
  ['bulb', 2700],
  ['halogen', 3200],
  ['tube', 4200],
  ['noon', 5500],
  ['overcast', 6504],
  ['shade', 8500],
];

describe('a photo with a card reads true colours', () => {
  for (const [name, kelvin] of CASTS)
    for (const balance of [6504, Math.round(kelvin * 1.2)])
      it(`within ΔE00 2 by the light of a ${name}, camera set to ${balance} K`, () => {
        const { photo, marks } = scene(NAMES.map(hexLab), kelvin, { balance });
        const reading = read(photo, marks);
        const off = reading.spots.flatMap((s, i) =>
          s.doubt ? [] : [[NAMES[i], deltaE00(hexLab(NAMES[i]!), s.lab)] as const],
        );
        expect(off.filter(([, d]) => d > 2)).toEqual([]);
        expect(reading.warnings).toEqual([]);
        // Deep colours in warm light lie beyond what a photo balanced for daylight can hold: then it says so.
        const beyond = reading.spots.flatMap((s, i) => (s.doubt ? [NAMES[i]] : []));
        if (kelvin > 2500) expect(beyond.filter((n) => n !== 'brick-red' && n !== 'bark')).toEqual([]);
        if (kelvin > 3500 || balance !== 6504) expect(beyond).toEqual([]);
        if (balance === 6504) expect(Math.abs(reading.kelvin / kelvin - 1)).toBeLessThan(0.06);
      });

  it('whatever the noise, with a doubt that grows with it', () => {
    const calm = scene(NAMES.map(hexLab), 3200, { noise: 0.002 });
    const wild = scene(NAMES.map(hexLab), 3200, { noise: 0.03 });
    const [a, b] = [read(calm.photo, calm.marks), read(wild.photo, wild.marks)];
    b.spots.forEach((s, i) => {
      expect(s.error).toBeGreaterThan(a.spots[i]!.error);
      if (!s.doubt) expect(deltaE00(hexLab(NAMES[i]!), s.lab)).toBeLessThan(3);
    });
    expect(b.spots.filter((s) => !s.doubt).length).toBeGreaterThan(6);
  });

  it('through glare and shadow on the part, which it leaves out and tells of', () => {
    const { photo, marks } = scene(NAMES.slice(0, 8).map(hexLab), 4200, {}, true);
    const whole = { ...marks, spots: marks.spots.map((s) => ({ ...s, radius: 24 })) };
    read(photo, whole).spots.forEach((s, i) => {
      expect([NAMES[i], deltaE00(hexLab(NAMES[i]!), s.lab) < 2]).toEqual([NAMES[i], true]);
      expect(s.glare + s.clipped).toBeGreaterThan(0.03);
      expect(s.shadow).toBeGreaterThan(0);
    });
  });

  it('with the white card as with the grey one', () => {
    const { photo, marks, patches } = scene([hexLab('ash'), hexLab('kelp')], 3000);
    const white = { ...photo, patches: patches.map((p, i) => (i === 0 ? { ...p, lab: WHITE } : p)) };
    const reading = read(white, { ...marks, card: 'white' });
    expect(deltaE00(hexLab('ash'), reading.spots[0]!.lab)).toBeLessThan(2);
  });
});

describe('what stands in the way is said', () => {
  it('uneven light on one card, and between two', () => {
    const { photo, marks, patches } = scene(NAMES.slice(0, 7).map(hexLab), 5000, { falloff: 0.6 });
    const far = { x: 205, y: 130, width: 50, height: 50, lab: GREY };
    const two = { ...photo, patches: [...patches.slice(0, 7), far] };
    const one = read(two, { ...marks, spots: marks.spots.slice(0, 6) });
    const both = read(two, {
      ...marks,
      cards: [marks.cards[0]!, middle(far)],
      spots: marks.spots.slice(0, 6),
    });
    expect(both.warnings.map((w) => w.warns)).toContain('uneven light');
    const worst = (r: typeof one) => Math.max(...r.spots.map((s, i) => deltaE00(hexLab(NAMES[i]!), s.lab)));
    expect(worst(both)).toBeLessThan(worst(one));
  });
  it('too little light', () => {
    const { photo, marks } = scene([hexLab('ash')], 5000, { exposure: 0.05 });
    expect(read(photo, marks).warnings.map((w) => w.warns)).toContain('too little light');
  });
  it('a card that is clipped, too dark or outside; no card, no spot', () => {
    const { photo, marks } = scene([hexLab('ash')], 5000);
    const pixels = paintPhoto({ ...photo, exposure: 9 }, seededRandom(1));
    expect(readPhoto(pixels, marks)).toMatchObject({ reason: { fault: 'card clipped' } });
    const night = paintPhoto({ ...photo, exposure: 0.012, noise: 0.0001 }, seededRandom(1));
    expect(readPhoto(night, marks)).toMatchObject({ ok: false });
    expect(readPhoto(pixels, { ...marks, cards: [] })).toMatchObject({ reason: { fault: 'no card' } });
    expect(readPhoto(pixels, { ...marks, spots: [] })).toMatchObject({ reason: { fault: 'no spot' } });
    const out = { x: -5, y: 4, radius: 3 };
    expect(readPhoto(paintPhoto(photo, seededRandom(1)), { ...marks, spots: [out] })).toMatchObject({
      reason: { fault: 'outside', what: 'spot', index: 0 },
    });
  });
  it('a spot that is clipped, or of two colours', () => {
    const { photo, marks, patches } = scene([hexLab('chalk'), hexLab('soot')], 5000, { exposure: 1.35 });
    const edge = { x: patches[1]!.x + patches[1]!.width, y: patches[1]!.y + 25, radius: 18 };
    const reading = read({ ...photo, exposure: 0.9 }, { ...marks, spots: [edge] });
    expect(reading.spots[0]!.doubt).toBeDefined();
    expect(read(photo, marks).spots[0]!.doubt).toBe('mostly clipped');
  });
});
