import { makeBackup } from '@/server/backup';
import { workspace } from '@/server/workspace';

export function GET(): Response {
  const now = new Date();
  const packed = makeBackup(workspace(), now);
  return new Response(new Uint8Array(packed), {
    headers: {
      'content-type': 'application/gzip',
      'content-disposition': `attachment; filename="evarn-${now.toISOString().slice(0, 10)}.evarn"`,
    },
  });
}
