'use client';

import { ArrowDown, ArrowUp } from 'lucide-react';
import { Link } from '@/ui/link';
import { elementName } from '@/core/parts';
import { rankBuilds, type Contest } from '@/core/stock';
import type { StockSnapshot } from '@/server/snapshot';
import { Button } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { count, pieces } from '@/ui/numbers';
import { VirtualList } from '@/ui/virtual-list';
import { AllNeeds } from './all-needs';
import type { OwnPartsActs } from '../common/own-parts-acts';

/** What builds have planned to take from own parts, and who gets what does not do for all. */
export function ClaimsTab({
  stock,
  acts,
  contests,
}: {
  stock: StockSnapshot;
  acts: OwnPartsActs;
  contests: readonly Contest[];
}) {
  const { builds } = stock;
  const short = contests.filter((c) => c.wanted > c.there);
  const rest = contests.filter((c) => c.wanted <= c.there);
  const name = (id: string) => builds.find((b) => b.id === id)?.name ?? 'a build in the archive';
  const swap = (i: number, j: number) => {
    const order = [...builds];
    [order[i], order[j]] = [order[j]!, order[i]!];
    acts.perform(
      rankBuilds(
        stock.ranks,
        order.map((b) => b.id),
      ),
    );
  };
  return (
    <div className="grid min-h-0 flex-1 gap-4 px-4 py-3 max-lg:overflow-auto lg:grid-cols-[300px_1fr]">
      <section aria-label="Order of builds">
        <h2 className="mb-1">Who comes first</h2>
        <p className="text-soft mb-2">
          The build at the top has own parts first; the next has what it leaves.
        </p>
        <ol>
          {builds.map((b, i) => (
            <li key={b.id} className="border-rule flex min-h-9 items-center gap-2 border-b">
              <b className="w-5">{i + 1}</b>
              <Link href={`/builds/${b.id}/parts`} className="min-w-0 flex-1 truncate underline">
                <bdi>{b.name}</bdi>
              </Link>
              <Button aria-label={`${b.name} earlier`} disabled={i === 0} onClick={() => swap(i, i - 1)}>
                <ArrowUp size={14} aria-hidden />
              </Button>
              <Button
                aria-label={`${b.name} later`}
                disabled={i === builds.length - 1}
                onClick={() => swap(i, i + 1)}
              >
                <ArrowDown size={14} aria-hidden />
              </Button>
            </li>
          ))}
        </ol>
      </section>
      <section aria-label="Asked for from own parts" tabIndex={0} className="min-h-0 overflow-auto">
        <h2 className="mb-1">
          {contests.length === 0
            ? 'No plan takes anything from own parts.'
            : `Plans take ${pieces(contests.reduce((s, c) => s + c.wanted, 0))} in ${count(contests.length)} elements; ${count(short.length)} will not do.`}
        </h2>
        <VirtualList
          items={[...short, ...rest]}
          keyOf={(c) => c.element}
          rowHeight={45}
          rowClass="border-rule flex min-h-11 flex-wrap items-center gap-3 border-b"
        >
          {(c) => (
            <>
              <Glyph element={c.element} mark={c.wanted > c.there ? 'out' : 'in'} size={34} />
              <span className="w-56">
                {elementName(c.element)}
                <span className="text-soft block text-[12px]">
                  {count(c.there)} there, {count(c.wanted)} wanted
                </span>
              </span>
              <span className="flex flex-1 flex-wrap gap-x-4">
                {c.shares.map((s) => (
                  <span key={s.build}>
                    <bdi>{name(s.build)}</bdi>{' '}
                    <b>
                      {s.gets < s.wants && '▲ '}
                      {count(s.gets)} of {count(s.wants)}
                    </b>
                  </span>
                ))}
              </span>
            </>
          )}
        </VirtualList>
        <AllNeeds />
      </section>
    </div>
  );
}
