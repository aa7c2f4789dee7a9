import { z } from 'zod';
import { answer, readJson, refuse } from '@/server/http';
import { takeBoxes, takePrices, takeRegister, takeStock } from '@/server/take-in';
import {
  takeBoxesSchema,
  takePricesSchema,
  takeRegisterSchema,
  takeStoresSchema,
} from '@/server/take-in-schemas';
import { workspace } from '@/server/workspace';

const schema = z.discriminatedUnion('what', [
  z.strictObject({ what: z.literal('boxes'), input: takeBoxesSchema }),
  z.strictObject({ what: z.literal('stores'), input: takeStoresSchema }),
  z.strictObject({ what: z.literal('prices'), input: takePricesSchema }),
  z.strictObject({ what: z.literal('register'), input: takeRegisterSchema }),
]);

/** Takes what a person agreed to: all of it or nothing. */
export async function POST(request: Request): Promise<Response> {
  const door = await readJson(request, schema);
  if ('response' in door) return door.response;
  const context = { handle: workspace(), newId: () => crypto.randomUUID(), now: new Date() };
  const wish = door.input;
  const done =
    wish.what === 'boxes'
      ? takeBoxes(wish.input, context)
      : wish.what === 'stores'
        ? takeStock(wish.input, context)
        : wish.what === 'prices'
          ? takePrices(wish.input, context)
          : takeRegister(wish.input, context);
  return done.ok ? answer(done.value) : refuse(409, done.reason);
}
