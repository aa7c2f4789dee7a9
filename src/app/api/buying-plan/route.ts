import { PROBLEM } from '@/core/shared/bounds';
import { keepFinished } from '@/server/finished-runs';
import { answer, readBody, refuse, route } from '@/server/http';
import { solveRequest, type SourcingFault, type SourcingProgress } from '@/server/solve-sourcing';

/** Solves that are on, by the name that whoever asked gave them. */
const running = new Map<string, AbortController>();
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
 * line. Closing the connection stops the solve, and so does `DELETE ?run=`, with the name given in `x-run`; what a run
 * found is kept for a while, should its page come back.
 */
export const POST = route(async (request) => {
  const bytes = await readBody(request, PROBLEM.bytes);
  if (!bytes) return refuse(413, { refused: 'too large' });
  if (!request.headers.get('accept')?.includes('application/x-ndjson')) {
    const done = await solveRequest(bytes, { signal: request.signal });
    return done.ok ? Response.json(done.value) : refuse(statusOf(done.reason), done.reason);
  }
  return new Response(streamed(request, bytes), { headers: { 'content-type': 'application/x-ndjson' } });
});

const statusOf = (reason: SourcingFault): number =>
  'fault' in reason && (reason.fault === 'busy' || reason.fault === 'stopped') ? 503 : 400;

function streamed(request: Request, bytes: Uint8Array): ReadableStream<Uint8Array> {
  const stopper = new AbortController();
  const given = request.headers.get('x-run') ?? '';
  const run = RUN.test(given) ? given : crypto.randomUUID();
  running.set(run, stopper);
  let open = true;
  const gone = () => {
    open = false;
    stopper.abort();
  };
  request.signal.addEventListener('abort', gone);
  const encoder = new TextEncoder();
  return new ReadableStream<Uint8Array>({
    async start(controller) {
      const line = (value: unknown) => {
        if (!open) return;
        try {
          controller.enqueue(encoder.encode(`${JSON.stringify(value)}\n`));
        } catch {
          gone();
        }
      };
      try {
        const onProgress = (progress: SourcingProgress) => line({ progress });
        const onPlace = (place: number) => line({ place });
        const done = await solveRequest(bytes, { signal: stopper.signal, onProgress, onPlace });
        if (done.ok) keepFinished(run, done.value);
        line(done.ok ? { plan: done.value } : { reason: done.reason });
      } catch (error) {
        console.error('a solve failed:', error);
        line({ reason: { refused: 'failed' } });
      }
      running.delete(run);
      if (open) controller.close();
    },
    cancel: gone,
  });
}
