import type { Post } from '../market';
import type { Order } from '../records';
import type { ElementKey } from '../parts';
import type { OrderId } from '../shared/ids';
import type { AwaitedLot } from './receive-order';

/** What is known of an order on its way from elsewhere than from its own record: of a simulated seller, so far. */
export interface ParcelNews {
  readonly order: OrderId;
  /** The day on which it comes. */
  readonly comes: string;
  /** How this seller's parcels come. */
  readonly post: Post;
  /** Of lots that are not whole: pieces that are not in it, and pieces that are wrong. */
  readonly lacks: readonly { readonly element: ElementKey; readonly short: number; readonly wrong: number }[];
}

/** What is asked of an order: who sent it when, and what is awaited of it. */
export type ParcelQuestion = Pick<Order, 'id' | 'seller' | 'placedAt' | 'due'> & {
  readonly lots: readonly Pick<AwaitedLot, 'element' | 'qty'>[];
};
