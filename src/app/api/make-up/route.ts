import { problemFault, requestSchema } from '@/core/make-up';
import { readJson, refuse } from '@/server/http';
import { solveMakeUp } from '@/server/solve-make-up';

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
 * `DELETE ?run=`, with the name given in `x-run`.
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
  request.signal.addEventListener('abort', () => stopper.abort());
  const encoder = new TextEncoder();
  const stream = new ReadableStream<Uint8Array>({
    async start(controller) {
      let open = true;
      const line = (value: unknown) => {
        if (open) controller.enqueue(encoder.encode(`${JSON.stringify(value)}\n`));
      };
      const plan = await solveMakeUp(problem, options, {
        signal: stopper.signal,
        onProgress: (progress) => {
          try {
            line({ progress });
          } catch {
            open = false;
            stopper.abort();
          }
        },
      });
      running.delete(run);
      line({ plan });
      if (open) controller.close();
    },
    cancel: () => stopper.abort(),
  });
  return new Response(stream, { headers: { 'content-type': 'application/x-ndjson' } });
}
