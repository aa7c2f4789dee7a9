import * as z from 'zod';
import { rowsOf } from '@/core/mismatch';
import type { PartId } from '@/core/shared/ids';
import { BODY, LIMITS } from '@/core/shared/bounds';
import { packedAnswer, readJson, route } from '@/server/http';
import { simulatedRegister } from '@/simulated/register';

const schema = z.strictObject({ parts: z.array(z.string().min(1).max(LIMITS.element)).max(20_000) });

/** In which colours some parts were made, and when. The register is simulated; imported lists come with what is known. */
export const POST = route(async (request) => {
  const door = await readJson(request, schema, BODY.middle);
  if ('response' in door) return door.response;
  return packedAnswer(request, rowsOf(simulatedRegister, door.input.parts as PartId[]));
});
