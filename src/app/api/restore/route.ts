import { restoreBackup } from '@/server/backup';
import { answer, readBody, refuse } from '@/server/http';
import { closeWorkspace, workspace } from '@/server/workspace';

const MOST_PACKED = 256 * 1024 * 1024;

export async function POST(request: Request): Promise<Response> {
  const bytes = await readBody(request, MOST_PACKED);
  if (!bytes) return refuse(413, 'too large');
  const done = restoreBackup(bytes, workspace(), new Date(), closeWorkspace);
  return done.ok ? answer(done.value) : refuse(400, done.reason);
}
