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
  // By zone and origin; without either, over all of them.
  const sums = new Map<string, number>();
  for (const r of rows)
    for (const zone of [r.zone, ''])
      for (const key of [originKey(r.origin), ''])
        sums.set(`${zone}|${key}`, (sums.get(`${zone}|${key}`) ?? 0) + r.qty);
  const sum = (zone: string, key: string) => sums.get(`${zone}|${key}`) ?? 0;
  const zones = workbench.zones.filter((z) => sum(z.id, '') !== 0);
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
                  {cell(sum(z.id, key))}
                </td>
              ))}
              <td className="px-2 font-semibold">{cell(sum(z.id, ''))}</td>
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
                {cell(sum('', key))}
              </td>
            ))}
            <td className="px-2">{cell(sum('', ''))}</td>
          </tr>
        </tfoot>
      </table>
    </div>
  );
}
