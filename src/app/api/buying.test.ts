import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { PREFERENCES, savePreferences, waitFor, type AskedPlan } from '@/core/market';
import { readPlan } from '@/core/market/saved-plan-schema';
import { needOf } from '@/core/need';
import { offerOf, sellerOf } from '@/core/testing/market';
import { el } from '@/core/testing/world';
import { at, of, post, said } from '@/server/testing/requests';
import { servedBuild } from '@/server/testing/workspace';
import * as actions from './actions/route';
import * as savedPlan from './builds/[build]/buying-plan/route';
import * as sourcing from './buying-plan/route';
import * as boxesFor from './market/boxes/route';
import * as check from './market/check/route';
import * as parcels from './market/parcels/route';
import * as plan from './market/plan/route';
import * as reach from './market/reach/route';
import * as waiting from './market/waiting/route';

let { t, end } = {} as ReturnType<typeof servedBuild>;
beforeEach(() => void ({ t, end } = servedBuild()));
afterEach(() => end());

describe('a buying plan', () => {
  const wish = savePreferences({ ...PREFERENCES, maxParcels: 3, never: new Set(['seller-4']) });
  const put = (build: string, body: unknown) =>
    said(
      savedPlan.PUT(
        new Request(at('buying-plan'), { method: 'PUT', body: JSON.stringify(body) }),
        of({ build }),
      ),
    );
  const get = async (build: string = t.build) =>
    readPlan((await said(savedPlan.GET(post('', ''), of({ build })))).value);
  const lots = () => needOf(t.open()).lots;
  const question = (more: object = {}) => ({
    run: 'run-1',
    build: t.build,
    lots: lots(),
    preferences: savePreferences(PREFERENCES),
    lists: [],
    seconds: 1,
    like: null,
    ...more,
  });
  /** What the server says line by line, the last line first. */
  const heard = async (body: object) => {
    const text = await (await plan.POST(post('market/plan', body))).text();
    return text
      .trim()
      .split('\n')
      .map((l) => JSON.parse(l) as { plan?: AskedPlan; asked?: number })
      .reverse();
  };

  it('keeps what is wished piece by piece, and is nobody else’s', async () => {
    expect(await get()).toBeUndefined();
    expect(await put(t.build, { preferences: wish })).toMatchObject({ status: 200, ok: true });
    expect(await get()).toMatchObject({ preferences: { maxParcels: 3 }, seconds: 5, lists: [], asked: null });
    await put(t.build, { lists: [sellerOf('list Near', [offerOf(el('brick 1x2', 'ash'), 3, 90)])] });
    await put(t.build, { seconds: 10, listPostage: 180 });
    const all = await get();
    expect(all).toMatchObject({ seconds: 10, listPostage: 180, lists: [{ id: 'list Near' }] });
    expect(all!.preferences.never).toEqual(new Set(['seller-4']));
    expect(await get('another')).toBeUndefined();
    expect(await put('another', { seconds: 3 })).toMatchObject({ status: 404 });
    expect(await put(t.build, { seconds: 9999 })).toMatchObject({ status: 400 });
    expect(await get()).toEqual(all);
  });

  it('is worked out on a market that stays on the server, and kept with as much of it as shows the plan', async () => {
    t.log('+40 brick 1x2 ash plan, +30 plate 1x8 kelp plan');
    const [last, ...before] = await heard(question());
    expect(before.some((l) => (l.asked ?? 0) > 10)).toBe(true);
    const asked = last!.plan!;
    const had = asked.plan!.buys.reduce((n, b) => n + b.qty, 0);
    const lacks = asked.plan!.unmet.reduce((n, u) => n + u.qty, 0);
    const boxes = asked.plan!.donors.length;
    expect(boxes > 0 || had + lacks >= 70).toBe(true);
    const bought = new Set(asked.plan!.buys.map((b) => `${b.seller} ${b.element}`));
    for (const s of asked.market.sellers)
      for (const o of s.offers) expect(bought.has(`${s.id} ${o.element}#${o.grade}`)).toBe(true);
    expect((await get())!.asked).toEqual(asked);
    // The chart of fewer parcels uses the market of its run, and keeps nothing for the build.
    const [chart] = await heard(
      question({ run: 'run-2', build: null, like: 'run-1', preferences: { ...wish, maxParcels: 1 } }),
    );
    expect(new Set(chart!.plan!.plan!.buys.map((b) => b.seller)).size).toBeLessThanOrEqual(1);
    expect((await get())!.asked!.run).toBe('run-1');
    await put(t.build, { asked: null });
    expect((await get())!.asked).toBeNull();
  });

  it('is checked against what the sellers say now, and told what would do for what it lacks', async () => {
    t.log('+12 brick 1x2 ash plan');
    const list = sellerOf('list Near', [offerOf(el('brick 1x2', 'ash'), 1, 90)], {
      postage: [{ maxGrams: 1e9, pence: 0 }],
    });
    const [last] = await heard(question({ build: null, lists: [list] }));
    const asked = last!.plan!;
    expect(asked.plan!.buys).toMatchObject([{ seller: 'list Near', qty: 12 }]);
    const again = async (now: typeof list) =>
      (await said(check.POST(post('market/check', { asked, lists: [now], preferences: wish }))))
        .value as unknown;
    const unchanged = (await again(list)) as { changes: unknown[]; now: { sellers: { id: string }[] } };
    expect(unchanged.changes).toEqual([]);
    // With the seller it buys from comes the one who is excluded, so that he can be let in again.
    expect(unchanged.now.sellers.map((s) => s.id).sort()).toEqual(['list Near', 'seller-4']);
    const dearer = { ...list, offers: [offerOf(el('brick 1x2', 'ash'), 2, 90)] };
    expect(await again(dearer)).toMatchObject({ changes: [{ change: 'price', qty: 12, was: 1, now: 2 }] });
    const open = [{ element: el('brick 1x2', 'ash'), wish: null }];
    const body = {
      open,
      buys: [],
      preferences: savePreferences({ ...PREFERENCES, maxParcels: 1 }),
      lists: [list],
    };
    const found = (await said(reach.POST(post('market/reach', body)))) as unknown as {
      value: { kind: string }[][];
    };
    expect(found.value).toHaveLength(1);
    expect(found.value[0]!.map((f) => f.kind)).toContain('another parcel');
  });
});

it('what is waited for is told by the register and the sellers', async () => {
  expect(await said(waiting.GET(new Request(at('market/waiting'))))).toMatchObject({ value: { parts: [] } });
  const { diff } = waitFor(el('brick 1x2', 'ash'), 6, { newId: t.newId, now: '2026-11-24' });
  await actions.POST(post('actions', { id: 'w1', scope: 'stock', label: 'wait', diff }));
  const told = await said(waiting.GET(new Request(at('market/waiting'))));
  expect(told).toMatchObject({ value: { asked: true, parts: [{ made: 'made', isHad: true }] } });
});

it('a box’s price is the least that somebody asks for it, of known sets only', async () =>
  expect(await said(boxesFor.GET(new Request(at('market/boxes?codes=no-such,'))))).toMatchObject({
    value: {},
  }));

it('the post knows nothing of a seller who was typed by hand', async () => {
  const order = {
    id: 'o1',
    seller: 'Aunt Hester',
    placedAt: '2026-11-20',
    due: '2026-11-28',
    lots: [{ element: el('brick 1x2', 'ash'), qty: 4 }],
  };
  expect(await said(parcels.POST(post('market/parcels', { orders: [order] })))).toMatchObject({
    status: 200,
    value: [],
  });
});

it('a run that is not on is stopped by nobody', async () =>
  expect(await said(sourcing.DELETE(new Request(at('buying-plan?run=none'))))).toMatchObject({ value: 0 }));
