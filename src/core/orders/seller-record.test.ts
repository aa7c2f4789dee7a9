import { describe, expect, it } from 'vitest';
import { BLANK_ORDER, type Entry, type Order } from '../records';
import { grade, orderAccount, OUTSIDE, sparesAccount } from '../places';
import { asId, type OrderId } from '../shared/ids';
import { BUILD, el } from '../testing/world';
import { recordOf, sellerRecords } from './index';

const order = (id: string, seller: string, due: string): Order => ({
  ...BLANK_ORDER,
  id: asId<OrderId>(id),
  build: BUILD,
  seller,
  due,
  placedAt: '2026-11-01T10:00:00Z',
});
const moved = (id: string, kind: 'order' | 'transfer', qty: number, day: string) => {
  const at = orderAccount(asId<OrderId>(id));
  const [from, to] = kind === 'order' ? [OUTSIDE, at] : [at, sparesAccount(BUILD)];
  return {
    kind: kind as Entry['kind'],
    order: asId<OrderId>(id),
    loggedAt: `${day}T09:00:00Z`,
    movements: [{ element: el('brick 1x2', 'ash'), grade: grade('new'), qty, from, to, worth: 1 }],
  };
};

describe('how a seller’s parcels came', () => {
  const records = sellerRecords({
    orders: [
      order('a', 'Gull Bricks', '2026-11-10'),
      order('b', 'gull bricks ', '2026-11-10'),
      order('c', 'Gull Bricks', ''),
      order('d', 'Gull Bricks', '2026-11-10'),
      order('e', 'Other', '2026-11-10'),
    ],
    entries: [
      moved('a', 'order', 10, '2026-11-01'),
      moved('a', 'transfer', 10, '2026-11-09'),
      moved('b', 'order', 6, '2026-11-01'),
      moved('b', 'transfer', 2, '2026-11-08'),
      moved('b', 'transfer', 4, '2026-11-14'),
      moved('c', 'order', 3, '2026-11-01'),
      moved('c', 'transfer', 3, '2026-11-30'),
      moved('d', 'order', 5, '2026-11-01'),
      moved('d', 'transfer', 1, '2026-11-20'),
      moved('e', 'order', 1, '2026-11-01'),
    ],
    claims: [
      { order: asId<OrderId>('a'), kind: 'short', qty: 2 },
      { order: asId<OrderId>('b'), kind: 'wrong', qty: 1 },
    ],
  });

  it('is told by name, whatever its case, from orders of which the last piece has come', () =>
    expect(recordOf(records, 'GULL BRICKS')).toEqual({
      seller: 'Gull Bricks',
      orders: 4,
      closed: 3,
      withDay: 2,
      late: 1,
      worstDays: 4,
      pieces: 24,
      short: 2,
      wrong: 1,
      damaged: 0,
    }));

  it('says nothing of lateness while nothing has closed', () =>
    expect(recordOf(records, 'Other')).toMatchObject({ orders: 1, closed: 0, withDay: 0, late: 0 }));

  it('is not there of one who was never ordered from', () =>
    expect(recordOf(records, 'Nobody')).toBeUndefined());
});
