import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { grade, type PriceOf } from '@/core/ledger';
import type { ElementKey } from '@/core/parts';
import { asId, type OrderId } from '@/core/shared/ids';
import { seededRandom } from '@/core/shared/random';
import { el } from '@/core/testing/world';
import { simulatedRegister } from '../register';
import {
  boxesOf,
  DEMO_MARKET,
  fateOf,
  MarketFailed,
  newsOf,
  simulatedMarket,
  type SimulatedMarketOptions,
} from './index';
import { makeSellers } from './sellers';

const ELEMENTS = ['brick 1x2', 'brick 2x4', 'plate 2x3', 'tile 1x4', 'plate 1x8'].map((p) => el(p, 'ash'));
const priceOf: PriceOf = (_, g) => (g === 'new' ? 20 : 12);
const MADE = { made: true, from: 1990, to: null } as const;
const asked: number[] = [];
const options = (more: Partial<SimulatedMarketOptions> = {}): SimulatedMarketOptions => ({
  ...DEMO_MARKET,
  priceOf,
  register: simulatedRegister,
  year: 2026,
  boxes: [],
  wait: async (ms) => void asked.push(ms),
  failing: 0,
  random: seededRandom(1),
  ...more,
});
const offersOn = async (day: number, elements: readonly ElementKey[] = ELEMENTS) =>
  (await simulatedMarket(options({ day })).ask(elements)).sellers.flatMap((s) =>
    s.offers.map((o) => ({ id: `${s.id} ${o.element} ${o.grade}`, ...o })),
  );

describe('sellers', () => {
  const sellers = makeSellers(7, 500);

  it('are as many as are asked for, each by a name and an id of his own, and stay who they are', () => {
    expect(new Set(sellers.map((s) => s.seller.name)).size).toBe(500);
    expect(new Set(sellers.map((s) => s.seller.id)).size).toBe(500);
    expect(makeSellers(7, 20)).toEqual(sellers.slice(0, 20));
    expect(makeSellers(8, 1)).not.toEqual(sellers.slice(0, 1));
  });

  it('post dearer what is heavier, in bands without a gap', () => {
    for (const { seller } of sellers) {
      const { postage } = seller;
      expect(postage.map((b) => b.maxGrams)).toEqual(postage.map((b) => b.maxGrams).sort((a, b) => a - b));
      expect(postage.map((b) => b.pence)).toEqual(postage.map((b) => b.pence).sort((a, b) => a - b));
    }
  });

  it('say how often they are late, short and wrong, and most promise genuine parts', () => {
    for (const { seller } of sellers)
      for (const share of [seller.late, seller.short, seller.wrong])
        expect(share >= 0 && share <= 0.25).toBe(true);
    const genuine = sellers.filter((s) => s.seller.genuine).length;
    expect(genuine > 400 && genuine < 490).toBe(true);
  });
});

describe('offers', () => {
  it('are sold in whole multiples, at a price, new and used', async () => {
    const offers = await offersOn(0);
    for (const o of offers) {
      expect(o.price).toBeGreaterThan(0);
      expect([o.stock % o.multiple, o.minQty % o.multiple]).toEqual([0, 0]);
      expect(o.stock).toBeGreaterThanOrEqual(o.minQty);
    }
    expect(new Set(offers.map((o) => o.grade))).toEqual(new Set([grade('new'), grade('used')]));
    const mean = (g: string) => {
      const prices = offers.filter((o) => o.grade === g).map((o) => o.price);
      return prices.reduce((a, b) => a + b, 0) / prices.length;
    };
    expect(mean('used')).toBeLessThan(mean('new'));
  });

  it('are none of what was never made, and others of another seed', async () => {
    const never = ELEMENTS[1]!;
    const register = { look: (e: ElementKey) => (e === never ? ({ made: false } as const) : MADE) };
    const ask = async (seed: number) =>
      (await simulatedMarket(options({ seed, register })).ask(ELEMENTS)).sellers.flatMap((s) => s.offers);
    expect((await ask(1)).length).toBeGreaterThan(4);
    expect((await ask(1)).some((o) => o.element === never)).toBe(false);
    expect(await ask(2)).not.toEqual(await ask(1));
  });

  it('of an element do not hang on what else is asked for', async () => {
    const [one] = ELEMENTS;
    const alone = await offersOn(0, [one!]);
    expect((await offersOn(0)).filter((o) => o.element === one)).toEqual(alone);
  });

  it('move on with the days: few by tomorrow, all in two months, and back again on the same day', async () => {
    const [today, tomorrow, later] = [await offersOn(0), await offersOn(1), await offersOn(60)];
    const changed = (then: typeof today) => {
      const prices = new Map(then.map((o) => [o.id, o.price]));
      return today.filter((o) => prices.get(o.id) !== o.price).length / today.length;
    };
    expect(changed(tomorrow)).toBeLessThan(0.2);
    expect(changed(later)).toBeGreaterThan(0.6);
    expect(later.length).toBeLessThan(today.length);
    expect(await offersOn(60)).toEqual(later);
  });

  it('take a moment, and a market that is down says so and answers nothing', async () => {
    asked.length = 0;
    await offersOn(0);
    expect(asked[0]).toBeGreaterThanOrEqual(120);
    await expect(simulatedMarket(options({ failing: 1 })).ask(ELEMENTS)).rejects.toThrow(MarketFailed);
  });
});

describe('whole sets', () => {
  const lots = ELEMENTS.map((element, i) => ({ element, qty: 10 + i }));
  const set = (code: string, year: number) => ({ code, name: `Set ${code}`, year, lots });
  const pieces = lots.reduce((s, l) => s + l.qty, 0);

  it('are sold second-hand always, and new while they are young or lie in a shop', () => {
    const sets = Array.from({ length: 60 }, (_, i) => set(`T${i}`, i < 20 ? 2025 : 2012));
    const boxes = boxesOf(sets, priceOf, 2026, DEMO_MARKET);
    const sold = (condition: string, from: number, to: number) =>
      boxes.filter(
        (b) => b.condition === condition && Number(b.code.slice(1)) >= from && Number(b.code.slice(1)) < to,
      ).length;
    expect(sold('second-hand', 0, 60)).toBe(60);
    expect(sold('new', 0, 20)).toBe(20);
    const old = sold('new', 20, 60);
    expect(old > 2 && old < 25).toBe(true);
    expect(boxesOf(sets, priceOf, 2026, DEMO_MARKET)).toEqual(boxes);
  });

  it('cost less than their parts singly, and a new one more than a used one', () => {
    const [used, fresh] = boxesOf([set('A', 2026)], priceOf, 2026, DEMO_MARKET);
    expect(used!.price).toBeLessThan(pieces * 12);
    expect(fresh!.price).toBeLessThan(pieces * 20);
    expect(fresh!.price).toBeGreaterThan(used!.price);
    // Nobody packs a box for nothing, whatever its parts are worth.
    expect(boxesOf([set('A', 2026)], () => null, 2026, DEMO_MARKET)[0]!.price).toBe(100);
  });

  it('come by the post of whoever sells them', () => {
    const sellers = new Map(
      makeSellers(DEMO_MARKET.seed, DEMO_MARKET.sellers).map((s) => [s.seller.name, s.seller]),
    );
    for (const { seller, days, spread, late } of boxesOf(
      [set('A', 2026), set('B', 2026)],
      priceOf,
      2026,
      DEMO_MARKET,
    ))
      expect(sellers.get(seller)).toMatchObject({ days, spread, late });
  });
});

describe('the fate of a parcel', () => {
  const orderOf = (id: string, seller: string, placedAt: string) => ({
    id: asId<OrderId>(id),
    seller,
    placedAt,
  });
  const sellers = makeSellers(DEMO_MARKET.seed, DEMO_MARKET.sellers).map((s) => s.seller);
  const KNOWN = sellers[0]!.name;
  const fates = (seller: string) =>
    Array.from({ length: 600 }, (_, i) => fateOf(orderOf(`order-${i}`, seller, `moment ${i}`))!);
  const share = (list: readonly boolean[]) => list.filter(Boolean).length / list.length;

  it('is late, short and wrong as often as its seller says', () => {
    for (const { name, late, short, wrong } of sellers.slice(0, 12)) {
      const all = fates(name);
      expect(share(all.map((f) => f.lateDays > 0))).toBeCloseTo(late, 0.9);
      expect(Math.abs(share(all.map((f) => f.lacks('x', 40).short > 0)) - short)).toBeLessThan(0.06);
      expect(Math.abs(share(all.map((f) => f.lacks('x', 40).wrong > 0)) - wrong)).toBeLessThan(0.06);
    }
  });

  it('never loses more than there was, and is the same whenever it is looked at', () =>
    fc.assert(
      fc.property(fc.string(), fc.string(), fc.integer({ min: 1, max: 500 }), (order, element, qty) => {
        const { short, wrong } = fateOf(orderOf(order, KNOWN, ''))!.lacks(element, qty);
        expect(short >= 0 && wrong >= 0 && short + wrong <= qty).toBe(true);
        expect(fateOf(orderOf(order, KNOWN, ''))!.lacks(element, qty)).toEqual({ short, wrong });
      }),
    ));

  it('is one for orders that came in one parcel, and each lacks what it lacks', () => {
    const worst = [...sellers].sort((a, b) => b.late - a.late)[0]!.name;
    const pairs = Array.from({ length: 200 }, (_, i) =>
      ['a', 'b'].map((id) => fateOf(orderOf(id, worst, `moment ${i}`))),
    );
    for (const [a, b] of pairs) expect(a!.lateDays).toBe(b!.lateDays);
    expect(new Set(pairs.map(([a]) => a!.lateDays)).size).toBeGreaterThan(3);
  });

  it('touches no seller who was typed by hand, nor an order that comes on no day', () => {
    const asked = (seller: string, due: string) =>
      newsOf({
        ...orderOf('o1', seller, '2026-11-20'),
        due,
        lots: ELEMENTS.map((element) => ({ element, qty: 40 })),
      });
    expect(asked('Aunt Hester', '2026-11-28')).toBeUndefined();
    expect(asked(KNOWN, '')).toBeUndefined();
    for (const { name, days, spread, late } of sellers.slice(0, 20)) {
      const news = asked(name, '2026-11-28')!;
      expect(news).toMatchObject({ order: 'o1', post: { days, spread, late } });
      expect(news.comes >= '2026-11-28' && news.comes <= '2026-12-19').toBe(true);
      for (const l of news.lacks) expect(l.short + l.wrong).toBeGreaterThan(0);
    }
  });
});
