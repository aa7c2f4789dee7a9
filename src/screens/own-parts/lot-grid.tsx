'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import clsx from 'clsx';
import { useRef } from 'react';
import type { ElementKey } from '@/core/parts';
import type { StockHit } from '@/core/stock';
import { Glyph } from '@/ui/glyph';
import { count } from '@/ui/numbers';

const COLUMNS = 5;

/** Lots as drawn parts; each can be chosen. */
export function LotGrid({
  hits,
  chosen,
  onToggle,
}: {
  hits: readonly StockHit[];
  chosen: ReadonlySet<ElementKey>;
  onToggle: (element: ElementKey) => void;
}) {
  const scroller = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: Math.ceil(hits.length / COLUMNS),
    getScrollElement: () => scroller.current,
    estimateSize: () => 92,
    overscan: 6,
  });
  return (
    <div ref={scroller} tabIndex={0} role="region" aria-label="Lots" className="scroll-box">
      {hits.length === 0 && <p className="text-background-soft py-4">Nothing here is called that.</p>}
      <div style={{ height: virtual.getTotalSize() }} className="relative">
        {virtual.getVirtualItems().map((item) => (
          <ul
            key={item.key}
            style={{ transform: `translateY(${item.start}px)` }}
            className="absolute inset-x-0 top-0 grid grid-cols-5 gap-1"
          >
            {hits.slice(item.index * COLUMNS, (item.index + 1) * COLUMNS).map((h) => (
              <li key={h.element}>
                <button
                  type="button"
                  aria-pressed={chosen.has(h.element)}
                  onClick={() => onToggle(h.element)}
                  className={clsx(
                    'bg-background-cell relative flex h-22 w-full flex-col items-center justify-center rounded-md border-2 px-1 text-[11px]',
                    chosen.has(h.element) ? 'border-background-ink' : 'border-transparent',
                  )}
                >
                  <Glyph element={h.element} size={46} label="" />
                  <span className="w-full truncate text-center">{h.name}</span>
                  <span className="text-background-soft w-full truncate text-center">
                    {[...new Set(h.lots.map((l) => l.grade))].join(', ')}
                  </span>
                  <b className="absolute top-1 right-2 text-[13px]">{count(h.qty)}</b>
                </button>
              </li>
            ))}
          </ul>
        ))}
      </div>
    </div>
  );
}
