'use client';

import {
  ENTRY_KINDS,
  entriesBehind,
  MONEY_FIGURES,
  offPieces,
  onPieces,
  type Figure,
  type Scope,
} from '@/core/ledger';
import { elementName } from '@/core/parts';
import { Dialog } from '@/ui/dialog';
import { Glyph } from '@/ui/glyph';
import { MARK_OF } from '@/ui/mark';
import { count, modNo, money, signed, kinds } from '@/ui/numbers';
import { booksInView, useBuild } from '../common/build-store';

const TITLES: Partial<Record<Figure, string>> = {
  shipped: 'Pieces as shipped',
  out: 'Pieces out',
  in: 'Pieces in',
  net: 'Net piece change: in less out',
  onModel: 'Pieces on the model',
  recoloured: 'Pieces recoloured',
  renewed: 'Pieces renewed',
  replaced: 'Placeholders replaced',
  missing: 'Pieces missing',
  missingReplaced: 'Pieces replaced',
  outOfPocket: 'Out of pocket',
  worthIn: 'Worth of all that went in',
  unpriced: 'Pieces that went in without a price',
  backUnpriced: 'Pieces that came back without a known price',
  boughtUnpriced: 'Pieces bought without a known price',
  sparesLeft: 'Spares still at hand',
  usedAgain: 'Spares used again',
};

interface SheetProps {
  readonly figure: Figure;
  readonly scope: Scope;
  readonly onClose: () => void;
}

/** The entries a figure was made from. Their amounts add up to it. */
export function FigureSheet({ figure, scope, onClose }: SheetProps) {
  const workbench = useBuild((s) => s.workbench);
  const view = useBuild((s) => s.view);
  const version = useBuild((s) => s.version);
  const set = useBuild((s) => s.set);
  const books =
    scope.of === 'modification' && view.kind === 'built'
      ? workbench.planned
      : booksInView({ workbench, view, version });
  const behind = entriesBehind(books, scope, figure);
  const total = behind.reduce((s, b) => s + b.amount, 0);
  const isMoney = MONEY_FIGURES.includes(figure);
  const write = (n: number) =>
    isMoney
      ? money(n)
      : figure === 'net' || figure === 'onModel' || figure === 'sparesLeft'
        ? signed(n)
        : count(n);
  const says = `${isMoney ? money(total) : count(total)}, from ${behind.length} ${behind.length === 1 ? 'entry' : 'entries'}`;
  return (
    <Dialog open onOpenChange={onClose} wide title={TITLES[figure] ?? figure} says={says}>
      {behind.length === 0 && <p className="text-soft">No entry counts in this yet.</p>}
      <ul>
        {behind.map(({ entry, amount }) => {
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
                  if (modification) set({ selected: modification.id, zone: null });
                  onClose();
                }}
              >
                <bdi>
                  {lots > 1 && !modification ? kinds(lots) : main && elementName(main.element)}{' '}
                  {ENTRY_KINDS[entry.kind].label}
                  {entry.note && <span className="text-faint"> · {entry.note}</span>}
                </bdi>
              </button>
              <b className="text-right">{write(amount)}</b>
            </li>
          );
        })}
      </ul>
    </Dialog>
  );
}
