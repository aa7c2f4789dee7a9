import { BODY } from '@/core/shared/bounds';
import { answer, readJson, refuse, route } from '@/server/http';
import { askMeter, meter, meterSchema } from '@/server/meter';
import { patiently } from '@/server/workspace';

export const POST = route(async (request) => {
  const door = await readJson(request, meterSchema, BODY.small);
  if ('response' in door) return door.response;
  const done = await patiently(() => askMeter(meter(), door.input));
  return done.ok ? answer(done.value) : refuse(409, { fault: done.fault });
});
