'use client';

import { entriesBehind, MONEY_FIGURES, type Figure, type Scope } from '@/core/ledger';
import { Dialog } from '@/ui/dialog';
import { count, money, signed } from '@/ui/numbers';
import { booksInView, useBuild } from '../common/build-store';
import { FIGURE_TITLES } from '../words/figures';
import { BehindList } from './behind-list';

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
    <Dialog open onOpenChange={onClose} wide beside title={FIGURE_TITLES[figure] ?? figure} says={says}>
      <BehindList
        behind={behind.map((b) => ({ entry: b.entry, words: write(b.amount) }))}
        onClose={onClose}
      />
    </Dialog>
  );
}
