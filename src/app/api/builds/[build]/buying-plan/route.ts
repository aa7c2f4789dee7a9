import { PROBLEM } from '@/core/shared/bounds';
import { readPlan, savedPlanSchema } from '@/core/market';
import { readSavedPlan, writeSavedPlan } from '@/data/buying-plans';
import { readRecord } from '@/data/records';
import { finishedPlan } from '@/server/finished-runs';
import { answer, readJson, refuse, route } from '@/server/http';
import { patiently } from '@/server/workspace';

type Context = { params: Promise<{ build: string }> };

/** The buying plan that was last asked for a build, with the plan of a run that ended after its page had gone. */
export const GET = route<Context>(async (_, { params }) => {
  const { build } = await params;
  const kept = await patiently(({ db }) => readSavedPlan(db, build));
  if (!readPlan(kept)) return answer(null);
  const { asked } = savedPlanSchema.parse(kept);
  if (!asked || asked.plan) return answer(kept);
  return answer({ ...(kept as object), asked: { ...asked, plan: finishedPlan(asked.run) ?? null } });
});

/** Keeps how a build's need is asked to be made up, and what came of it. It moves no pieces, so there is nothing to undo. */
export const PUT = route<Context>(async (request, { params }) => {
  const { build } = await params;
  const door = await readJson(request, savedPlanSchema, PROBLEM.keptBytes);
  if ('response' in door) return door.response;
  return patiently(({ db }) => {
    if (!readRecord(db, 'build', build)) return refuse(404, { refused: 'no such build' });
    writeSavedPlan(db, build, door.input);
    return answer(null);
  });
});
