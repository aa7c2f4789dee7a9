import { describe, expect, it } from 'vitest';
import type { StickerSheet, StripJob } from '../records';
import { asId, type ColourId } from '../shared/ids';
import { between, seededRandom } from '../shared/random';
import { did, doneAndBack, makeWorkbench, testSource, zoneId } from '../testing/workbench';
import type { Workbench } from '../workbench';
import { CutSearch, judgeCut, type CutProblem } from './cutting';
import {
  cutProblemOf,
  cutsOfPlan,
  cutStripes,
  deleteSheet,
  fromSheet,
  insteadOf,
  keepSheet,
  keepStripJob,
  leftOf,
  newSheet,
  newStripJob,
  resized,
  sheetAreas,
  spoil,
  stickersNow,
  stripesInBrick,
  takenOf,
  toMillimetres,
  wholeField,
} from './index';

const colour = (name: string): ColourId => asId<ColourId>(name);
const field = (id: string, w: number, h: number, of = 'chalk') =>
  wholeField({ id, name: id, w, h, colour: colour(of), lab: null, motif: '' });
const bench = (): Workbench =>
  makeWorkbench({
    zones: { Hull: ['4 plate 1x4 chalk', '6 tile 1x8 kelp'] },
    stock: ['3 plate 1x8 chalk', '1 plate 1x4 chalk'],
  });
const withSheet = (b: Workbench, ...fields: StickerSheet['fields']): StickerSheet => {
  const sheet = { ...newSheet(testSource(`sheet${fields.length}`)), fields };
  did(b, keepSheet(b, sheet));
  return sheet;
};
const jobOf = (b: Workbench, ...strips: Partial<StripJob['strips'][number]>[]): StripJob => ({
  ...newStripJob(b, testSource('j'), zoneId('Hull')),
  strips: strips.map((s, i) => ({
    id: `s${i}`,
    name: `stripe ${i}`,
    colour: colour('chalk'),
    w: 3.2,
    l: 64,
    count: 1,
    elements: [],
    across: false,
    ...s,
  })),
});
const planFor = (problem: CutProblem) => {
  const search = new CutSearch(problem, 1);
  while (search.solveNext(() => false));
  return search.plan(0);
};

describe('what is left of a sheet', () => {
  it('is an area, and what is torn off leaves what lies beside it', () => {
    const random = seededRandom(5);
    for (let i = 0; i < 60; i++) {
      let f = field('f', 40, 20);
      const grid = Array.from({ length: 800 }, () => true);
      for (let k = 0; k < 4; k++) {
        const away = {
          x: between(random, -4, 38),
          y: between(random, -4, 18),
          w: between(random, 1, 20),
          h: between(random, 1, 9),
        };
        f = spoil(f, away);
        for (let x = Math.max(0, away.x); x < Math.min(40, away.x + away.w); x++)
          for (let y = Math.max(0, away.y); y < Math.min(20, away.y + away.h); y++) grid[y * 40 + x] = false;
      }
      // Square millimetre by square millimetre: every one that is left lies in exactly one rectangle.
      expect(leftOf(f)).toBeCloseTo(grid.filter(Boolean).length);
      expect(takenOf(f) + leftOf(f)).toBeCloseTo(800);
      for (let n = 0; n < 800; n += 7) {
        const [x, y] = [(n % 40) + 0.5, Math.floor(n / 40) + 0.5];
        const holders = f.rests.filter((r) => x > r.x && x < r.x + r.w && y > r.y && y < r.y + r.h);
        expect(holders.length).toBe(grid[n] ? 1 : 0);
      }
    }
  });

  it('is measured in what lies at hand, and keeps what was taken when its size is mended', () => {
    expect([toMillimetres(4, 'mm'), toMillimetres(4, 'studs'), toMillimetres(2.5, 'tiles 1x2')]).toEqual([
      4, 32, 40,
    ]);
    expect(resized(field('f', 40, 20), 50, 10).rests).toEqual([{ x: 0, y: 0, w: 50, h: 10 }]);
    const torn = spoil(field('f', 40, 20), { x: 30, y: 10, w: 10, h: 10 });
    expect(leftOf(resized(torn, 35, 15))).toBeCloseTo(35 * 15 - 5 * 5);
    const b = bench();
    const sheet = withSheet(b, field('a', 10, 10), torn);
    expect(sheetAreas(sheet)).toEqual({ all: 900, left: 800 });
    doneAndBack(b, deleteSheet(sheet));
  });
});

describe('stripes from sheets', () => {
  it('come from plain fields of a known colour, and the sheets have less left by what was cut', () => {
    const b = bench();
    const printed = { ...field('name', 90, 40), motif: 'the name' };
    const nameless = { ...field('odd', 90, 40), colour: null };
    const sheet = withSheet(b, field('plain', 80, 9), printed, nameless);
    const job = jobOf(b, { count: 2 });
    did(b, keepStripJob(b, job));
    const problem = cutProblemOf(b, job);
    expect(problem.fields.map((f) => f.w)).toEqual([80]);
    const plan = planFor(problem);
    expect(judgeCut(problem, plan)).toMatchObject({ fault: null, unmet: 0 });
    const cuts = cutsOfPlan(b, problem, plan);
    const before = sheetAreas(sheet).left;
    doneAndBack(b, cutStripes(b, job, cuts, testSource('c')));
    const after = b.records.stickerSheet.get(sheet.id)!;
    const rests = cuts[0]!.rests.reduce((s, r) => s + r.w * r.h, 0);
    expect(sheetAreas(after).left).toBeCloseTo(before - 80 * 9 + rests);
    expect(before - sheetAreas(after).left).toBeGreaterThan(2 * 3.2 * 64);
    expect(fromSheet(b, after).map((s) => s.name)).toEqual(['stripe 0 1', 'stripe 0 2']);
    expect(stickersNow(b).every((s) => s.place === 'kept')).toBe(true);
    expect(b.records.stripJob.get(job.id)!.strips[0]!.count).toBe(0);
    // What was cut is not there to be cut again.
    expect(
      planFor(cutProblemOf(b, { ...job, strips: job.strips.map((s) => ({ ...s, count: 1 })) })).placed,
    ).toEqual([]);
  });

  it('go on from one cut to the next until nothing is long enough, and never take what is gone', () => {
    const b = bench();
    withSheet(b, field('a', 70, 30), field('b', 70, 12));
    let cut = 0;
    for (let n = 0; n < 20; n++) {
      const job = jobOf(b, { id: `n${n}`, w: 2 + (n % 3), l: 50 });
      const problem = cutProblemOf(b, job);
      const plan = planFor(problem);
      if (plan.placed.length === 0) break;
      cut++;
      did(b, keepStripJob(b, { ...job, id: asId(`job${n}`) }));
      did(
        b,
        cutStripes(b, b.records.stripJob.get(`job${n}`)!, cutsOfPlan(b, problem, plan), testSource(`c${n}`)),
      );
      const [sheet] = [...b.records.stickerSheet.values()];
      for (const f of sheet!.fields)
        for (const [i, r] of f.rests.entries()) {
          expect(r.x + r.w).toBeLessThanOrEqual(f.w + 1e-6);
          expect(r.y + r.h).toBeLessThanOrEqual(f.h + 1e-6);
          for (const o of f.rests.slice(i + 1))
            expect(
              o.x + o.w <= r.x + 1e-6 ||
                r.x + r.w <= o.x + 1e-6 ||
                o.y + o.h <= r.y + 1e-6 ||
                r.y + r.h <= o.y + 1e-6,
            ).toBe(true);
        }
    }
    expect(cut).toBeGreaterThan(6);
    expect(cut).toBeLessThan(20);
  });

  it('that cannot be cut are told the nearest other colour, and how pieces over pieces would do', () => {
    const b = bench();
    withSheet(b, field('short', 36, 14), field('long', 70, 9, 'mist'), field('far', 80, 9, 'kelp'));
    const job = jobOf(b, {});
    const problem = cutProblemOf(b, job);
    const plan = planFor(problem);
    expect(plan.unmet).toMatchObject([{ why: 'too large' }]);
    const [instead] = insteadOf(b, job, problem, ['s0'], new Set());
    expect(instead!.other!.scrap.field.id).toBe('long');
    expect(instead!.other!.deltaE).toBeGreaterThan(3);
    // 64 and one overlap of 4 in two pieces of 34: 35 long within the margin.
    expect(instead!.inPieces).toMatchObject({ pieces: 2, each: 34 });
    expect(insteadOf(b, { ...job, margin: 1.2 }, problem, ['s0'], new Set())[0]!.inPieces).toMatchObject({
      pieces: 3,
    });
    expect(insteadOf(b, job, problem, ['s0'], new Set(problem.fields.map((f) => f.id)))[0]).toMatchObject({
      other: null,
      inPieces: null,
    });
  });
});

describe('a stripe in brick', () => {
  it('takes what is at hand first, and says how far its height is off', () => {
    const b = bench();
    const ways = stripesInBrick(b, colour('chalk'), { w: 3.2, l: 96 });
    expect(ways[0]).toMatchObject({
      name: 'plates in the wall',
      high: 3.2,
      off: 0,
      long: 96,
      empty: 0,
      toBuy: 0,
      cost: 0,
    });
    expect(ways[0]!.pieces.reduce((n, p) => n + p.qty, 0)).toBe(2);
    const two = stripesInBrick(b, colour('chalk'), { w: 6.2, l: 64 }).find(
      (w) => w.name === 'plates in the wall',
    )!;
    expect([two.high, two.off]).toEqual([6.4, 0.2]);
    const none = stripesInBrick(b, colour('rust'), { w: 3.2, l: 32 })[0]!;
    expect(none.atHand).toBe(0);
    expect(none.toBuy).toBeGreaterThan(0);
    expect([none.unpriced, none.estimated]).toEqual([none.toBuy, false]);
    // A price of the same shape in another colour is a guess, and says so.
    const priced = makeWorkbench({ zones: { Hull: ['1 plate 1x4 kelp'] }, prices: ['plate 1x4 kelp 6'] });
    const guess = stripesInBrick(priced, colour('rust'), { w: 3.2, l: 32 })[0]!;
    expect(guess).toMatchObject({ toBuy: 1, cost: 6, unpriced: 0, estimated: true });
    const known = stripesInBrick(priced, colour('kelp'), { w: 3.2, l: 32 })[0]!;
    expect(known).toMatchObject({ toBuy: 1, cost: 6, estimated: false });
  });
});
