import { expect, it } from 'vitest';
import { PriceSteps } from './price-steps';

const need = Int32Array.of(4, 4, 4);

it('prices rise where too little is taken, fall where too much is, and never below nothing', () => {
  const prices = new PriceSteps([3, 5, 1]);
  prices.advance(100, need, Float64Array.of(0, 4, 12));
  // The gap of 100 over the squares of what is lacking, 16 and 64.
  [3 + (100 / 80) * 4, 5, 0].forEach((price, l) => expect(prices.now[l]).toBeCloseTo(price, 6));
});

it('a step keeps some of the direction of the one before', () => {
  const prices = new PriceSteps([3, 5, 5]);
  prices.advance(16, need, Float64Array.of(0, 4, 4));
  prices.advance(16, need, Float64Array.of(4, 4, 4));
  // 0.7 of the four pieces that were lacking before.
  expect(prices.now[0]).toBeCloseTo(3 + 4 + (16 / (2.8 * 2.8)) * 2.8, 6);
});

it('goes back to what was kept', () => {
  const prices = new PriceSteps([3, 5, 5]);
  prices.advance(16, need, Float64Array.of(0, 4, 4));
  prices.keep();
  const kept = [...prices.now];
  prices.advance(16, need, Float64Array.of(8, 0, 0));
  prices.goBack();
  expect([...prices.now]).toEqual(kept);
  expect([...prices.best]).toEqual(kept);
});
