import { coverModels, coverSchema } from '@/server/cover-models';
import { answer, readJson, refuse, route } from '@/server/http';
import { patiently } from '@/server/workspace';

/** Which boxes, at least cost, cover some models together. Closing the connection stops it. */
export const POST = route(async (request) => {
  const door = await readJson(request, coverSchema, 1024 * 1024);
  if ('response' in door) return door.response;
  const cover = await patiently((handle) => coverModels(handle, door.input, request.signal));
  return cover ? answer(cover) : refuse(503, { fault: 'no answer in time' });
});
