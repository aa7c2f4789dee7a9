'use client';

import { cameFrom, originKey, originName, type Books, type Origin } from '@/core/ledger';
import type { Workbench } from '@/core/workbench';
import { count } from '@/ui/numbers';

/** Sections against boxes: how many pieces went into each zone from which box, or from elsewhere. */
export function CameFromTable({ workbench, books }: { workbench: Workbench; books: Books }) {
  const rows = cameFrom(books);
  const origins = new Map<string, Origin>(rows.map((r) => [originKey(r.origin), r.origin]));
  const name = (o: Origin) => originName(o, workbench.records.copy);
  const columns = [...origins].sort(
    ([, a], [, b]) =>
      Number(b.from === 'box') - Number(a.from === 'box') ||
      name(a).localeCompare(name(b), 'en', { numeric: true }),
  );
  const zones = workbench.zones.filter((z) => rows.some((r) => r.zone === z.id));
  const sum = (of: (r: (typeof rows)[number]) => boolean) =>
    rows.reduce((s, r) => s + (of(r) ? r.qty : 0), 0);
  const cell = (n: number) => (n === 0 ? '' : count(n));
  if (rows.length === 0) return <p className="text-soft">Nothing has gone in yet.</p>;
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="What came from which box">
      <table className="w-full text-right">
        <thead>
          <tr className="border-ink text-faint border-b text-[12px]">
            <th scope="col" className="py-1 text-left font-normal">
              Zone
            </th>
            {columns.map(([key, o]) => (
              <th key={key} scope="col" className="px-2 font-normal">
                <bdi>{name(o)}</bdi>
              </th>
            ))}
            <th scope="col" className="px-2 font-normal">
              went in
            </th>
          </tr>
        </thead>
        <tbody>
          {zones.map((z) => (
            <tr key={z.id} className="border-rule border-b">
              <th scope="row" className="max-w-64 truncate py-1 text-left font-medium">
                <bdi>{z.name}</bdi>
              </th>
              {columns.map(([key]) => (
                <td key={key} className="px-2">
                  {cell(sum((r) => r.zone === z.id && originKey(r.origin) === key))}
                </td>
              ))}
              <td className="px-2 font-semibold">{cell(sum((r) => r.zone === z.id))}</td>
            </tr>
          ))}
        </tbody>
        <tfoot>
          <tr className="border-ink border-t font-bold">
            <th scope="row" className="py-1 text-left">
              Together
            </th>
            {columns.map(([key]) => (
              <td key={key} className="px-2">
                {cell(sum((r) => originKey(r.origin) === key))}
              </td>
            ))}
            <td className="px-2">{cell(sum(() => true))}</td>
          </tr>
        </tfoot>
      </table>
    </div>
  );
}
