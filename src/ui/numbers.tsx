import { formatNumber } from '@/core/shared/forms';
import { formatMoney } from '@/core/shared/money';

/** "+55", "−8", "0": a difference with its sign, true minus. */
export const signed = (n: number): string => (n > 0 ? `+${count(n)}` : n < 0 ? `−${count(-n)}` : '0');

/** 7812 -> "7,812". */
export const count = (n: number): string => formatNumber(n);

export const pieces = (n: number): string => `${count(n)} ${n === 1 ? 'piece' : 'pieces'}`;

/** "1 spare", "14 spares" */
export const spares = (n: number): string => `${count(n)} ${n === 1 ? 'spare' : 'spares'}`;

/** "1 kind", "56 kinds": elements, each with its number of pieces. */
export const kinds = (n: number): string => `${count(n)} ${n === 1 ? 'kind' : 'kinds'}`;

/** "815 pieces of 56 kinds" */
export const piecesOfKinds = (qty: number, elements: number): string =>
  `${pieces(qty)} of ${kinds(elements)}`;

export const money = formatMoney;

/**
 * "£3.20", "£3.20 + 2 without a price", or "2 without a price" where no piece has one: a sum of money that says which
 * pieces it leaves out, and is never nothing where it is not known.
 */
export function priced(sum: number, unpriced: number): string {
  if (unpriced <= 0) return money(sum);
  return `${sum === 0 ? '' : `${money(sum)} + `}${count(unpriced)} without a price`;
}

/** The same where there is little room: "£3.20 + 2 unpriced". */
export const pricedShort = (sum: number, unpriced: number): string =>
  unpriced <= 0 ? money(sum) : `${sum === 0 ? '' : `${money(sum)} + `}${count(unpriced)} unpriced`;

/** The figure of a sum whose unpriced pieces are told beside it: "£3.20", or "not known" where none has a price. */
export const knownMoney = (sum: number, unpriced: number): string =>
  sum === 0 && unpriced > 0 ? 'not known' : money(sum);

/** "M 03" */
export const modNo = (no: number): string => `M ${String(no).padStart(2, '0')}`;

/** What was paid for a box: its price, that it was a gift, or that nobody knows. */
export const boxPrice = (price: number | null): string =>
  price === null ? 'price not known' : price === 0 ? 'a gift' : money(price);

/** What was paid for some boxes: "£40.00 paid, 1 without a known price". */
export const paidWords = ({
  worth,
  unpriced,
}: {
  readonly worth: number;
  readonly unpriced: number;
}): string =>
  unpriced === 0
    ? `${money(worth)} paid`
    : worth === 0
      ? 'price not known'
      : `${money(worth)} paid, ${count(unpriced)} without a known price`;

/** A cost with the boxes that a build began from: "£42.10", "£42.10 + 1 box without a price". */
export function allInWords({
  cost,
  unpriced,
  unpricedBoxes,
}: {
  readonly cost: number;
  readonly unpriced: number;
  readonly unpricedBoxes: number;
}): string {
  if (unpricedBoxes === 0) return priced(cost, unpriced);
  const known = cost > 0 || unpriced > 0 ? `${priced(cost, unpriced)} + ` : '';
  return `${known}${count(unpricedBoxes)} ${unpricedBoxes === 1 ? 'box' : 'boxes'} without a price`;
}
