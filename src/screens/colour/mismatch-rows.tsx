'use client';

import { formatFixed } from '@/core/shared/forms';
import clsx from 'clsx';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useRef, useState } from 'react';
import { FIX_ORDERS, isOpen, sortFixes, SURE, type Audit, type Fix } from '@/core/mismatch';
import { elementName, splitElementKey } from '@/core/parts';
import { Glyph } from '@/ui/glyph';
import { count } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { FindAndOrder } from '../common/find-and-order';
import { useInAddress, useOneInAddress } from '../common/use-in-address';
import { differenceName, costWords, fixSource, MISMATCH_WORDS } from '../words/colour';
import { MismatchMenu } from './mismatch-menu';

interface MismatchRowsProps {
  readonly audit: Audit;
  readonly chosen: readonly Fix[];
  readonly onToggle: (fix: Fix, on: boolean) => void;
  readonly onOpen: (fix: Fix) => void;
}

const GRID =
  'grid grid-cols-[28px_58px_minmax(0,1fr)_80px_118px_76px_60px_28px] items-center gap-x-2 px-4 max-sm:grid-cols-[28px_58px_minmax(0,1fr)_28px]';

/** The mismatches, what shows most first, each with its fix; below them, folded away, what may well be meant. */
export function MismatchRows({ audit, chosen, onToggle, onOpen }: MismatchRowsProps) {
  const workbench = useBuild((s) => s.workbench);
  const [unfolded, setUnfolded] = useState(false);
  const ids = new Set(chosen.map((f) => f.mismatch.id));
  const [text, setText] = useInAddress('look');
  const [order, setOrder] = useOneInAddress('order', FIX_ORDERS);
  const zoneName = (f: Fix) => workbench.records.zone.get(f.mismatch.zone)?.name ?? '';
  const fixes = sortFixes(audit.fixes, text, order, zoneName);
  const doubtful = sortFixes(audit.doubtful, text, order, zoneName);
  const rows: (Fix | 'fold')[] = [
    ...fixes,
    ...(doubtful.length > 0 ? (['fold'] as const) : []),
    ...(unfolded ? doubtful : []),
  ];
  const scroller = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => 42,
    overscan: 10,
  });
  if (audit.fixes.length + audit.doubtful.length === 0)
    return (
      <p className="text-soft p-4">
        {audit.aged.length > 0 ? 'But for age, every' : 'Every'} colour that is seen fits in with its like and
        its zone. If one does not look right to you, open the zone and correct its scheme.
      </p>
    );
  return (
    <section aria-label="Mismatches" className="flex min-h-52 flex-1 flex-col">
      <div className="flex items-center gap-2 px-4 py-1">
        <FindAndOrder
          what="the mismatches"
          text={text}
          onText={setText}
          found={{ n: fixes.length, one: 'mismatch', many: 'mismatches' }}
          orders={FIX_ORDERS}
          order={order}
          onOrder={setOrder}
        />
      </div>
      <div
        className={clsx(GRID, 'border-rule text-faint border-b py-1.5 text-[12px] max-sm:hidden')}
        aria-hidden
      >
        <span />
        <span />
        <span>Mismatch</span>
        <span>Seen</span>
        <span className="text-right">How far off</span>
        <span className="text-right">Costs</span>
        <span className="text-right">Fixes</span>
      </div>
      <div ref={scroller} tabIndex={0} role="region" aria-label="List of mismatches" className="scroll-box">
        <ul style={{ height: virtual.getTotalSize() }} className="relative">
          {virtual.getVirtualItems().map((item) => {
            const row = rows[item.index];
            if (!row) return null;
            return (
              <li
                key={row === 'fold' ? row : row.mismatch.id}
                ref={virtual.measureElement}
                data-index={item.index}
                style={{ transform: `translateY(${item.start}px)` }}
                className={clsx(
                  row === 'fold' ? 'flex items-center px-4' : GRID,
                  'border-rule absolute inset-x-0 top-0 min-h-[42px] border-b',
                  row !== 'fold' && row.mismatch.left && 'text-faint',
                )}
              >
                {row === 'fold' ? (
                  <button
                    type="button"
                    aria-expanded={unfolded}
                    onClick={() => setUnfolded(!unfolded)}
                    className="min-h-7 hover:underline"
                  >
                    {unfolded ? 'Fold away' : 'Show'} {count(doubtful.length)} more that may well be meant so
                  </button>
                ) : (
                  <>
                    <Row
                      fix={row}
                      zone={zoneName(row)}
                      on={ids.has(row.mismatch.id)}
                      onToggle={(on) => onToggle(row, on)}
                      onOpen={() => onOpen(row)}
                    />
                    <MismatchMenu fix={row} audit={audit} onLeave={() => onOpen(row)} />
                  </>
                )}
              </li>
            );
          })}
        </ul>
      </div>
    </section>
  );
}

function Row({
  fix,
  zone,
  on,
  onToggle,
  onOpen,
}: {
  fix: Fix;
  zone: string;
  on: boolean;
  onToggle: (on: boolean) => void;
  onOpen: () => void;
}) {
  const { mismatch } = fix;
  const name = `${elementName(mismatch.element)} to ${splitElementKey(mismatch.to).colour}`;
  return (
    <>
      <input
        type="checkbox"
        aria-label={`Fix: ${name}, ${zone}`}
        disabled={!isOpen(fix)}
        checked={on}
        onChange={(e) => onToggle(e.target.checked)}
        className="size-4"
      />
      <span className="flex items-end">
        <Glyph element={mismatch.to} mark="recoloured" was={mismatch.element} size={36} />
        <span className="text-soft text-[12px]">{mismatch.qty}</span>
      </span>
      <button type="button" onClick={onOpen} className="min-w-0 text-left leading-tight hover:underline">
        <span className="block truncate">
          <b>{name}</b>{' '}
          <span className="text-soft">
            {MISMATCH_WORDS[mismatch.kind]}
            {mismatch.official && ' in the official set'},
          </span>{' '}
          <bdi className="text-soft">{zone}</bdi>
        </span>
        <span className="text-faint block truncate text-[12px]">
          {mismatch.left
            ? `left as it is: ${mismatch.left.reason}`
            : fix.canBeHad
              ? fixSource(fix)
              : 'never made in it: open for what would do'}
        </span>
      </button>
      <div className="contents max-sm:col-start-3 max-sm:row-start-2 max-sm:flex max-sm:flex-wrap max-sm:gap-x-3">
        <span>{mismatch.seen}</span>
        <span className="text-right leading-tight">
          {differenceName(mismatch.deltaE)}
          <span className="text-faint block text-[12px]">ΔE {formatFixed(mismatch.deltaE)}</span>
        </span>
        <span className="text-right">{fix.canBeHad || mismatch.left ? costWords(fix) : 'not available'}</span>
        <b className="text-right">
          {mismatch.sure < SURE && !mismatch.left
            ? `${Math.round(100 * mismatch.sure)} % sure`
            : fix.share === 0
              ? ''
              : `${formatFixed(100 * fix.share, fix.share < 0.1 ? 1 : 0)} %`}
        </b>
      </div>
    </>
  );
}
