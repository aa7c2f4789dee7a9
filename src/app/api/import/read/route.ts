import { answer, readBody, refuse } from '@/server/http';
import { readUpload } from '@/server/read-upload';

/** Reads an uploaded table and gives its cells back; nothing is kept. */
export async function POST(request: Request): Promise<Response> {
  const bytes = await readBody(request);
  if (!bytes) return refuse(413, { fault: 'too large' });
  const table = await readUpload(bytes);
  return table.ok
    ? answer(table.value)
    : refuse(table.reason.fault === 'too large' ? 413 : 400, table.reason);
}
