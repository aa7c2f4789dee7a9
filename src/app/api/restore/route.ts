import { BACKUP } from '@/core/shared/bounds';
import { dataFolder } from '@/data/database';
import { answer, readBody, refuse, route } from '@/server/http';
import { restore } from '@/server/restore';

/** Puts a backup in place: the uploaded file, or with `?kept=` one that lies in the backups folder. */
export const POST = route(async (request) => {
  const kept = new URL(request.url).searchParams.get('kept');
  if (kept !== null) return said(await restore({ kept }, dataFolder(), new Date()));
  const packed = await readBody(request, BACKUP.packed);
  if (!packed) return refuse(413, { fault: 'too large' });
  return said(await restore({ packed }, dataFolder(), new Date()));
});

const said = (done: Awaited<ReturnType<typeof restore>>): Response =>
  done.ok ? answer(done.value) : refuse(done.reason.fault === 'busy' ? 503 : 400, done.reason);
