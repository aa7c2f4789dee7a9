import { readPhotoBytes } from '@/data/photos';
import { refuse } from '@/server/http';
import { workspace } from '@/server/workspace';

export async function GET(_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const bytes = readPhotoBytes(workspace().db, (await params).id);
  if (!bytes) return refuse(404, { fault: 'no such photo' });
  return new Response(new Uint8Array(bytes), {
    headers: { 'content-type': 'image/webp', 'cache-control': 'private, max-age=31536000, immutable' },
  });
}
