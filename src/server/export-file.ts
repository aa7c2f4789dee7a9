import { byPlace } from '@/core/workbench';
import { cameFromCsv, inventoryCsv, makeModFile, sparesCsv, worklogCsv } from '@/core/formats';
import { originName } from '@/core/ledger';
import { statesOf } from '@/core/need';
import { patchOf } from '@/core/patch';
import { ordersCsv, pickCsv } from '@/core/orders';
import { fileName } from '@/core/shared/file-name';
import type { BuildId } from '@/core/shared/ids';
import type { Handle } from '@/data/database';
import { openWorkbench } from './snapshot';

export const FILES = [
  'worklog.csv',
  'inventory-as-built.csv',
  'inventory-as-planned.csv',
  'spares.csv',
  'orders.csv',
  'pick-list.csv',
  'came-from.csv',
  'mod.json',
  'patch.json',
] as const;
export type FileName = (typeof FILES)[number];

/** One of a build's files: its name for saving and its text; undefined when there is no such build. */
export function exportFile(
  handle: Handle,
  build: BuildId,
  file: FileName,
): { name: string; text: string } | undefined {
  const workbench = openWorkbench(handle, build);
  if (!workbench) return undefined;
  const { zones, modifications, palette, priceOf } = workbench;
  const context = (planned: boolean) => ({
    books: planned ? workbench.planned : workbench.built,
    zones,
    modifications,
    palette,
    priceOf,
  });
  const order = new Map(modifications.map((m, i) => [m.id, i]));
  const sorted = workbench.entries
    .filter((e) => e.whatIf === null && e.modification)
    .sort((a, b) => (order.get(a.modification!) ?? 0) - (order.get(b.modification!) ?? 0) || byPlace(a, b));
  const title = workbench.records.build.get(build)?.name ?? 'build';
  const name = `${fileName(title, 'build')}-${file}`;
  const text: Record<FileName, () => string> = {
    'worklog.csv': () => worklogCsv(context(true), sorted, statesOf(workbench, { of: 'build' })),
    'inventory-as-built.csv': () => inventoryCsv(context(false)),
    'inventory-as-planned.csv': () => inventoryCsv(context(true)),
    'spares.csv': () => sparesCsv(context(false)),
    'orders.csv': () => ordersCsv(workbench),
    'pick-list.csv': () => pickCsv(workbench),
    'came-from.csv': () => cameFromCsv(context(false), (o) => originName(o, workbench.records.copy)),
    'patch.json': () => `${JSON.stringify(patchOf(workbench, { planned: true }), null, 1)}\n`,
    'mod.json': () =>
      `${JSON.stringify(makeModFile(workbench.records, build, workbench.planned), null, 1)}\n`,
  };
  return { name, text: text[file]() };
}
