import { describe, expect, it } from 'vitest';
import { market } from '../testing/made-market';
import { compile } from './compile';
import { CoverPrices } from './cover-prices';

const c = compile(
  market({
    lots: [['a', 20]],
    sellers: ['A', 'B', 'C', 'D'].map((id) => ({ id, offers: [['a', 5, { stock: 8 }]] })),
  }),
);
const two = Uint8Array.of(1, 1, 0, 0);
const three = Uint8Array.of(1, 1, 1, 0);
const none = new Int32Array(0);

/** Two sellers open for long enough, and three at times, so that a cover is found that asks for three. */
function found(): CoverPrices {
  const prices = new CoverPrices(c, Int32Array.of(20), null);
  for (let n = 0; n < 200; n++) prices.step(1, n % 2 === 0 ? two : three, none);
  expect(prices.find()).toBe(true);
  return prices;
}

describe('prices of covers', () => {
  it('are nothing at first, rise while a cover is not met, and fall where it is met more than it asks', () => {
    const prices = found();
    expect(prices.settle()).toBe(0);
    for (let n = 0; n < 5; n++) prices.step(10, two, none);
    const asked = prices.settle();
    expect(asked).toBeGreaterThan(0);
    // Each of four sellers counts as one, and three are asked for.
    expect([...prices.bonus]).toEqual(Array(4).fill(asked / 3));
    for (let n = 0; n < 60; n++) prices.step(10, Uint8Array.of(1, 1, 1, 1), none);
    expect(prices.settle()).toBe(0);
  });

  it('go back to the best, with the bonuses that were then, and on from there elsewhere', () => {
    const prices = found();
    prices.step(10, two, none);
    const asked = prices.settle();
    prices.keep();
    prices.step(50, two, none);
    expect(prices.settle()).toBeGreaterThan(asked);
    expect(prices.bestBonus[0]).toBeCloseTo(asked / 3, 9);
    prices.goBack();
    expect(prices.settle()).toBeCloseTo(asked, 9);
    const elsewhere = new CoverPrices(c, Int32Array.of(20), prices.priced);
    expect(elsewhere.settle()).toBeCloseTo(asked, 9);
  });

  it('are looked for anew where there is none, and each is found once', () => {
    const prices = found();
    expect(prices.find()).toBe(false);
    const met = new CoverPrices(c, Int32Array.of(20), null);
    for (let n = 0; n < 200; n++) met.step(1, three, none);
    expect(met.find()).toBe(false);
  });
});
