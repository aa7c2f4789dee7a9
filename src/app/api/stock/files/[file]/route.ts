import { refuse, route } from '@/server/http';
import { STOCK_LISTS, type StockListName } from '@/server/left-overs';
import { LIST_FORMS, listFile, type ListForm } from '@/server/list-file';
import { patiently } from '@/server/workspace';

type Context = { params: Promise<{ file: string }> };

/** A list of own parts, or of prices, for another program. */
export const GET = route<Context>(async (_, { params }) => {
  const { file } = await params;
  const [name, form] = file.split('.') as [StockListName, ListForm];
  if (!Object.hasOwn(STOCK_LISTS, name) || !LIST_FORMS.includes(form) || file !== `${name}.${form}`)
    return refuse(404, { refused: 'no such file' });
  const table = await patiently((handle) => STOCK_LISTS[name].table(handle));
  const made = await listFile(table, form);
  const saved = name === 'own-parts' ? file : `own-parts-${file}`;
  return new Response(made.bytes, {
    headers: { 'content-type': made.type, 'content-disposition': `attachment; filename="${saved}"` },
  });
});
