import * as z from 'zod';
import type { Handle } from '@/data/database';
import { answer, readJson, refuse, route } from '@/server/http';
import { importBoxes, importPrices, importRegister, importStock } from '@/server/import-rows';
import {
  importBoxesSchema,
  importPricesSchema,
  importRegisterSchema,
  importStockSchema,
} from '@/server/import-schemas';
import { patiently } from '@/server/workspace';

const schema = z.discriminatedUnion('what', [
  z.strictObject({ what: z.literal('boxes'), input: importBoxesSchema }),
  z.strictObject({ what: z.literal('stock'), input: importStockSchema }),
  z.strictObject({ what: z.literal('prices'), input: importPricesSchema }),
  z.strictObject({ what: z.literal('register'), input: importRegisterSchema }),
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
      return importBoxes(wish.input, context);
    case 'stock':
      return importStock(wish.input, context);
    case 'prices':
      return importPrices(wish.input, context);
    case 'register':
      return importRegister(wish.input, context);
  }
}
