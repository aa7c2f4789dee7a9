import * as z from 'zod';
import { scopeNow } from '@/core/records';
import { BODY } from '@/core/shared/bounds';
import { answer, readJson, refuse, route } from '@/server/http';
import { undoOrRedo } from '@/server/perform';
import { patiently } from '@/server/workspace';

const schema = z.strictObject({
  request: z.string().min(1).max(80),
  scope: z.string().min(1).max(80).overwrite(scopeNow),
  direction: z.enum(['undo', 'redo']),
  /** What the button named. */
  action: z.string().min(1).max(80),
});

/** Undo and redo of the last action of a scope, which the window names. */
export const POST = route(async (request) => {
  const door = await readJson(request, schema, BODY.small);
  if ('response' in door) return door.response;
  const { request: id, scope, direction, action } = door.input;
  const done = await patiently((handle) => undoOrRedo(handle, id, scope, direction, action));
  return done.ok ? answer(done.value) : refuse(409, done.reason);
});
