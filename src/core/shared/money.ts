import { assert } from './assert';
import { LIMITS } from './bounds';
import { readDecimal } from './decimal';
import { formatCurrency, forms, type Forms } from './forms';

/** Money in minor units of the workspace's one currency: 95 is £0.95. Always a safe integer. */
export type Minor = number;

/**
 * Splits `total` in proportion to `weights` by largest remainder (Hamilton's method): every share is the floor of
 * its exact quota, and the units left over go one each to the largest remainders, ties to the earlier share.
 * The shares always add up to `total`. With no positive weight the split is even.
 *
 * splitByLargestRemainder(100, [1, 1, 1]) = [34, 33, 33]
 *
 * Asserts that `total` is a whole number >= 0, that there is a weight, and that none is negative.
 */
export function splitByLargestRemainder(total: Minor, weights: readonly number[]): Minor[] {
  assert(Number.isSafeInteger(total) && total >= 0, 'a total to share out is a whole number', total);
  assert(weights.length > 0, 'a total is shared out among one weight or more');
  assert(
    weights.every((w) => w >= 0 && Number.isFinite(w)),
    'weights are not negative',
    weights,
  );
  const sum = weights.reduce((a, b) => a + b, 0);
  const quotas = weights.map((w) => (sum > 0 ? (total * w) / sum : total / weights.length));
  const shares = quotas.map(Math.floor);
  const left = total - shares.reduce((a, b) => a + b, 0);
  const order = quotas
    .map((q, i) => ({ i, rest: q - Math.floor(q) }))
    .sort((a, b) => b.rest - a.rest || a.i - b.i);
  for (let k = 0; k < left; k++) {
    const next = order[k % order.length];
    assert(next, 'a share exists for every unit left over');
    shares[next.i] = (shares[next.i] ?? 0) + 1;
  }
  return shares;
}

/** An amount in the workspace's currency and form: 3140 -> "£31.40"; -95 -> "−£0.95". */
export const formatMoney = (amount: Minor): string => formatCurrency(amount);

/** Plain decimal for files: 3140 -> "31.40". */
export const moneyAsDecimal = (amount: Minor): string => (amount / 100).toFixed(2);

/** An amount as a field holds it, to be changed: 3140 -> "31.40", or "31,40" where the comma is the decimal mark. */
export const moneyToEdit = (amount: Minor, form: Forms = forms()): string =>
  form.decimal === 'comma' ? moneyAsDecimal(amount).replace('.', ',') : moneyAsDecimal(amount);

/**
 * Reads an amount as people and spreadsheets write it ("0.12", "£1,204.50", "1.204,50 €", "12p", ",07") into minor
 * units, rounded to the nearest; undefined when it is not an amount, is below zero, or is more than a record may have.
 */
export function readMoney(text: string): Minor | undefined {
  const pence = /^\s*(\d+)\s*(p|c|ct)\s*$/i.exec(text);
  if (pence?.[1]) return withinBounds(Number(pence[1]));
  if (/[^\d.,\s'\p{Sc}A-Za-z]/u.test(text)) return undefined;
  const amount = readDecimal(text.replace(/[\p{Sc}A-Za-z]/gu, ''));
  return amount === undefined ? undefined : withinBounds(Math.round(amount * 100));
}

const withinBounds = (amount: Minor): Minor | undefined => (amount <= LIMITS.money ? amount : undefined);
