import { refuse, route } from '@/server/http';
import { STOCK_FILES, stockFile, type StockFile } from '@/server/left-overs';
import { patiently } from '@/server/workspace';

type Context = { params: Promise<{ file: string }> };

/** Own parts by colour, or what is left over, as a table for another program. */
export const GET = route<Context>(async (_, { params }) => {
  const { file } = await params;
  if (!(STOCK_FILES as readonly string[]).includes(file)) return refuse(404, { refused: 'no such file' });
  const text = await patiently((handle) => stockFile(handle, file as StockFile));
  return new Response(text, {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': `attachment; filename="own-parts-${file}"`,
    },
  });
});
