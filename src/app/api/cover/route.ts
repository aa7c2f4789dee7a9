import { coverModels, coverSchema } from '@/server/cover-models';
import { answer, readJson, refuse } from '@/server/http';
import { workspace } from '@/server/workspace';

/** Which boxes, at least cost, cover some models together. */
export async function POST(request: Request): Promise<Response> {
  const door = await readJson(request, coverSchema, 1024 * 1024);
  if ('response' in door) return door.response;
  const cover = await coverModels(workspace(), door.input);
  return cover ? answer(cover) : refuse(503, { fault: 'no answer in time' });
}
