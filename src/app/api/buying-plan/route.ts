import { PROBLEM } from '@/core/shared/bounds';
import { answer, readBody, refuse, route } from '@/server/http';
import { running } from '@/server/market/runs';
import { streamRun } from '@/server/market/stream-run';
import { solveRequest, type SourcingFault } from '@/server/solve-sourcing';

const RUN = /^[\w-]{1,80}$/;

/** Stops the solve called `?run=`: it answers with the best plan it has. */
export const DELETE = route((request) => {
  const run = running.get(new URL(request.url).searchParams.get('run') ?? '');
  run?.abort();
  return answer(run ? 1 : 0);
});

/**
 * Takes a buying plan problem and gives the plan: docs/formats/make-up-request.schema.json. With `Accept: application/x-ndjson`
 * a line of progress comes now and then, the place in the line while others are solved first, and the plan is the last
 * line. Closing the connection stops the solve, and so does `DELETE ?run=`, with the name given in `x-run`.
 */
export const POST = route(async (request) => {
  const bytes = await readBody(request, PROBLEM.bytes);
  if (!bytes) return refuse(413, { refused: 'too large' });
  if (!request.headers.get('accept')?.includes('application/x-ndjson')) {
    const done = await solveRequest(bytes, { signal: request.signal });
    return done.ok ? Response.json(done.value) : refuse(statusOf(done.reason), done.reason);
  }
  const given = request.headers.get('x-run') ?? '';
  return streamRun(request, RUN.test(given) ? given : crypto.randomUUID(), async (listener) => {
    const done = await solveRequest(bytes, listener);
    return done.ok ? { plan: done.value } : { reason: done.reason };
  });
});

const statusOf = (reason: SourcingFault): number =>
  'fault' in reason && (reason.fault === 'busy' || reason.fault === 'stopped') ? 503 : 400;
