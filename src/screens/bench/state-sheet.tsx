'use client';

import type { Scope } from '@/core/ledger';
import { statesOf, totalsOf, type PartState } from '@/core/need';
import { Dialog } from '@/ui/dialog';
import { count, pieces, priced } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { STATE_MONEY, STATE_WORDS } from '../words/sources';
import { BehindList } from './behind-list';

/** The entries whose pieces stand in a state: had, bought, ordered or to buy. */
export function StateSheet({
  state,
  scope,
  onClose,
}: {
  state: PartState;
  scope: Scope;
  onClose: () => void;
}) {
  const workbench = useBuild((s) => s.workbench);
  useBuild((s) => s.version);
  const parts = statesOf(workbench, scope).filter((p) => p.state === state);
  const total = totalsOf(parts)[state];
  const amount = (of: { money: number; unpriced: number }) =>
    `${STATE_MONEY[state]} ${priced(of.money, of.unpriced)}`;
  return (
    <Dialog
      open
      onOpenChange={onClose}
      wide
      beside
      title={`Pieces ${STATE_WORDS[state]}`}
      says={`${pieces(total.pieces)}, ${amount(total)}.`}
    >
      <BehindList
        behind={parts.map((p) => ({ entry: p.entry, words: `${count(p.pieces)} · ${amount(p)}` }))}
        onClose={onClose}
      />
    </Dialog>
  );
}
