import { asId, type BuildId } from '@/core/shared/ids';
import { refuse, route } from '@/server/http';
import { FILES, exportFile, type FileName } from '@/server/export-file';
import { patiently } from '@/server/workspace';

type Context = { params: Promise<{ build: string; file: string }> };

export const GET = route<Context>(async (_, { params }) => {
  const { build, file } = await params;
  if (!(FILES as readonly string[]).includes(file)) return refuse(404, { refused: 'no such file' });
  const made = await patiently((handle) => exportFile(handle, asId<BuildId>(build), file as FileName));
  if (!made) return refuse(404, { refused: 'no such build' });
  const type = file.endsWith('.csv') ? 'text/csv; charset=utf-8' : 'application/json; charset=utf-8';
  return new Response(made.text, {
    headers: { 'content-type': type, 'content-disposition': `attachment; filename="${made.name}"` },
  });
});
