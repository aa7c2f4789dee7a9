'use client';

import { ENTRY_KINDS, offPieces, onPieces, type Entry } from '@/core/ledger';
import { elementName } from '@/core/parts';
import { Glyph } from '@/ui/glyph';
import { MARK_OF } from '@/ui/mark';
import { kinds, modNo } from '@/ui/numbers';
import { useBuild, useBuildStore } from '../common/build-store';
import { showEntry } from './use-bench-address';

/** The entries that a figure was made from, each with its part of it; one opens where it stands. */
export function BehindList({
  behind,
  onClose,
}: {
  behind: readonly { readonly entry: Entry; readonly words: string }[];
  onClose: () => void;
}) {
  const workbench = useBuild((s) => s.workbench);
  const store = useBuildStore();
  return (
    <>
      {behind.length === 0 && <p className="text-soft">No entry counts in this yet.</p>}
      <ul>
        {behind.map(({ entry, words }) => {
          const modification = entry.modification
            ? workbench.records.modification.get(entry.modification)
            : undefined;
          const main = onPieces(entry)[0] ?? offPieces(entry)[0] ?? entry.movements[0];
          const lots = new Set(entry.movements.map((m) => m.element)).size;
          return (
            <li
              key={entry.id}
              className="border-rule grid min-h-9 grid-cols-[3.5rem_auto_1fr_auto] items-center gap-3 border-b"
            >
              <span className="text-faint font-mono text-[12px]">
                {modification ? modNo(modification.no) : 'box'}
              </span>
              {main ? <Glyph element={main.element} mark={MARK_OF[entry.kind]} size={30} /> : <span />}
              <button
                type="button"
                className="min-w-0 truncate text-left hover:underline"
                onClick={() => {
                  onClose();
                  showEntry(store, entry.id);
                }}
              >
                <bdi>
                  {lots > 1 && !modification ? kinds(lots) : main && elementName(main.element)}{' '}
                  {ENTRY_KINDS[entry.kind].label}
                  {entry.note && <span className="text-faint"> · {entry.note}</span>}
                </bdi>
              </button>
              <b className="text-right">{words}</b>
            </li>
          );
        })}
      </ul>
    </>
  );
}
