'use client';

import type { CameWent } from '@/core/show';
import { elementName } from '@/core/parts';
import { Glyph } from '@/ui/glyph';
import { count, piecesOfKinds } from '@/ui/numbers';

interface CameWentProps {
  readonly changes: CameWent;
  readonly from: string;
  readonly to: string;
}

/** What came and what went between two moments, drawn. */
export const CameWentLists = ({ changes, from, to }: CameWentProps) => (
  <section aria-label="What came and went" className="mt-5 grid gap-4 md:grid-cols-2">
    <h2 className="text-[16px] md:col-span-2">
      From <bdi>{from}</bdi> to <bdi>{to}</bdi>
    </h2>
    <PartsList title="came" lots={changes.came} />
    <PartsList title="went" lots={changes.went} isGone />
  </section>
);

interface PartsListProps {
  readonly title: string;
  readonly lots: readonly { readonly element: CameWent['came'][number]['element']; readonly qty: number }[];
  readonly isGone?: boolean;
}

const MOST = 60;

/** Kinds with their numbers, drawn; the most pieces first. */
export function PartsList({ title, lots, isGone }: PartsListProps) {
  const sum = lots.reduce((n, l) => n + l.qty, 0);
  if (lots.length === 0) return <p className="text-soft">Nothing {title}.</p>;
  return (
    <div>
      <h3 className="text-soft mb-1">
        {piecesOfKinds(sum, lots.length)} {title}
      </h3>
      <ul className="grid grid-cols-1 gap-x-3 sm:grid-cols-2">
        {lots.slice(0, MOST).map((l) => (
          <li key={l.element} className="flex min-w-0 items-center gap-2">
            <Glyph element={l.element} mark={isGone ? 'out' : 'in'} size={28} />
            <b>{count(l.qty)}</b>
            <bdi className="truncate">{elementName(l.element)}</bdi>
          </li>
        ))}
      </ul>
      {lots.length > MOST && <p className="text-soft">and {count(lots.length - MOST)} kinds more</p>}
    </div>
  );
}
