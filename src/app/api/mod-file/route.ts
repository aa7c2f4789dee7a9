import { importModFile } from '@/server/import-mod-file';
import { answer, readBody, refuse, route } from '@/server/http';
import { patiently } from '@/server/workspace';

const REQUEST_ID = /^[\w-]{1,80}$/;

export const POST = route(async (request) => {
  const bytes = await readBody(request);
  if (!bytes) return refuse(413, { fault: 'too large' });
  const given = request.headers.get('x-request-id') ?? '';
  const id = REQUEST_ID.test(given) ? given : crypto.randomUUID();
  const text = new TextDecoder().decode(bytes);
  const done = await patiently((handle) =>
    importModFile(text, id, { handle, newId: () => crypto.randomUUID(), now: new Date() }),
  );
  return done.ok ? answer(done.value) : refuse('fault' in done.reason ? 400 : 409, done.reason);
});
