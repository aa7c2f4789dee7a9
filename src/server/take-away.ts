import { inventoryCsv, makeModFile, ordersCsv, pickCsv, sparesCsv, worklogCsv } from '@/core/formats';
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
  'mod.json',
] as const;
export type FileName = (typeof FILES)[number];

/** One of a build's files: its name for saving and its text; undefined when there is no such build. */
export function takeAway(
  handle: Handle,
  build: BuildId,
  file: FileName,
): { name: string; text: string } | undefined {
  const bench = openWorkbench(handle, build);
  if (!bench) return undefined;
  const { zones, modifications, palette, priceOf } = bench;
  const context = (planned: boolean) => ({
    books: planned ? bench.planned : bench.built,
    zones,
    modifications,
    palette,
    priceOf,
  });
  const order = new Map(modifications.map((m, i) => [m.id, i]));
  const sorted = bench.entries
    .filter((e) => e.whatIf === null && e.modification)
    .sort(
      (a, b) =>
        (order.get(a.modification!) ?? 0) - (order.get(b.modification!) ?? 0) || a.position - b.position,
    );
  const title = bench.records.build.get(build)?.name ?? 'build';
  const name = `${
    title
      .normalize('NFKD')
      .replace(/[^\w ]+/g, '')
      .trim()
      .replace(/\s+/g, '-')
      .toLowerCase()
      .slice(0, 60) || 'build'
  }-${file}`;
  const text: Record<FileName, () => string> = {
    'worklog.csv': () => worklogCsv(context(true), sorted),
    'inventory-as-built.csv': () => inventoryCsv(context(false)),
    'inventory-as-planned.csv': () => inventoryCsv(context(true)),
    'spares.csv': () => sparesCsv(context(false)),
    'orders.csv': () => ordersCsv(bench),
    'pick-list.csv': () => pickCsv(bench),
    'mod.json': () => `${JSON.stringify(makeModFile(bench.records, build, bench.planned), null, 1)}\n`,
  };
  return { name, text: text[file]() };
}
