import { STOCK_SCOPE } from '@/core/ledger';
import { revisionOf } from '@/data/actions';
import { route } from '@/server/http';
import { takeKnowledge } from '@/server/snapshot';
import { taggedAnswer } from '@/server/tagged-answer';
import { patiently } from '@/server/workspace';

/** What the whole workspace knows of parts, prices and years: the same until something that belongs to no build changes. */
export const GET = route(async (request) =>
  patiently((handle) =>
    taggedAnswer(request, handle, 'knowledge', revisionOf(handle.db, [STOCK_SCOPE]), () =>
      takeKnowledge(handle),
    ),
  ),
);
