import * as z from 'zod';
import { elementSchema } from '@/core/formats/record-schemas';
import type { ParcelQuestion } from '@/core/orders';
import { BODY, LIMITS } from '@/core/shared/bounds';
import { answer, readJson, route } from '@/server/http';
import { newsOf } from '@/simulated/market';

const text = z.string().max(LIMITS.name);
const lot = z.strictObject({ element: elementSchema, qty: z.int().min(1).max(LIMITS.qty) });
const schema = z.strictObject({
  orders: z
    .array(
      z.strictObject({ id: text, seller: text, placedAt: text, due: text, lots: z.array(lot).max(5000) }),
    )
    .max(500),
});

/** What the post says of some orders. The post is simulated, and knows the simulated market's sellers only. */
export const POST = route(async (request) => {
  const door = await readJson(request, schema, BODY.middle);
  if ('response' in door) return door.response;
  const orders = door.input.orders as unknown as readonly ParcelQuestion[];
  return answer(orders.flatMap((o) => newsOf(o) ?? []));
});
