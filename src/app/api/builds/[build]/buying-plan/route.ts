import { PROBLEM } from '@/core/shared/bounds';
import { savePlan } from '@/core/market';
import { readPlan, savedPlanChangeSchema } from '@/core/market/saved-plan-schema';
import { readSavedPlan } from '@/data/buying-plans';
import { answer, readJson, refuse, route } from '@/server/http';
import { changeSavedPlan } from '@/server/market/keep-plan';
import { patiently } from '@/server/workspace';

type Context = { params: Promise<{ build: string }> };

/** The buying plan that was last asked for a build. */
export const GET = route<Context>(async (_, { params }) => {
  const { build } = await params;
  const plan = readPlan(await patiently(({ db }) => readSavedPlan(db, build)));
  return answer(plan ? savePlan(plan) : null);
});

/** Keeps how a build's need is asked to be met. It moves no pieces, so there is nothing to undo. */
export const PUT = route<Context>(async (request, { params }) => {
  const { build } = await params;
  const door = await readJson(request, savedPlanChangeSchema, PROBLEM.keptBytes);
  if ('response' in door) return door.response;
  const kept = await patiently((handle) => changeSavedPlan(handle, build, door.input));
  return kept ? answer(null) : refuse(404, { refused: 'no such build' });
});
