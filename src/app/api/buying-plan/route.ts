import { PROBLEM } from '@/core/shared/bounds';
import { readBody, refuse, route } from '@/server/http';
import { stopRun, streamIfAsked } from '@/server/market/run-routes';
import { solveRequest, type SourcingFault } from '@/server/solve-sourcing';

/** Stops the solve called `?run=`. */
export const DELETE = stopRun;

/**
 * Takes a buying plan problem and gives the plan: docs/formats/make-up-request.schema.json. With `Accept: application/x-ndjson`
 * a line of progress comes now and then, the place in the line while others are solved first, and the plan is the last
 * line. Closing the connection stops the solve, and so does `DELETE ?run=`, with the name given in `x-run`.
 */
export const POST = route(async (request) => {
  const bytes = await readBody(request, PROBLEM.bytes);
  if (!bytes) return refuse(413, { refused: 'too large' });
  const streamed = streamIfAsked(request, async (listener) => {
    const done = await solveRequest(bytes, listener);
    return done.ok ? { plan: done.value } : { reason: done.reason };
  });
  if (streamed) return streamed;
  const done = await solveRequest(bytes, { signal: request.signal });
  return done.ok ? Response.json(done.value) : refuse(statusOf(done.reason), done.reason);
});

const statusOf = (reason: SourcingFault): number =>
  'fault' in reason && (reason.fault === 'busy' || reason.fault === 'stopped') ? 503 : 400;
