import { PHOTO } from '@/core/shared/bounds';
import { answer, readBody, refuse, route } from '@/server/http';
import { keepPhoto } from '@/server/keep-photo';
import { patiently } from '@/server/workspace';

/** Takes a photo for a build; the page names it, so that one sent twice is kept once. */
export const POST = route(async (request) => {
  const bytes = await readBody(request, PHOTO.bytes);
  if (!bytes) return refuse(413, { fault: 'too large' });
  const query = new URL(request.url).searchParams;
  const id = query.get('id') ?? '';
  if (!/^[\w-]{8,80}$/.test(id)) return refuse(400, { fault: 'not a photo' });
  const done = await patiently((handle) => keepPhoto(bytes, query.get('build') ?? '', handle, id));
  return done.ok ? answer(done.value) : refuse(400, done.reason);
});
