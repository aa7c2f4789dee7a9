import { actionSchema } from '@/core/formats';
import type { Action } from '@/core/ledger';
import { answer, readJson, refuse, route } from '@/server/http';
import { perform } from '@/server/perform';
import { patiently } from '@/server/workspace';

export const POST = route(async (request) => {
  const door = await readJson(request, actionSchema);
  if ('response' in door) return door.response;
  const action = door.input as unknown as Action;
  const done = await patiently((handle) => perform(handle, action, new Date()));
  return done.ok ? answer(done.value) : refuse(409, done.reason);
});
