import { mainColoursOf } from '@/core/brief';
import type { BuildId, ColourId } from '@/core/shared/ids';
import type { Handle } from '@/data/database';
import { readRecords } from '@/data/records';
import { openWorkbench } from './snapshot';

/** Another build of the same row, with its main colours. */
export interface RowHouse {
  readonly build: BuildId;
  readonly name: string;
  readonly colours: readonly { readonly colour: ColourId; readonly share: number }[];
}

const rowKey = (row: string): string => row.trim().toLowerCase();
/** No street is longer. */
const MOST = 24;

/** The other builds that stand in a row of a name; none where it has none. */
export function rowColours(handle: Handle, build: BuildId, row: string): RowHouse[] {
  if (!row.trim()) return [];
  const others = readRecords(handle.db, 'looks').filter(
    (l) => l.build !== build && rowKey(l.row) === rowKey(row),
  );
  return others.slice(0, MOST).flatMap((l): RowHouse[] => {
    const workbench = openWorkbench(handle, l.build);
    const name = workbench?.records.build.get(l.build)?.name;
    return workbench && name ? [{ build: l.build, name, colours: mainColoursOf(workbench) }] : [];
  });
}
