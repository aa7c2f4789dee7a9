import { readPhotoBytes } from '@/data/photos';
import { refuse, route } from '@/server/http';
import { patiently } from '@/server/workspace';

type Context = { params: Promise<{ id: string }> };

export const GET = route<Context>(async (_, { params }) => {
  const { id } = await params;
  const bytes = await patiently(({ db }) => readPhotoBytes(db, id));
  if (!bytes) return refuse(404, { fault: 'no such photo' });
  return new Response(new Uint8Array(bytes), {
    headers: { 'content-type': 'image/webp', 'cache-control': 'private, max-age=31536000, immutable' },
  });
});
