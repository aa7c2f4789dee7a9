import { reasonsRequestSchema } from '@/core/market/saved-plan-schema';
import { PROBLEM } from '@/core/shared/bounds';
import { readJson, route } from '@/server/http';
import { planReasons } from '@/server/market/plan-reasons';
import { streamRun } from '@/server/market/stream-run';

/** Says why a plan is as it is, line by line: how many questions there are, each as it is answered, all of them last. */
export const POST = route(async (request) => {
  const door = await readJson(request, reasonsRequestSchema, PROBLEM.keptBytes);
  if ('response' in door) return door.response;
  const { input } = door;
  return streamRun(request, input.run, async (listener) => {
    const done = await planReasons(input, listener);
    return done.ok ? { reasons: done.value } : { failed: done.reason.fault };
  });
});
