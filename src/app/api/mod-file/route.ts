import { bringModFile } from '@/server/bring-mod-file';
import { answer, readBody, refuse } from '@/server/http';
import { workspace } from '@/server/workspace';

export async function POST(request: Request): Promise<Response> {
  const bytes = await readBody(request);
  if (!bytes) return refuse(413, { fault: 'too large' });
  const id = request.headers.get('x-request-id') ?? crypto.randomUUID();
  const context = { handle: workspace(), newId: () => crypto.randomUUID(), now: new Date() };
  const done = bringModFile(new TextDecoder().decode(bytes), id.slice(0, 80), context);
  return done.ok ? answer(done.value) : refuse('fault' in done.reason ? 400 : 409, done.reason);
}
