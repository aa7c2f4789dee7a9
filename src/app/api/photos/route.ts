import { answer, readBody, refuse } from '@/server/http';
import { MOST_PHOTO_BYTES, takePhoto } from '@/server/take-photo';
import { workspace } from '@/server/workspace';

/** Takes a photo for a build; the page names it, so that one sent twice is kept once. */
export async function POST(request: Request): Promise<Response> {
  const bytes = await readBody(request, MOST_PHOTO_BYTES);
  if (!bytes) return refuse(413, { fault: 'too large' });
  const query = new URL(request.url).searchParams;
  const id = query.get('id') ?? '';
  if (!/^[\w-]{8,80}$/.test(id)) return refuse(400, { fault: 'not a photo' });
  const done = await takePhoto(bytes, query.get('build') ?? '', workspace(), id);
  return done.ok ? answer(done.value) : refuse(400, done.reason);
}
