import { problemFault, requestSchema } from '@/core/make-up';
import { readJson, refuse } from '@/server/http';
import { solveMakeUp } from '@/server/solve-make-up';

const MOST_BYTES = 64 * 1024 * 1024;
const running = new Set<AbortController>();

/** Stops every solve that is on: each answers with the best plan it has. */
export function DELETE(): Response {
  running.forEach((r) => r.abort());
  return Response.json({ ok: true, value: running.size });
}

/**
 * Takes a make-up problem and gives the plan: docs/formats/make-up-request.schema.json. With `Accept: application/x-ndjson` a line
 * of progress comes now and then, and the plan is the last line. Closing the connection stops the solve.
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
  running.add(stopper);
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
      running.delete(stopper);
      line({ plan });
      if (open) controller.close();
    },
    cancel: () => stopper.abort(),
  });
  return new Response(stream, { headers: { 'content-type': 'application/x-ndjson' } });
}
