import { TABLE } from '@/core/shared/bounds';
import { answer, readBody, refuse, route } from '@/server/http';
import { readUpload } from '@/server/read-upload';

/** Reads an uploaded table and gives its cells back; nothing is kept. Closing the connection stops it. */
export const POST = route(async (request) => {
  const bytes = await readBody(request, TABLE.bytes);
  if (!bytes) return refuse(413, { fault: 'too large' });
  const table = await readUpload(bytes, request.signal);
  if (table.ok) return answer(table.value);
  const status = { 'too large': 413, busy: 503 }[table.reason.fault as string] ?? 400;
  return refuse(status, table.reason);
});
