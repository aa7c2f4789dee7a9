import { notFound } from 'next/navigation';
import { printedTable } from '@/core/lists';
import { PrintedList } from '@/screens/lists/printed-list';
import { forPaper } from '@/server/for-paper';
import { STOCK_LISTS, type StockListName } from '@/server/left-overs';
import { paletteIn } from '@/server/palette';
import { withWorkspace } from '../../../with-workspace';

export const metadata = { title: 'Print · Own parts' };

/** A list of own parts, or of prices, to print. */
export default async function PrintPage({ params }: { params: Promise<{ list: string }> }) {
  const { list } = await params;
  if (!Object.hasOwn(STOCK_LISTS, list)) notFound();
  return withWorkspace((handle) => {
    const chosen = STOCK_LISTS[list as StockListName];
    return (
      <PrintedList
        title={chosen.title}
        of="this workspace"
        {...forPaper(printedTable(chosen, handle))}
        ticked={false}
        palette={paletteIn(handle.db)}
        today={new Date().toISOString().slice(0, 10)}
        file={`/api/stock/files/${list}`}
        back={list === 'prices' ? '/prices' : '/own-parts'}
      />
    );
  });
}
