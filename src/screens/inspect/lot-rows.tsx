'use client';

import clsx from 'clsx';
import type { BoxLot } from '@/core/inspection';
import { elementName } from '@/core/parts';
import { Glyph } from '@/ui/glyph';
import { count } from '@/ui/numbers';
import { VirtualList } from '@/ui/virtual-list';

interface LotRowsProps {
  readonly lots: readonly BoxLot[];
  /** The lot that is up: it stays in sight. */
  readonly index: number;
  readonly onPick: (index: number) => void;
}

/** The lots of a tray with what was counted of them; of thousands those in sight are drawn. */
export function LotRows({ lots, index, onPick }: LotRowsProps) {
  return (
    <div
      className="scroll-box bg-background text-background-ink"
      tabIndex={0}
      role="region"
      aria-label="Lots of this tray"
    >
      <VirtualList
        items={lots}
        keyOf={(l) => l.element}
        rowHeight={37}
        rowClass="border-background-rule border-b"
        inSight={index}
      >
        {(lot, i) => <LotRow lot={lot} isUp={i === index} onPick={() => onPick(i)} />}
      </VirtualList>
    </div>
  );
}

function LotRow({ lot, isUp, onPick }: { lot: BoxLot; isUp: boolean; onPick: () => void }) {
  return (
    <button
      type="button"
      aria-current={isUp ? 'true' : undefined}
      onClick={onPick}
      className={clsx(
        'flex min-h-9 w-full items-center gap-3 px-4 text-left',
        isUp && 'bg-background-lit font-semibold',
      )}
    >
      <Glyph element={lot.element} size={32} />
      <span className="w-8 text-right">{count(lot.expected)}</span>
      <span className="min-w-0 flex-1 truncate">{elementName(lot.element)}</span>
      <span className={clsx('text-right', !lot.line && 'text-background-soft')}>{lineWords(lot)}</span>
    </button>
  );
}

function lineWords({ line, expected }: BoxLot): string {
  if (!line) return 'not checked off';
  const lack = expected - line.there - line.broken;
  const parts = [
    lack > 0 ? `${lack} missing` : '',
    line.broken > 0 ? `${line.broken} broken` : '',
    line.faded > 0 ? `${line.faded} faded` : '',
    line.bare > 0 ? `${line.bare} bare` : '',
  ].filter(Boolean);
  return parts.length > 0 ? `✓ ${parts.join(', ')}` : '✓ all there';
}
