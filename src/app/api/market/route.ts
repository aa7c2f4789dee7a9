import { z } from 'zod';
import { elementSchema } from '@/core/formats/record-schemas';
import { answer, readJson, refuse } from '@/server/http';
import { askMarket } from '@/server/market';
import { workspace } from '@/server/workspace';
import { MarketFailed } from '@/stand-ins/market';

const schema = z.strictObject({ elements: z.array(elementSchema).max(5000) });

/** What sellers have of some elements. The market is a stand-in over a network that fails now and then. */
export async function POST(request: Request): Promise<Response> {
  const door = await readJson(request, schema, 4 * 1024 * 1024);
  if ('response' in door) return door.response;
  try {
    return answer(await askMarket(workspace(), door.input.elements));
  } catch (error) {
    if (error instanceof MarketFailed) return refuse(503, { fault: 'market' });
    throw error;
  }
}
