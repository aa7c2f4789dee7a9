import { nowAvailable } from '@/core/market';
import { readRecords } from '@/data/records';
import { answer, route } from '@/server/http';
import { registerIn } from '@/server/market/ask-market';
import { askSellers } from '@/server/market/plan-need';
import { patiently } from '@/server/workspace';

/** What the register and the sellers say of the parts that are waited for, and whether the sellers answered. */
export const GET = route(async (request) => {
  const [waiting, register] = await patiently((handle) => [
    readRecords(handle.db, 'waiting'),
    registerIn(handle),
  ]);
  const elements = waiting.map((w) => w.element);
  const market = elements.length > 0 ? await askSellers(elements, [], request.signal) : undefined;
  return answer({
    asked: market !== undefined,
    parts: nowAvailable(waiting, register, market ?? null, new Date().getFullYear()),
  });
});
