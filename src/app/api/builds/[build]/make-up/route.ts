import { readMakeUp, savedMakeUpSchema } from '@/core/supply';
import { readKeptMakeUp, writeKeptMakeUp } from '@/data/make-ups';
import { readRecord } from '@/data/records';
import { finishedPlan } from '@/server/finished-runs';
import { answer, readJson, refuse } from '@/server/http';
import { workspace } from '@/server/workspace';

const MOST_BYTES = 32 * 1024 * 1024;
type Context = { params: Promise<{ build: string }> };

/** The make-up that was last asked for a build, with the plan of a run that ended after its page had gone. */
export async function GET(_: Request, { params }: Context): Promise<Response> {
  const kept = readKeptMakeUp(workspace().db, (await params).build);
  if (!readMakeUp(kept)) return answer(null);
  const { asked } = savedMakeUpSchema.parse(kept);
  if (!asked || asked.plan) return answer(kept);
  return answer({ ...(kept as object), asked: { ...asked, plan: finishedPlan(asked.run) ?? null } });
}

/** Keeps how a build's need is asked to be made up, and what came of it. It moves no pieces, so there is nothing to undo. */
export async function PUT(request: Request, { params }: Context): Promise<Response> {
  const { db } = workspace();
  const { build } = await params;
  if (!readRecord(db, 'build', build)) return refuse(404, { refused: 'no such build' });
  const door = await readJson(request, savedMakeUpSchema, MOST_BYTES);
  if ('response' in door) return door.response;
  writeKeptMakeUp(db, build, door.input);
  return answer(null);
}
