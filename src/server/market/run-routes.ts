import type { z } from 'zod';
import { BODY } from '@/core/shared/bounds';
import type { Result } from '@/core/shared/result';
import { answer, readJson, refuse, route } from '../http';
import { running } from './runs';
import { streamRun } from './stream-run';

const RUN = /^[\w-]{1,80}$/;

/** Stops the run called `?run=`: it answers with the best it has. */
export const stopRun = route((request) => {
  const run = running.get(new URL(request.url).searchParams.get('run') ?? '');
  run?.abort();
  return answer(run ? 1 : 0);
});

/** A run is streamed where the request asks for lines, under the name that it gives or one of our own. */
export function streamIfAsked(request: Request, work: Parameters<typeof streamRun>[2]): Response | null {
  if (!request.headers.get('accept')?.includes('application/x-ndjson')) return null;
  const given = request.headers.get('x-run') ?? '';
  return streamRun(request, RUN.test(given) ? given : crypto.randomUUID(), work);
}

interface Listener<P> {
  readonly signal?: AbortSignal;
  readonly onPlace?: (place: number) => void;
  readonly onProgress?: (progress: P) => void;
}

/**
 * A route that solves a problem: with `Accept: application/x-ndjson` a line comes with the place in the line and with each
 * better answer, and the plan is the last line. Closing the connection stops it, and so does its DELETE.
 */
export const solveRoute = <Problem, Options extends object, Plan, Progress>({
  schema,
  faultOf,
  solve,
}: {
  readonly schema: z.ZodType<{ problem: Problem; options?: Options | undefined }>;
  readonly faultOf: (problem: Problem) => string | null;
  readonly solve: (
    problem: Problem,
    options: Options | Record<string, never>,
    listener: Listener<Progress>,
  ) => Promise<Result<Plan, { readonly fault: 'busy' | 'stopped' }>>;
}) =>
  route(async (request) => {
    const door = await readJson(request, schema, BODY.middle);
    if ('response' in door) return door.response;
    const { problem, options = {} } = door.input;
    const fault = faultOf(problem);
    if (fault) return refuse(400, { refused: 'shape', where: 'problem', says: fault });
    const streamed = streamIfAsked(request, async ({ signal, say }) => {
      const done = await solve(problem, options, {
        signal,
        onPlace: (place) => say({ place }),
        onProgress: (progress) => say({ progress }),
      });
      return done.ok ? { plan: done.value } : { reason: done.reason };
    });
    if (streamed) return streamed;
    const done = await solve(problem, options, { signal: request.signal });
    return done.ok ? Response.json(done.value) : refuse(503, done.reason);
  });
