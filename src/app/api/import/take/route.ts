import { z } from 'zod';
import type { Handle } from '@/data/database';
import { answer, readJson, refuse, route } from '@/server/http';
import { takeBoxes, takePrices, takeRegister, takeStock } from '@/server/take-in';
import {
  takeBoxesSchema,
  takePricesSchema,
  takeRegisterSchema,
  takeStoresSchema,
} from '@/server/take-in-schemas';
import { patiently } from '@/server/workspace';

const schema = z.discriminatedUnion('what', [
  z.strictObject({ what: z.literal('boxes'), input: takeBoxesSchema }),
  z.strictObject({ what: z.literal('stores'), input: takeStoresSchema }),
  z.strictObject({ what: z.literal('prices'), input: takePricesSchema }),
  z.strictObject({ what: z.literal('register'), input: takeRegisterSchema }),
]);

/** Takes what a person agreed to: all of it or nothing. */
export const POST = route(async (request) => {
  const door = await readJson(request, schema);
  if ('response' in door) return door.response;
  const done = await patiently((handle) => carryOut(door.input, handle));
  return done.ok ? answer(done.value) : refuse(409, done.reason);
});

function carryOut(wish: z.infer<typeof schema>, handle: Handle) {
  const context = { handle, newId: () => crypto.randomUUID(), now: new Date() };
  switch (wish.what) {
    case 'boxes':
      return takeBoxes(wish.input, context);
    case 'stores':
      return takeStock(wish.input, context);
    case 'prices':
      return takePrices(wish.input, context);
    case 'register':
      return takeRegister(wish.input, context);
  }
}
