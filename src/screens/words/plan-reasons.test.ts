import { describe, expect, it } from 'vitest';
import { lotId, type PlanReason } from '@/core/market';
import { boxFor, offerOf, sellerOf } from '@/core/testing/market';
import { el } from '@/core/testing/world';
import { reasonWords } from './plan-reasons';

const tile = el('tile 2x2', 'chalk');
const brick = el('brick 1x2', 'ash');
const lots = [tile, brick].map((element, i) => ({ element, qty: 4 + i, hidden: false, sources: [] }));
const market = {
  sellers: [sellerOf('s1', [offerOf(tile, 9, 9)], { name: 'Gull' })],
  boxes: [boxFor('Hut', 400, [])],
};
const says = (question: PlanReason['question'], more: Partial<PlanReason>) =>
  reasonWords(
    { question, more: 0, atLeast: more.more ?? 0, unmet: 0, stays: false, better: false, ...more },
    market,
    lots,
  );
const box = { of: 'without box', box: 'Hut second-hand' } as const;
const fewer = { of: 'fewer parcels', most: 2 } as const;
const week = { of: 'a week more', within: 14 } as const;
const two = { of: 'without two', seller: 's1', lots: lots.map(lotId) } as const;

describe('why a plan is as it is, in words', () => {
  it.each([
    [box, { more: 250 }, 'Hut (second-hand) beats single parts: without it the same costs £2.50 more.'],
    [box, { more: 250, atLeast: 90 }, 'without it the same costs about £2.50 more, £0.90 at the least.'],
    [box, { more: 250, atLeast: -5 }, 'about £2.50 more, as far as was found.'],
    [box, { more: 0, unmet: 3 }, 'the same costs as much, and 3 pieces more could not be had.'],
    [fewer, { more: 120 }, 'One parcel fewer, 2 in all, costs £1.20 more.'],
    [fewer, { more: -10, better: true }, 'There is a better plan with a parcel fewer: it costs £0.10 less.'],
    [week, { more: -200 }, 'Waiting a week longer, 14 days in all, saves £2.00.'],
    [week, { more: 0 }, 'Waiting a week longer, 14 days in all, saves nothing.'],
    [week, { more: 40, unmet: -2 }, 'costs £0.40 more, and 2 pieces more could be had.'],
    [
      two,
      { more: -700 },
      'The dearest parcel, of Gull, is there most of all for 4 tile 2x2 chalk and 5 brick 1x2 ash: without them the plan costs £7.00 less and needs no such parcel.',
    ],
    [
      two,
      { more: -700, stays: true },
      'without them the plan costs £7.00 less, and the parcel comes all the same.',
    ],
  ] as const)('%j %j', (question, more, words) => expect(says(question, more)).toContain(words));
});
