import { problemFault, requestSchema } from '@/core/make-up';
import { readJson, refuse } from '@/server/http';
import { keepFinished } from '@/server/finished-runs';
import { solveMakeUp, type MakeUpProgress } from '@/server/solve-make-up';

const MOST_BYTES = 64 * 1024 * 1024;
/** Solves that are on, by the name that whoever asked gave them. */
const running = new Map<string, AbortController>();

/** Stops the solve called `?run=`: it answers with the best plan it has. */
export function DELETE(request: Request): Response {
  const run = running.get(new URL(request.url).searchParams.get('run') ?? '');
  run?.abort();
  return Response.json({ ok: true, value: run ? 1 : 0 });
}

/**
 * Takes a make-up problem and gives the plan: docs/formats/make-up-request.schema.json. With `Accept: application/x-ndjson` a line
 * of progress comes now and then, and the plan is the last line. Closing the connection stops the solve, and so does
 * `DELETE ?run=`, with the name given in `x-run`; what a run found is kept for a while, should its page come back.
 */
export async function POST(request: Request): Promise<Response> {
  const door = await readJson(request, requestSchema, MOST_BYTES);
  if ('response' in door) return door.response;
  const { problem, options = {} } = door.input;
  const fault = problemFault(problem);
  if (fault) return refuse(400, fault);
  if (!request.headers.get('accept')?.includes('application/x-ndjson'))
    return Response.json(await solveMakeUp(problem, options, { signal: request.signal }));
  const stopper = new AbortController();
  const run = request.headers.get('x-run') ?? crypto.randomUUID();
  running.set(run, stopper);
  let open = true;
  const gone = () => {
    open = false;
    stopper.abort();
  };
  request.signal.addEventListener('abort', gone);
  const encoder = new TextEncoder();
  const stream = new ReadableStream<Uint8Array>({
    async start(controller) {
      const line = (value: unknown) => {
        if (!open) return;
        try {
          controller.enqueue(encoder.encode(`${JSON.stringify(value)}\n`));
        } catch {
          gone();
        }
      };
      const onProgress = (progress: MakeUpProgress) => line({ progress });
      const plan = await solveMakeUp(problem, options, { signal: stopper.signal, onProgress });
      running.delete(run);
      keepFinished(run, plan);
      line({ plan });
      if (open) controller.close();
    },
    cancel: gone,
  });
  return new Response(stream, { headers: { 'content-type': 'application/x-ndjson' } });
}
