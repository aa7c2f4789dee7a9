'use client';

import { Link } from '@/ui/link';
import { jobState } from '@/core/fit';
import { byElementName, elementName, type ElementKey } from '@/core/parts';
import type { FloorJob, WallJob } from '@/core/records';
import { Button, buttonClass } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { count } from '@/ui/numbers';
import { useBuild } from '../common/build-store';

interface PlannedSideProps {
  readonly job: WallJob | FloorJob;
  readonly pieces: readonly { readonly element: ElementKey; readonly plates?: boolean }[];
  readonly onAnew: () => void;
}

const ANEW = {
  stated: '',
  planned: 'Its planned entries go, and what they took is at hand again.',
  begun: 'Some of it stands already: its entries stay, and what is laid anew comes on top of them.',
  gone: 'Its modification was deleted.',
} as const;

/** The pieces of what was planned, where it stands on the bench, and the way back. */
export function PlannedSide({ job, pieces, onAnew }: PlannedSideProps) {
  const workbench = useBuild((s) => s.workbench);
  const sums = new Map<ElementKey, number>();
  for (const p of pieces) sums.set(p.element, (sums.get(p.element) ?? 0) + (p.plates ? 3 : 1));
  const state = jobState(workbench, job);
  return (
    <aside
      aria-label="Pieces"
      tabIndex={0}
      className="border-rule min-h-0 border-l p-4 lg:overflow-auto print:border-0"
    >
      <h2 className="mb-1 text-[16px]">Pieces</h2>
      <ul>
        {[...sums]
          .sort(([a], [b]) => byElementName(a, b))
          .map(([element, qty]) => (
            <li key={element} className="border-rule flex min-h-9 items-center gap-2 border-b">
              <Glyph element={element} size={28} />
              <span>
                <b>{count(qty)}</b> {elementName(element)}
              </span>
            </li>
          ))}
      </ul>
      <div className="no-print mt-4 flex flex-col items-start gap-2">
        {state !== 'gone' && (
          <Link href={`/builds/${workbench.build}`} className={buttonClass('main')}>
            Place them on the bench
          </Link>
        )}
        <Button onClick={onAnew}>Lay it anew</Button>
        <p className="text-soft">{ANEW[state]}</p>
      </div>
    </aside>
  );
}
