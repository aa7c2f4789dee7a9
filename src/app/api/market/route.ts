import { z } from 'zod';
import { elementSchema } from '@/core/formats/record-schemas';
import { BODY } from '@/core/shared/bounds';
import { answer, readJson, refuse, route } from '@/server/http';
import { askMarket } from '@/server/market';
import { patiently } from '@/server/workspace';
import { MarketFailed } from '@/simulated/market';

const schema = z.strictObject({ elements: z.array(elementSchema).max(5000) });

/** What sellers have of some elements. The market is simulated, over a network that fails now and then. */
export const POST = route(async (request) => {
  const door = await readJson(request, schema, BODY.middle);
  if ('response' in door) return door.response;
  try {
    return answer(await patiently((handle) => askMarket(handle, door.input.elements)));
  } catch (error) {
    if (error instanceof MarketFailed) return refuse(503, { fault: 'market' });
    throw error;
  }
});
