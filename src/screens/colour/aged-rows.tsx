'use client';

import { formatFixed } from '@/core/shared/forms';
import type { AgedApart } from '@/core/mismatch';
import { Button } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { useBuild } from '../common/build-store';
import { agedWords, differenceName } from '../words/colour';

interface AgedRowsProps {
  readonly aged: readonly AgedApart[];
  readonly onOpen: (aged: AgedApart) => void;
}

/** Pieces of the right colour that look off by their age, zone by zone; each opens where its remedies are. */
export function AgedRows({ aged, onOpen }: AgedRowsProps) {
  const workbench = useBuild((s) => s.workbench);
  if (aged.length === 0) return null;
  return (
    <section aria-labelledby="aged-apart" className="border-rule border-b px-4 py-2">
      <h2 id="aged-apart">Aged apart from their like</h2>
      <ul>
        {aged.map((a) => {
          const zone = workbench.records.zone.get(a.zone)?.name ?? '';
          return (
            <li key={`${a.zone}|${a.colour}`} className="flex flex-wrap items-center gap-3 py-1">
              <Glyph element={a.element} size={28} />
              <span className="min-w-52 flex-1 leading-tight">
                <b>
                  {a.qty} {a.colour}, <bdi>{zone}</bdi>
                </b>
                <span className="text-soft block text-[12px]">{agedWords(a)}</span>
              </span>
              <span className="text-right leading-tight">
                {differenceName(a.deltaE)}
                <span className="text-faint block text-[12px]">
                  ΔE {formatFixed(a.deltaE)}
                  {a.doubt > 0 && ` ± ${formatFixed(a.doubt)}`}
                </span>
              </span>
              <Button aria-label={`See what would do for ${a.colour}, ${zone}`} onClick={() => onOpen(a)}>
                What would do…
              </Button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
