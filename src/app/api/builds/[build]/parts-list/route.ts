import { asId, type BuildId } from '@/core/shared/ids';
import { refuse, route } from '@/server/http';
import { partsListFile, partsListSchema } from '@/server/parts-list';
import { patiently } from '@/server/workspace';

type Context = { params: Promise<{ build: string }> };

/** The parts that others need for a mod: CSV, XLSX or JSON. */
export const GET = route<Context>(async (request, { params }) => {
  const { build } = await params;
  const asked = partsListSchema.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!asked.success) {
    const issue = asked.error.issues[0];
    return refuse(400, {
      refused: 'not understood',
      where: issue?.path.join('.') ?? '',
      says: issue?.message ?? '',
    });
  }
  const made = await patiently((handle) => partsListFile(handle, asId<BuildId>(build), asked.data));
  if (!made) return refuse(404, { refused: 'no such build' });
  return new Response(new Uint8Array(made.bytes), {
    headers: {
      'content-type': made.type,
      'content-disposition': `attachment; filename="parts-list.${asked.data.as}"`,
    },
  });
});
