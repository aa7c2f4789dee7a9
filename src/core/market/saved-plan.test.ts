import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { solveBySteps } from '../sourcing';
import { makeWorkbench, planned, testSource } from '../testing/workbench';
import { boxFor, offerOf, sellerOf } from '../testing/market';
import { el } from '../testing/world';
import { savePlan, savePreferences, type SavedPlan } from './saved-plan';
import { readPlan } from './saved-plan-schema';
import { needOf, sameNeed } from '../need';
import { poseProblem } from './pose';
import { PREFERENCES, type Preferences } from './preferences';

const ash = el('brick 1x2', 'ash');
const through = (saved: SavedPlan) => readPlan(JSON.parse(JSON.stringify(savePlan(saved))));

const blank: SavedPlan = {
  preferences: PREFERENCES,
  seconds: 5,
  lists: [],
  listPostage: 250,
  asked: null,
};

/** A question with its answer, as a page has them when it is closed. */
function answered(): SavedPlan {
  const workbench = planned(makeWorkbench({ zones: { Wall: ['1 brick 1x2 slate'] } }), testSource(), {
    kind: 'add',
    on: [{ element: ash, qty: 9 }],
    hidden: true,
  });
  const { lots } = needOf(workbench);
  const market = {
    sellers: [sellerOf('Near', [offerOf(ash, 8, 6, { minQty: 2, multiple: 2 })])],
    boxes: [boxFor('B', 120, [{ element: ash, qty: 5 }])],
  };
  const plan = solveBySteps(poseProblem(lots, market, PREFERENCES, workbench.priceOf), 1, 40);
  return { ...blank, asked: { run: 'r1', market, needed: lots, lots, plan, credit: 0 } };
}

describe('a buying plan that is kept', () => {
  it('is the same after it was put away, with its plan or before there is one', () => {
    const saved = answered();
    expect(through(saved)).toEqual(saved);
    expect(saved.asked?.plan?.buys.length).toBeGreaterThan(0);
    // It still answers the need it was asked for, and no other.
    const { needed } = saved.asked!;
    expect(sameNeed(through(saved)!.asked!.needed, needed)).toBe(true);
    expect(
      sameNeed(
        needed,
        needed.map((l) => ({ ...l, qty: l.qty + 1 })),
      ),
    ).toBe(false);
    expect(sameNeed(needed, [])).toBe(false);
    // A seller's own price list, and a box at a price of one's own, are still one's own.
    const asked = saved.asked!;
    const market = {
      sellers: asked.market.sellers.map((s) => ({ ...s, own: true })),
      boxes: asked.market.boxes.map((b) => ({ ...b, own: true })),
    };
    const own = { ...saved, asked: { ...asked, market } };
    expect(through(own)).toEqual(own);
    const waiting = { ...saved, asked: { ...saved.asked!, plan: null } };
    expect(through(waiting)).toEqual(waiting);
    expect(through(blank)).toEqual(blank);
  });

  it('reads what was kept before boxes could be left out', () => {
    const { leaveOut: _, ...before } = savePreferences(blank.preferences);
    const kept = { ...(savePlan(blank) as object), preferences: before };
    expect(readPlan(JSON.parse(JSON.stringify(kept)))).toEqual(blank);
  });

  it('keeps every preference, whatever it is', () => {
    const ids = fc.array(fc.string({ minLength: 1, maxLength: 30 }), { maxLength: 6 });
    const preferences: fc.Arbitrary<Preferences> = fc.record({
      maxParcels: fc.option(fc.integer({ min: 0, max: 9999 })),
      used: fc.boolean(),
      hiddenAnyColour: fc.boolean(),
      boxes: fc.boolean(),
      credit: fc.constantFrom(0, 0.3, 0.7),
      within: fc.option(fc.integer({ min: 0, max: 9999 })),
      chance: fc.constantFrom(0.5, 0.8, 0.9),
      never: ids.map((l) => new Set(l)),
      leaveOut: ids.map((l) => new Set(l)),
      prefer: ids.map((l) => new Set(l)),
      favour: fc.integer({ min: 0, max: 5000 }),
      genuine: fc.boolean(),
      condition: ids.map((l) => new Map(l.map((id, i) => [id, i % 2 ? 'new' : 'used'] as const))),
      shapes: fc.boolean(),
    });
    fc.assert(
      fc.property(preferences, (p) => {
        expect(through({ ...blank, preferences: p })).toEqual({ ...blank, preferences: p });
      }),
    );
  });

  it.each([
    ['nothing', null],
    ['a list', []],
    ['one without preferences', { ...(savePlan(blank) as object), preferences: undefined }],
    ['one with a field of another program', { ...(savePlan(blank) as object), more: 1 }],
    ['one that thinks for no time', { ...(savePlan(blank) as object), seconds: 0 }],
  ])('%s is no buying plan', (_, kept) => expect(readPlan(kept)).toBeUndefined());
});
