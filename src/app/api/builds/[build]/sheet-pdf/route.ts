import { SHEET, sheetSchema } from '@/core/mod-sheet';
import { asId, type BuildId } from '@/core/shared/ids';
import { readJson, refuse, route } from '@/server/http';
import { buildSheetPdf } from '@/server/build-sheet-pdf';
import { patiently } from '@/server/workspace';

type Context = { params: Promise<{ build: string }> };

/** A mod sheet as a PDF. */
export const POST = route<Context>(async (request, { params }) => {
  const { build } = await params;
  const door = await readJson(request, sheetSchema, SHEET.bytes);
  if ('response' in door) return door.response;
  const made = await patiently((handle) => buildSheetPdf(handle, asId<BuildId>(build), door.input));
  if (!made) return refuse(404, { refused: 'no such build' });
  return new Response(new Uint8Array(made), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': 'attachment; filename="mod-sheet.pdf"',
    },
  });
});
