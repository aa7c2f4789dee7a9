import { answer, readJson, refuse } from '@/server/http';
import { askMeter, meterOf, meterSchema } from '@/server/meter';
import { workspace } from '@/server/workspace';

export async function POST(request: Request): Promise<Response> {
  const door = await readJson(request, meterSchema, 10_000);
  if ('response' in door) return door.response;
  const done = await askMeter(meterOf(workspace()), door.input);
  return done.ok ? answer(done.value) : refuse(409, { fault: done.fault });
}
