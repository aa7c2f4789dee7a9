import { currentRevision } from '@/data/actions';
import { route } from '@/server/http';
import { takeStockSnapshot } from '@/server/snapshot';
import { taggedAnswer } from '@/server/tagged-answer';
import { patiently } from '@/server/workspace';

/** All own parts, prices, and what builds have planned of them: the same until something is done. */
export const GET = route(async (request) =>
  patiently((handle) =>
    taggedAnswer(request, handle, 'stock', currentRevision(handle.db), () => takeStockSnapshot(handle)),
  ),
);
