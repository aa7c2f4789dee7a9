import { actionSchema } from '@/core/formats';
import type { Action } from '@/core/ledger';
import { answer, readJson, refuse } from '@/server/http';
import { perform } from '@/server/perform';
import { workspace } from '@/server/workspace';

export async function POST(request: Request): Promise<Response> {
  const door = await readJson(request, actionSchema);
  if ('response' in door) return door.response;
  const done = perform(workspace(), door.input as unknown as Action, new Date());
  return done.ok ? answer(done.value) : refuse(409, done.reason);
}
