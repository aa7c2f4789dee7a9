import * as z from 'zod';
import { changesSince, readOfferId, shownMarket, type AskedPlan } from '@/core/market';
import { askedPlanSchema, listsSchema, preferencesSchema } from '@/core/market/saved-plan-schema';
import { PROBLEM } from '@/core/shared/bounds';
import { answer, readJson, refuse, route } from '@/server/http';
import { askSellers } from '@/server/market/plan-need';

const schema = z.strictObject({ asked: askedPlanSchema, lists: listsSchema, preferences: preferencesSchema });

/** Asks the sellers once more for what a plan buys, and says what has changed since it was made. */
export const POST = route(async (request) => {
  const door = await readJson(request, schema, PROBLEM.keptBytes);
  if ('response' in door) return door.response;
  const { lists, preferences } = door.input;
  const { plan, market, lots } = door.input.asked as AskedPlan;
  if (!plan) return refuse(400, { refused: 'shape', where: 'asked.plan', says: 'there is no plan to check' });
  // What is bought, and what it is bought for: the boxes that have some of that are told with it.
  const elements = [
    ...lots.map((l) => l.element),
    ...plan.buys.map((b) => readOfferId(String(b.element)).element),
  ];
  const now = await askSellers([...new Set(elements)], lists, request.signal);
  if (!now) return refuse(503, { fault: 'market' });
  const wish = { never: new Set(preferences.never), prefer: new Set(preferences.prefer) };
  return answer({ changes: changesSince(plan, market, now), now: shownMarket(now, plan, wish, lots) });
});
