import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { poseProblem, PREFERENCES, savePreferences, type PlanReason } from '@/core/market';
import { solveBySteps } from '@/core/sourcing';
import { boxFor, offerOf, sellerOf } from '@/core/testing/market';
import { el } from '@/core/testing/world';
import { servedBuild, type TestBuild } from '@/server/testing/workspace';
import { readSavedPlan } from '@/data/buying-plans';
import { readPlan } from '@/core/market/saved-plan-schema';
import { POST as TAKE } from '@/app/api/market/take/route';
import { keepQuestion } from './keep-plan';
import { POST } from '@/app/api/market/reasons/route';
import { planReasons } from './plan-reasons';
import { rememberMarket, type BetterPlan } from './runs';

let end: () => void;
let t: TestBuild;
beforeEach(() => void ({ end, t } = servedBuild()));
afterEach(() => end());

const [brick, tile] = [el('brick 2x4', 'ash'), el('tile 2x2', 'ash')];
const lots = [brick, tile].map((element) => ({ element, qty: 10, hidden: false, sources: [] }));
const flat = (pence: number) => ({ postage: [{ maxGrams: 100_000, pence }] });
const market = {
  sellers: [
    sellerOf('A', [offerOf(brick, 10, 50), offerOf(tile, 90, 50)], flat(100)),
    sellerOf('B', [offerOf(tile, 10, 50)], flat(100)),
  ],
  boxes: [boxFor('Hut', 9000, [{ element: brick, qty: 10 }])],
};
const plan = solveBySteps(
  poseProblem(lots, market, PREFERENCES, () => 10),
  1,
  200,
);
const request = {
  run: 'why',
  like: 'first',
  lots,
  plan: JSON.parse(JSON.stringify(plan)),
  seconds: 5,
  preferences: savePreferences(PREFERENCES),
};

describe('why a plan is as it is, over the network', () => {
  it('is solved on the market of its run, question by question', async () => {
    rememberMarket('first', market);
    const body = new Request('http://127.0.0.1/api/market/reasons', {
      method: 'POST',
      body: JSON.stringify(request),
    });
    const lines = (await (await POST(body)).text()).trim().split('\n');
    const said = lines.map(
      (l) => JSON.parse(l) as { questions?: number; reason?: PlanReason; reasons?: unknown[] },
    );
    expect(said[0]).toEqual({ questions: 2 });
    expect(said.slice(1, 3).map((s) => [s.reason!.question.of, s.reason!.more])).toEqual([
      // All of A: tiles at 90 in place of 10, and B's postage saved.
      ['fewer parcels', 700],
      ['without two', -200],
    ]);
    expect(said[3]!.reasons).toEqual(said.slice(1, 3).map((s) => s.reason));
  });

  it('says that the market is not known any more, and stops where it is told to', async () => {
    const say = () => undefined;
    expect(
      await planReasons({ ...request, like: 'long-ago' }, { say, signal: new AbortController().signal }),
    ).toEqual({
      ok: false,
      reason: { fault: 'forgotten' },
    });
    rememberMarket('first', market);
    expect(await planReasons(request, { say, signal: AbortSignal.abort() })).toEqual({ ok: true, value: [] });
  });

  it('a better plan that is found on the way is taken in its place, by the page and for the build', async () => {
    // Made while A asked more for its tiles: now all of it in one parcel is cheaper.
    const [a, b] = market.sellers;
    const now = {
      ...market,
      sellers: [{ ...a!, offers: [offerOf(brick, 10, 50), offerOf(tile, 11, 50)] }, b!],
    };
    rememberMarket('first', now);
    const said: { reason?: PlanReason }[] = [];
    const signal = new AbortController().signal;
    await planReasons(request, { say: (more) => said.push(more), signal });
    expect(said.flatMap((x) => (x.reason?.better ? [x.reason.more] : []))).toEqual([-90]);
    const ask = {
      run: 'first',
      build: t.build,
      lots,
      preferences: request.preferences,
      lists: [],
      seconds: 5,
      like: null,
    };
    keepQuestion(t.handle, ask);
    const take = (run: string) =>
      TAKE(
        new Request('http://127.0.0.1/api/market/take', {
          method: 'POST',
          body: JSON.stringify({ run, build: t.build }),
        }),
      );
    const { value } = (await (await take('first')).json()) as { value: BetterPlan };
    expect(value.plan.cost).toBe(plan.cost - 90);
    // That it is the best with one parcel says nothing of all plans: no more is told to be proven than was.
    expect(value.plan).toMatchObject({ status: 'bestSoFar', byHand: plan.byHand });
    expect(value.plan.floor).toBe(Math.min(plan.floor, value.plan.cost));
    expect(new Set(value.plan.buys.map((x) => x.seller))).toEqual(new Set(['A']));
    expect(value.market.sellers.map((x) => x.id)).toEqual(['A']);
    const kept = readPlan(readSavedPlan(t.handle.db, t.build))!.asked!;
    expect(kept).toMatchObject({ run: 'first', plan: { cost: value.plan.cost }, credit: 0 });
    // What was never found cannot be taken.
    expect((await take('another')).status).toBe(404);
  });
});
