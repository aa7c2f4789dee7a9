'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import { useMemo, useRef, useState } from 'react';
import type { ColumnRole, Purpose, ReadRow, RowFault } from '@/core/formats';
import { elementName } from '@/core/parts';
import { Glyph } from '@/ui/glyph';
import { count, money } from '@/ui/numbers';
import { rowFaultWords, rowNoteWords } from '../words/tables';
import type { TableTools } from './import-state';

const FIX: Readonly<Record<RowFault['fault'], ColumnRole>> = {
  'no part': 'name',
  'too long': 'name',
  'no colour': 'colour',
  'unknown colour': 'colour',
  'no quantity': 'qty',
  quantity: 'qty',
  'no price': 'usedPrice',
  price: 'usedPrice',
  year: 'from',
};

/** Every row with its drawn part and what will be imported; rows with faults say why and can be put right here. */
export function RowsTable({ tools, purpose }: { tools: TableTools; purpose: Purpose }) {
  const [only, setOnly] = useState(false);
  const faulty = useMemo(() => tools.rows.filter((r) => r.faults.length > 0).length, [tools.rows]);
  const shown = useMemo(
    () => (only && faulty > 0 ? tools.rows.filter((r) => r.faults.length > 0) : tools.rows),
    [tools.rows, only, faulty],
  );
  const scroller = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: shown.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => 44,
    overscan: 12,
  });
  return (
    <section aria-label="Rows">
      <div className="mb-1 flex items-center gap-4">
        <h2>
          {count(tools.rows.length)} rows{faulty > 0 && `, ${count(faulty)} with faults`}
        </h2>
        {faulty > 0 && (
          <label className="flex items-center gap-1.5">
            <input
              type="checkbox"
              className="size-4"
              checked={only}
              onChange={(e) => setOnly(e.target.checked)}
            />
            show only these
          </label>
        )}
      </div>
      <div
        ref={scroller}
        className="border-rule bg-sheet h-[38vh] overflow-auto rounded-md border"
        tabIndex={0}
        role="region"
        aria-label="Rows of the table"
      >
        <ul style={{ height: virtual.getTotalSize() }} className="relative">
          {virtual.getVirtualItems().map((item) => {
            const row = shown[item.index];
            return (
              row && (
                <li
                  key={item.key}
                  style={{ transform: `translateY(${item.start}px)` }}
                  className="border-rule absolute inset-x-0 top-0 flex h-11 items-center gap-3 border-b px-3"
                >
                  <RowCells row={row} tools={tools} purpose={purpose} />
                </li>
              )
            );
          })}
        </ul>
      </div>
    </section>
  );
}

function RowCells({ row, tools, purpose }: { row: ReadRow; tools: TableTools; purpose: Purpose }) {
  const fault = row.faults[0];
  const note = row.notes[0];
  return (
    <>
      <span className="text-faint w-12 text-right font-mono text-[12px]">{row.line}</span>
      <span className="w-10">
        {row.element ? <Glyph element={row.element} size={38} /> : <span aria-hidden>▲</span>}
      </span>
      {purpose !== 'prices' && purpose !== 'register' && (
        <b className="w-14 text-right">{row.qty > 0 ? count(row.qty) : '–'}</b>
      )}
      <span className="min-w-0 flex-1 truncate">
        <bdi className="font-medium">
          {row.element ? elementName(row.element) : row.part?.id || 'nothing'}
        </bdi>
        <span className="text-faint">
          {row.text && (
            <>
              {' '}
              from “<bdi>{row.text}</bdi>”
            </>
          )}
          {note && ` · ${rowNoteWords(note)}`}
        </span>
      </span>
      {purpose === 'register' ? (
        <span className="text-soft w-44 text-right">
          {row.from ?? '…'} to {row.to ?? 'now'}
        </span>
      ) : purpose === 'prices' ? (
        <span className="text-soft w-44 text-right">
          {row.newPrice !== null && `${money(row.newPrice)} new `}
          {row.usedPrice !== null && `${money(row.usedPrice)} used`}
        </span>
      ) : (
        <span className="text-soft max-w-48 truncate">
          <bdi>
            {[row.extra ? 'extra' : '', row.zone, row.tray, row.condition].filter(Boolean).join(' · ')}
          </bdi>
        </span>
      )}
      {fault && <Fix row={row} fault={fault} tools={tools} />}
    </>
  );
}

function Fix({ row, fault, tools }: { row: ReadRow; fault: RowFault; tools: TableTools }) {
  const { state } = tools;
  const column = state?.roles.indexOf(FIX[fault.fault]) ?? -1;
  const at = state ? tools.rows.indexOf(row) : -1;
  return (
    <span className="flex w-96 shrink-0 items-center gap-2">
      <b className="min-w-0 flex-1 text-[12px] leading-tight" title={rowFaultWords(fault)}>
        ▲ {rowFaultWords(fault)}
      </b>
      {column >= 0 && at >= 0 && (
        <input
          aria-label={`Put line ${row.line} right`}
          defaultValue={state?.table.rows[at]?.[column] ?? ''}
          onBlur={(e) => tools.setCell(at, column, e.target.value)}
          onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
          className="border-edge min-h-7 w-24 rounded-md border px-1"
        />
      )}
    </span>
  );
}
