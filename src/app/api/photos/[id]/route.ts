import { readPhotoBytes } from '@/data/photos';
import { PHOTO } from '@/core/shared/bounds';
import { refuse, route } from '@/server/http';
import { smallerPhoto } from '@/server/keep-photo';
import { patiently } from '@/server/workspace';

type Context = { params: Promise<{ id: string }> };

export const GET = route<Context>(async (request, { params }) => {
  const { id } = await params;
  const bytes = await patiently(({ db }) => readPhotoBytes(db, id));
  if (!bytes) return refuse(404, { fault: 'no such photo' });
  const side = new URL(request.url).searchParams.get('side');
  const pixels = side === null ? null : Number(side);
  if (pixels !== null && !(Number.isInteger(pixels) && pixels >= 16 && pixels <= PHOTO.side))
    return refuse(400, {
      refused: 'shape',
      where: 'side',
      says: `a photo is shown at 16 to ${PHOTO.side} pixels`,
    });
  const shown = pixels === null ? bytes : await smallerPhoto(bytes, pixels);
  return new Response(new Uint8Array(shown), {
    headers: { 'content-type': 'image/webp', 'cache-control': 'private, max-age=31536000, immutable' },
  });
});
