import { expect, it } from 'vitest';
import { asId, type WaitingId } from '../shared/ids';
import { marketOf, offerOf, sellerOf } from '../testing/market';
import { el } from '../testing/world';
import { nowAvailable } from './waiting-list';

const dune = el('brick 1x2', 'dune');

it('the waiting list tells what the register and the sellers have of it', () => {
  const waiting = (qty: number) => ({ id: asId<WaitingId>(`w${qty}`), element: dune, qty, note: '', at: '' });
  const market = marketOf(sellerOf('A', [offerOf(dune, 12, 5)]), sellerOf('B', [offerOf(dune, 9, 4)]));
  const register = { look: () => ({ made: false as const }) };
  expect(nowAvailable([waiting(20), waiting(9)], register, market, 2026)).toMatchObject([
    { waiting: { qty: 9 }, pieces: 9, price: 9, seller: 'B', isHad: true, made: 'never' },
    { waiting: { qty: 20 }, isHad: false },
  ]);
  expect(nowAvailable([waiting(1)], register, null, 2026)).toMatchObject([{ pieces: 0, price: null }]);
});
