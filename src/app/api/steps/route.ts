import { currentRevision, stepsSince } from '@/data/actions';
import { answer, route } from '@/server/http';
import { patiently } from '@/server/workspace';

/** What happened since a revision: asked by every open window, so that it can catch up. */
export const GET = route(async (request) => {
  const since = Number(new URL(request.url).searchParams.get('since') ?? 0);
  return patiently(({ db }) => {
    const revision = currentRevision(db);
    const known = Number.isSafeInteger(since) && since >= 0 && since < revision;
    return answer({ revision, steps: known ? stepsSince(db, since) : [] });
  });
});
