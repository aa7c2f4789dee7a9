import type { BuildId, OrderId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { date, flag, id, money, name, orNull, reference } from './fields';

/** Pieces bought from one seller in one parcel. */
export const order = defineRecord({
  type: 'order',
  table: 'orders',
  fields: {
    id: id<OrderId>(),
    build: reference<BuildId>('build'),
    seller: name(),
    postage: money(),
    /** What else was paid for the parcel: customs, handling, a payment's charge. */
    fees: money(),
    /** What the seller gave back. */
    refund: money(),
    /** The day it is expected on; empty = not known. */
    due: date(),
    placedAt: date(),
    /** The day on which its seller was last asked where it is; null = not yet. */
    chasedAt: orNull(date()),
    /** True where the simulated market sent it: only then does the simulated post speak of it. */
    simulated: flag(),
  },
  inModFile: { key: 'orders', most: 2000 },
  earlier: {
    // Before this was kept, the post knew its parcels by the seller's name: it goes on doing so for those.
    upgrade: (old) => ({ fees: 0, refund: 0, chasedAt: null, simulated: true, ...old }),
  },
});
export type Order = RecordOf<typeof order>;

/** What an order is where nothing else was said. */
export const BLANK_ORDER = { postage: 0, fees: 0, refund: 0, due: '', chasedAt: null, simulated: false };
