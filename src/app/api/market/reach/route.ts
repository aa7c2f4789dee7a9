import * as z from 'zod';
import { elementSchema } from '@/core/formats/record-schemas';
import { inReach, othersToAsk, readPreferences } from '@/core/market';
import { listsSchema, preferencesSchema } from '@/core/market/saved-plan-schema';
import { LIMITS, PROBLEM } from '@/core/shared/bounds';
import type { ElementKey } from '@/core/parts';
import type { BuyingPlan } from '@/core/sourcing';
import { answer, readJson, refuse, route } from '@/server/http';
import { askSellers } from '@/server/market/plan-need';
import { paletteIn } from '@/server/palette';
import { patiently } from '@/server/workspace';

const id = z.string().max(LIMITS.element + 80);
const schema = z.strictObject({
  /** What is not available, and the condition that it is wanted in where that differs from the others. */
  open: z
    .array(z.strictObject({ element: elementSchema, wish: z.enum(['new', 'used']).nullable() }))
    .max(500),
  buys: z.array(z.strictObject({ seller: id, element: id, qty: z.int().min(0) })).max(50_000),
  preferences: preferencesSchema,
  lists: listsSchema,
});

/** What would do instead of parts that a plan leaves open: for each what a limit lifted, a colour or a shape would bring. */
export const POST = route(async (request) => {
  const door = await readJson(request, schema, PROBLEM.keptBytes);
  if ('response' in door) return door.response;
  const { open, buys, lists } = door.input;
  const preferences = readPreferences(door.input.preferences);
  const palette = await patiently(({ db }) => paletteIn(db));
  const elements = open.map((o) => o.element);
  const market = await askSellers(othersToAsk(elements, palette), lists, request.signal);
  if (!market) return refuse(503, { fault: 'market' });
  return answer(
    open.map(({ element, wish }): unknown =>
      inReach(
        element as ElementKey,
        { buys: buys as unknown as BuyingPlan['buys'] },
        market,
        wish === null ? preferences : { ...preferences, used: wish === 'used' },
        palette,
      ),
    ),
  );
});
