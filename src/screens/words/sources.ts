import type { Elsewhere } from '@/core/ledger';
import type { PartState } from '@/core/need';

export const ELSEWHERE_WORDS: Readonly<Record<Elsewhere, string>> = {
  own: 'own, uncounted',
  buy: 'to buy',
  bought: 'bought',
};

export const ELSEWHERE_SAYS: Readonly<Record<Elsewhere, string>> = {
  own: 'done with parts of your own, nothing paid',
  buy: 'planned until the parts are there',
  bought: 'done, at the price you type or none known',
};

export const STATE_WORDS: Readonly<Record<PartState, string>> = {
  had: 'had',
  bought: 'bought',
  ordered: 'ordered',
  'to buy': 'to buy',
};

/** What the money of each state is. */
export const STATE_MONEY: Readonly<Record<PartState, string>> = {
  had: 'worth',
  bought: 'paid',
  ordered: 'paid',
  'to buy': 'about',
};
