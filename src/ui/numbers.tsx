import { formatMoney } from '@/core/shared/money';

/** "+55", "−8", "0": a difference with its sign, true minus. */
export const signed = (n: number): string => (n > 0 ? `+${count(n)}` : n < 0 ? `−${count(-n)}` : '0');

/** 7812 -> "7,812". */
export const count = (n: number): string => n.toLocaleString('en-GB');

export const pieces = (n: number): string => `${count(n)} ${n === 1 ? 'piece' : 'pieces'}`;

/** "1 kind", "56 kinds": elements, each with its number of pieces. */
export const kinds = (n: number): string => `${count(n)} ${n === 1 ? 'kind' : 'kinds'}`;

/** "815 pieces of 56 kinds" */
export const piecesOfKinds = (qty: number, elements: number): string =>
  `${pieces(qty)} of ${kinds(elements)}`;

export const money = formatMoney;

/** "M 03" */
export const modNo = (no: number): string => `M ${String(no).padStart(2, '0')}`;
