import { planRequestSchema } from '@/core/market/saved-plan-schema';
import { PROBLEM } from '@/core/shared/bounds';
import { readJson, route } from '@/server/http';
import { keepAnswer, keepQuestion } from '@/server/market/keep-plan';
import { planNeed } from '@/server/market/plan-need';
import { streamRun } from '@/server/market/stream-run';
import { patiently } from '@/server/workspace';

/**
 * Works out a need's buying plan, line by line: the place in the line, how many sellers answered, progress, and the plan
 * with as much of the market as shows it. It is kept for its build, also when its page has gone: it is stopped then, and
 * the best so far is kept.
 */
export const POST = route(async (request) => {
  const door = await readJson(request, planRequestSchema, PROBLEM.keptBytes);
  if ('response' in door) return door.response;
  const { input } = door;
  await patiently((handle) => keepQuestion(handle, input));
  return streamRun(request, input.run, async (listener) => {
    const done = await planNeed(input, listener);
    await patiently((handle) => keepAnswer(handle, input, done.ok ? done.value : null));
    return done.ok ? { plan: done.value } : { reason: done.reason };
  });
});
