import { notFound } from 'next/navigation';
import { BUILD_LISTS, printedTable, type BuildListName } from '@/core/lists';
import { asId, type BuildId } from '@/core/shared/ids';
import { PrintedList } from '@/screens/lists/printed-list';
import { forPaper } from '@/server/for-paper';
import { openWorkbench } from '@/server/snapshot';
import { withWorkspace } from '../../../../with-workspace';
import { buildTitle } from '../../build-title';

export const generateMetadata = buildTitle('Print');

/** A list of a build, to print. */
export default async function PrintPage({ params }: { params: Promise<{ build: string; list: string }> }) {
  const { build, list } = await params;
  if (!Object.hasOwn(BUILD_LISTS, list)) notFound();
  return withWorkspace((handle) => {
    const workbench = openWorkbench(handle, asId<BuildId>(build));
    if (!workbench) notFound();
    const chosen = BUILD_LISTS[list as BuildListName];
    return (
      <PrintedList
        title={chosen.title}
        of={workbench.records.build.get(workbench.build)?.name ?? ''}
        {...forPaper(printedTable(chosen, workbench))}
        ticked={chosen.ticked ?? false}
        palette={workbench.palette}
        today={new Date().toISOString().slice(0, 10)}
        file={`/api/builds/${build}/files/${list}`}
        back={`/builds/${build}`}
      />
    );
  });
}
