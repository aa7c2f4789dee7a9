'use client';

import { Link } from '@/ui/link';
import { Fragment } from 'react';
import type { Tally } from '@/core/ledger';
import { count, signed, priced } from '@/ui/numbers';
import { useBuild } from './build-store';
import { RuleWatch } from './rule-watch';
import { balanceTerms } from '../words/balance';

/** The balance as built and as planned, in one line: always in sight. `trying` is what it would be with what is chosen. */
export function BalanceStrip({ trying }: { trying?: Tally | null }) {
  const workbench = useBuild((s) => s.workbench);
  useBuild((s) => s.version);
  const built = workbench.built.figures({ of: 'build' });
  const planned = trying?.figures ?? workbench.planned.figures({ of: 'build' });
  return (
    <section
      aria-label="Balance"
      data-trying={trying ? 'yes' : undefined}
      className="border-rule bg-sheet no-print flex flex-wrap items-baseline gap-x-4 gap-y-0.5 border-b px-4 py-1.5"
    >
      <span>
        {balanceTerms(built, false).map(({ figure, sign, words, pieces }) => (
          <Fragment key={figure}>
            {sign} <b>{count(pieces)}</b> {words}{' '}
          </Fragment>
        ))}
      </span>
      <span className={trying ? 'underline decoration-dotted underline-offset-4' : ''}>
        as planned <b>{count(planned.onModel)}</b>, net <b>{signed(planned.net)}</b>,{' '}
        <b>{priced(planned.outOfPocket, planned.boughtUnpriced)}</b> out of pocket,{' '}
        <b>{priced(planned.worthIn, planned.unpriced)}</b> with own parts, <b>{count(planned.recoloured)}</b>{' '}
        recoloured, <b>{count(planned.renewed)}</b> renewed, <b>{count(planned.sparesLeft)}</b>{' '}
        {planned.sparesLeft === 1 ? 'spare' : 'spares'}
      </span>
      <RuleWatch trying={trying} short />
      <Link href={`/builds/${workbench.build}`} className="text-soft ml-auto underline">
        to the bench
      </Link>
    </section>
  );
}
