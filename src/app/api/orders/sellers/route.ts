import { sellerRecords } from '@/core/orders';
import { parcelEntries } from '@/data/parcels';
import { readRecords } from '@/data/records';
import { packedAnswer, route } from '@/server/http';
import { patiently } from '@/server/workspace';

/** How every seller's parcels have come so far, over all builds of the workspace. */
export const GET = route(async (request) =>
  patiently(({ db }) =>
    packedAnswer(
      request,
      sellerRecords({
        orders: readRecords(db, 'order'),
        entries: parcelEntries(db),
        claims: readRecords(db, 'parcelClaim'),
      }),
    ),
  ),
);
