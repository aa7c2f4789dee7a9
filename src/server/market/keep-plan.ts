import { BLANK_PLAN, savePlan, type AskedPlan, type SavedPlan, type SavedPlanChange } from '@/core/market';
import { readPlan } from '@/core/market/saved-plan-schema';
import { readSavedPlan, writeSavedPlan } from '@/data/buying-plans';
import type { Handle } from '@/data/database';
import { readRecord } from '@/data/records';
import type { PlanRequest } from './plan-need';
import type { BetterPlan } from './runs';

const keptFor = ({ db }: Handle, build: string): SavedPlan =>
  readPlan(readSavedPlan(db, build)) ?? BLANK_PLAN;

/** Keeps what a page changed of a build's buying plan; false where there is no such build. */
export function changeSavedPlan(handle: Handle, build: string, change: SavedPlanChange): boolean {
  if (!readRecord(handle.db, 'build', build)) return false;
  writeSavedPlan(handle.db, build, { ...(savePlan(keptFor(handle, build)) as object), ...change });
  return true;
}

/** Keeps that a question was asked for a build, before there is an answer: a page that comes back meanwhile knows it. */
export function keepQuestion(handle: Handle, { run, build, lots }: PlanRequest): void {
  if (build === null || !readRecord(handle.db, 'build', build)) return;
  const market = { sellers: [], boxes: [] };
  const asked: AskedPlan = { run, market, needed: lots, lots, plan: null, credit: 0 };
  writeSavedPlan(handle.db, build, savePlan({ ...keptFor(handle, build), asked }));
}

/** Keeps the answer to a build's question, if that is still the question; null where there is none to be kept. */
export function keepAnswer(handle: Handle, { run, build }: PlanRequest, asked: AskedPlan | null): void {
  if (build === null || !readRecord(handle.db, 'build', build)) return;
  const kept = keptFor(handle, build);
  if (kept.asked?.run === run) writeSavedPlan(handle.db, build, savePlan({ ...kept, asked }));
}

/** Keeps a better plan in place of the answer to a build's question, if that is still the question. */
export function keepBetter(handle: Handle, build: string | null, run: string, better: BetterPlan): void {
  if (build === null || !readRecord(handle.db, 'build', build)) return;
  const kept = keptFor(handle, build);
  if (kept.asked?.run === run)
    writeSavedPlan(handle.db, build, savePlan({ ...kept, asked: { ...kept.asked, ...better } }));
}
