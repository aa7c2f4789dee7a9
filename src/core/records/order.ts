import type { BuildId, OrderId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { date, id, money, name, reference } from './fields';

/** Pieces bought from one seller in one parcel. */
export const order = defineRecord({
  type: 'order',
  table: 'orders',
  fields: {
    id: id<OrderId>(),
    build: reference<BuildId>('build'),
    seller: name(),
    postage: money(),
    due: date(),
    placedAt: date(),
  },
  inModFile: { key: 'orders', most: 2000 },
});
export type Order = RecordOf<typeof order>;
