import { currentRevision, stepsSince } from '@/data/actions';
import { answer } from '@/server/http';
import { workspace } from '@/server/workspace';

/** What happened since a revision: asked by every open window, so that it can catch up. */
export function GET(request: Request): Response {
  const since = Number(new URL(request.url).searchParams.get('since') ?? 0);
  const { db } = workspace();
  const revision = currentRevision(db);
  return answer({
    revision,
    steps: Number.isSafeInteger(since) && since < revision ? stepsSince(db, since) : [],
  });
}
