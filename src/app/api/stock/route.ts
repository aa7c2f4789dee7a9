import { currentRevision } from '@/data/actions';
import { packedAnswer, route } from '@/server/http';
import { takeStockSnapshot } from '@/server/snapshot';
import { workspaceName } from '@/server/steps';
import { patiently } from '@/server/workspace';

/** All own parts, prices, and what builds have planned of them. Kept by the browser under a tag until something is done. */
export const GET = route(async (request) =>
  patiently((handle) => {
    const tag = `"${workspaceName(handle)}-stock-${currentRevision(handle.db)}"`;
    const headers = { etag: tag, 'cache-control': 'private, no-cache' };
    if (request.headers.get('if-none-match') === tag) return new Response(null, { status: 304, headers });
    return packedAnswer(request, takeStockSnapshot(handle), headers);
  }),
);
