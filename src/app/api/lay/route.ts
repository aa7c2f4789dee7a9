import { faultOf, layRequestSchema } from '@/core/fit/lay';
import { BODY } from '@/core/shared/bounds';
import { answer, readJson, refuse, route } from '@/server/http';
import { layRequest, type LayRunFault } from '@/server/lay';
import { running } from '@/server/market/runs';
import { streamRun } from '@/server/market/stream-run';

const RUN = /^[\w-]{1,80}$/;

/** Stops the laying called `?run=`: it answers with the best it has. */
export const DELETE = route((request) => {
  const run = running.get(new URL(request.url).searchParams.get('run') ?? '');
  run?.abort();
  return answer(run ? 1 : 0);
});

/**
 * Takes walls or a floor and gives the pieces, each with its place: docs/formats/lay-request.schema.json. With
 * `Accept: application/x-ndjson` a line of progress comes with each better laying, and the plan is the last line. Closing
 * the connection stops it, and so does `DELETE ?run=`, with the name given in `x-run`.
 */
export const POST = route(async (request) => {
  const door = await readJson(request, layRequestSchema, BODY.middle);
  if ('response' in door) return door.response;
  const { problem, options = {} } = door.input;
  const fault = faultOf(problem);
  if (fault) return refuse(400, { refused: 'shape', where: 'problem', says: fault });
  if (!request.headers.get('accept')?.includes('application/x-ndjson')) {
    const done = await layRequest(problem, options, { signal: request.signal });
    return done.ok ? Response.json(done.value) : refuse(503, done.reason satisfies LayRunFault);
  }
  const given = request.headers.get('x-run') ?? '';
  return streamRun(request, RUN.test(given) ? given : crypto.randomUUID(), async (listener) => {
    const done = await layRequest(problem, options, {
      signal: listener.signal,
      onPlace: (place) => listener.say({ place }),
      onProgress: (progress) => listener.say({ progress }),
    });
    return done.ok ? { plan: done.value } : { reason: done.reason };
  });
});
