import { asId, type BuildId } from '@/core/shared/ids';
import { exportFile, FILES } from '@/server/export-file';
import { refuse, route } from '@/server/http';
import { patiently } from '@/server/workspace';

type Context = { params: Promise<{ build: string; file: string }> };

/** One of a build's files: a list for another program, or what this one reads back. */
export const GET = route<Context>(async (_, { params }) => {
  const { build, file } = await params;
  if (!FILES.includes(file)) return refuse(404, { refused: 'no such file' });
  const made = await patiently((handle) => exportFile(handle, asId<BuildId>(build), file));
  if (!made) return refuse(404, { refused: 'no such build' });
  return new Response(made.bytes, {
    headers: { 'content-type': made.type, 'content-disposition': `attachment; filename="${made.name}"` },
  });
});
