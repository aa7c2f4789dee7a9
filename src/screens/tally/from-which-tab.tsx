'use client';

import { formatFixed } from '@/core/shared/forms';
import { useMemo } from 'react';
import { originKey, originName } from '@/core/ledger';
import { elementName } from '@/core/parts';
import { notGenuine, originShares } from '@/core/show';
import { LotGlyph } from '@/ui/glyph';
import { count, pieces, priced } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { CameFromTable } from '../common/came-from-table';
import { PART_MARK_WORDS } from '../words/brief';

/** Where the pieces came from: shares by pieces and money, zone by zone, and what is not genuine. */
export function FromWhichTab({ planned }: { planned: boolean }) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const books = planned ? workbench.planned : workbench.built;
  const { shares, odd } = useMemo(() => {
    void version;
    return { shares: originShares(workbench, books), odd: notGenuine(workbench, books) };
  }, [workbench, books, version]);
  const all = shares.reduce((n, s) => n + s.pieces, 0);
  const oddPieces = odd.reduce((n, o) => n + o.qty, 0);
  const boxes = shares.filter((s) => s.origin.from === 'box').reduce((n, s) => n + s.pieces, 0);
  return (
    <div className="mx-auto max-w-5xl">
      <h1 className="mb-2 text-[21px] leading-tight">
        {pieces(all)} went in, {all > 0 ? Math.round((100 * boxes) / all) : 0} % from its boxes
        {oddPieces > 0 ? `; ${count(oddPieces)} are not as they were sold.` : '.'}
      </h1>
      <div className="mb-5 overflow-x-auto" tabIndex={0} role="region" aria-label="Shares">
        <table className="w-full max-w-3xl">
          <thead>
            <tr className="border-ink text-faint border-b text-right text-[12px]">
              <th scope="col" className="py-1 text-left font-normal">
                From
              </th>
              <th scope="col" className="px-2 font-normal">
                pieces
              </th>
              <th scope="col" className="px-2 font-normal">
                share
              </th>
              <th scope="col" className="w-2/5 px-2 font-normal">
                <span className="sr-only">its share drawn</span>
              </th>
              <th scope="col" className="px-2 font-normal">
                worth
              </th>
            </tr>
          </thead>
          <tbody>
            {shares.map((s) => (
              <tr key={originKey(s.origin)} className="border-rule border-b text-right">
                <th scope="row" className="max-w-64 truncate py-1 text-left font-medium">
                  <bdi>{originName(s.origin, workbench.records.copy)}</bdi>
                </th>
                <td className="px-2">{count(s.pieces)}</td>
                <td className="px-2">{formatFixed(100 * s.share, s.share < 0.1 ? 1 : 0)} %</td>
                <td className="px-2" aria-hidden>
                  <span className="bg-ink block h-2" style={{ width: `${100 * s.share}%` }} />
                </td>
                <td className="px-2">{priced(s.worth, s.unpriced)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <section className="mb-5" aria-label="Not as they were sold">
        <h2 className="mb-1 text-[16px]">
          {odd.length === 0 ? 'Nothing is marked as not genuine' : 'Not as they were sold'}
        </h2>
        <ul>
          {odd.map((o) => (
            <li key={`${o.mark} ${o.element}`} className="flex items-center gap-2">
              <LotGlyph element={o.element} qty={o.qty} size={28} />
              {count(o.qty)} {elementName(o.element)}: {PART_MARK_WORDS[o.mark]}
            </li>
          ))}
        </ul>
      </section>
      <h2 className="mb-1 text-[16px]">Zone by zone</h2>
      <CameFromTable workbench={workbench} books={books} />
    </div>
  );
}
