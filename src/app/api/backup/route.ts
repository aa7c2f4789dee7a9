import { route } from '@/server/http';
import { makeBackup } from '@/server/make-backup';
import { patiently } from '@/server/workspace';

export const GET = route(async () => {
  const now = new Date();
  const packed = await patiently((handle) => makeBackup(handle, now));
  return new Response(new Uint8Array(packed), {
    headers: {
      'content-type': 'application/gzip',
      'content-disposition': `attachment; filename="evarn-${now.toISOString().slice(0, 10)}.evarn"`,
      'cache-control': 'no-store',
    },
  });
});
