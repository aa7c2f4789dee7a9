import { z } from 'zod';
import { answer, readJson, refuse } from '@/server/http';
import { turn } from '@/server/perform';
import { workspace } from '@/server/workspace';

const schema = z.strictObject({
  request: z.string().min(1).max(80),
  scope: z.string().min(1).max(80),
  direction: z.enum(['undo', 'redo']),
});

/** Undo and redo of the last action of a scope. */
export async function POST(request: Request): Promise<Response> {
  const door = await readJson(request, schema, 10_000);
  if ('response' in door) return door.response;
  const { request: id, scope, direction } = door.input;
  const done = turn(workspace(), id, scope, direction);
  return done.ok ? answer(done.value) : refuse(409, done.reason);
}
