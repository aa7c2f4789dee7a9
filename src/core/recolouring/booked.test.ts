import { describe, expect, it } from 'vitest';
import { auditColours, planFixes } from '../mismatch';
import { bindToBoxes } from '../pool';
import { ROUGH_AMOUNTS } from '../records';
import type { ColourId } from '../shared/ids';
import { between, pick, seededRandom } from '../shared/random';
import { sayRoughly } from '../stock';
import { register, TEST_YEAR } from '../testing/tower';
import { did, makeWorkbench, TEST_BUILD, testSource, withBox } from '../testing/workbench';
import { el } from '../testing/world';
import { costOfWork, type Workbench } from '../workbench';
import { planRecolour, planSteps, stepCosts, type RecolourPlan } from './index';

const PARTS = ['brick 1x2', 'brick 1x4', 'plate 2x4', 'tile 1x2', 'slope 45 2x1'];
const ASH = 'ash' as ColourId;
const SLATE = 'slate' as ColourId;

/**
 * A build to be recoloured from ash to slate: zones of different sizes, slate in spares' place in a box, in trays and in
 * worn condition, some of it priced, some in other colours only, some roughly known, and at times bound to its boxes.
 */
function someBuild(seed: number): Workbench {
  const random = seededRandom(seed);
  const lots = (colour: string, most: number, conditions: readonly string[]) =>
    PARTS.filter(() => random() < 0.7).map(
      (part) => `${between(random, 1, most)} ${part} ${colour} ${pick(random, conditions)}`,
    );
  const zones = Object.fromEntries(
    Array.from({ length: between(random, 1, 4) }, (_, i) => [
      `Zone ${i + 1}`,
      [...lots('ash', 20, ['used']), ...lots('slate', 6, ['used', 'faded'])],
    ]),
  );
  const prices = PARTS.flatMap((part) =>
    random() < 0.6
      ? [`${part} slate ${between(random, 3, 40)}`]
      : random() < 0.6
        ? [`${part} chalk ${between(random, 3, 40)}`]
        : [],
  );
  const bench = makeWorkbench({ zones, stock: lots('slate', 15, ['new', 'used', 'yellowed']), prices });
  if (random() < 0.6)
    withBox(
      bench,
      'Night tram',
      Object.fromEntries(PARTS.map((p) => [el(p, 'slate'), between(random, 1, 6)])),
    );
  for (const family of ['Bricks', 'Tiles'] as const)
    if (random() < 0.4) did(bench, sayRoughly(bench.records, family, SLATE, pick(random, ROUGH_AMOUNTS)));
  if (random() < 0.2) did(bench, bindToBoxes(bench.records, TEST_BUILD, true));
  return bench;
}

const map = {
  pairs: new Map([[ASH, SLATE]]),
  zones: null,
  leavePrints: true,
  leaveHidden: false,
  leaveRetired: false,
};
const planOf = (bench: Workbench): RecolourPlan => planRecolour(bench, map, register([]), TEST_YEAR);

describe('what a recolouring costs', () => {
  it('is shown as it is booked, step by step, on whatever is at hand', () => {
    let [bought, roughly, short] = [0, 0, 0];
    for (let seed = 1; seed <= 150; seed++) {
      const bench = someBuild(seed);
      const plan = planOf(bench);
      const work = planSteps(bench, plan, plan.steps, 'all', testSource());
      expect([seed, work.problems]).toEqual([seed, []]);
      const booked = costOfWork(work.entries);
      expect([seed, booked.cost, booked.unpriced]).toEqual([seed, plan.cost, plan.unpriced]);
      const steps = stepCosts(bench, plan, plan.steps);
      expect([seed, steps.reduce((s, x) => s + x.cost, 0)]).toEqual([seed, booked.cost]);
      // The books say the same once it is planned.
      did(bench, work);
      expect([seed, bench.planned.figures({ of: 'build' }).outOfPocket]).toEqual([seed, booked.cost]);
      bought += plan.lots.reduce((s, l) => s + l.toBuy, 0);
      roughly += plan.lots.reduce((s, l) => s + l.roughly, 0);
      short += plan.left.reduce((s, l) => s + (l.because === 'not in its boxes' ? l.qty : 0), 0);
    }
    // The builds were of all kinds.
    expect(Math.min(bought, roughly, short)).toBeGreaterThan(100);
  });

  it('of chosen steps is what these will book, and not their share of the whole', () => {
    for (let seed = 1; seed <= 60; seed++) {
      const bench = someBuild(seed);
      const plan = planOf(bench);
      const chosen = plan.steps.filter((_, i) => (seed + i) % 2 === 0);
      const shown = stepCosts(bench, plan, chosen).reduce((s, x) => s + x.cost, 0);
      did(bench, planSteps(bench, plan, chosen, 'some', testSource()));
      expect([seed, bench.planned.figures({ of: 'build' }).outOfPocket]).toEqual([seed, shown]);
    }
  });
});

describe('what mismatches cost to put right', () => {
  it('is shown as it is booked', () => {
    let fixed = 0;
    for (let seed = 200; seed < 260; seed++) {
      const bench = someBuild(seed);
      const audit = auditColours(bench, register([]), TEST_YEAR);
      const open = audit.open;
      const shown = costOfWork(planFixes(bench, open, testSource()).entries);
      expect([seed, shown.cost]).toEqual([seed, open.reduce((s, f) => s + (f.cost ?? 0), 0)]);
      fixed += open.length;
    }
    expect(fixed).toBeGreaterThan(20);
  });
});
