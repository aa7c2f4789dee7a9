import { STOCK_SCOPE } from '@/core/ledger';
import { revisionOf } from '@/data/actions';
import { packedAnswer, route } from '@/server/http';
import { takeKnowledge } from '@/server/snapshot';
import { workspaceName } from '@/server/steps';
import { patiently } from '@/server/workspace';

/**
 * What the whole workspace knows of parts: prices and years. Kept by the browser under a tag, and sent again only when
 * something that belongs to no build has changed.
 */
export const GET = route(async (request) =>
  patiently((handle) => {
    const tag = `"${workspaceName(handle)}-${revisionOf(handle.db, [STOCK_SCOPE])}"`;
    const headers = { etag: tag, 'cache-control': 'private, no-cache' };
    if (request.headers.get('if-none-match') === tag) return new Response(null, { status: 304, headers });
    return packedAnswer(request, takeKnowledge(handle), headers);
  }),
);
