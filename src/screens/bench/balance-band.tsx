'use client';

import clsx from 'clsx';
import { memo, useMemo } from 'react';
import { takeTally, type Entry, type Figure, type Tally } from '@/core/ledger';
import type { Effect } from '@/core/workbench';
import { count, knownMoney, pricedShort, signed } from '@/ui/numbers';
import { booksInView, useBuild } from '../common/build-store';
import { RuleWatch } from '../common/rule-watch';
import { balanceTerms } from '../words/balance';
import { scopeOf } from './scope';

interface BandProps {
  /** What the line being typed would do; null while there is none. */
  readonly effect: Effect | null;
  /** The entries that it would make. */
  readonly entries: readonly Entry[];
  readonly onOpen: (figure: Figure) => void;
}

/** shipped − out + in = on the model, cost both ways, spares. It moves while a line is typed. */
export const BalanceBand = memo(function BalanceBand({ effect, entries, onOpen }: BandProps) {
  const workbench = useBuild((s) => s.workbench);
  const view = useBuild((s) => s.view);
  const version = useBuild((s) => s.version);
  const zone = useBuild((s) => s.zone);
  const { priceOf } = workbench;
  const [now, planned] = useMemo(() => {
    const scope = scopeOf(zone);
    const books = [booksInView({ workbench, view, version }), workbench.planned] as const;
    return [takeTally(books[0], scope, priceOf), takeTally(books[1], scope, priceOf)] as const;
  }, [workbench, view, version, zone, priceOf]);
  const trying = effect && pickEffect(effect, now, view.kind);
  const shown = trying ?? now;
  const f = shown.figures;
  return (
    <section
      aria-label="Balance"
      data-trying={trying ? 'yes' : undefined}
      className="border-rule grid grid-cols-2 border-b md:grid-cols-[1fr_auto_auto]"
    >
      <div className="flex min-w-0 flex-col justify-center gap-1.5 px-4 pt-3 pb-1.5 max-md:col-span-2">
        <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 whitespace-nowrap">
          {balanceTerms(f, Boolean(zone)).map(({ figure, sign, words, pieces }) => (
            <Big
              key={figure}
              value={`${sign} ${count(pieces)}`.trim()}
              words={words}
              was={now.figures[figure]}
              is={pieces}
              onClick={() => onOpen(figure)}
            />
          ))}
          <button
            type="button"
            onClick={() => onOpen('net')}
            className="border-ink hover:bg-wash ml-auto rounded-full border px-3 py-1 font-semibold"
            aria-label={`net ${signed(f.net)} pieces`}
          >
            net {signed(f.net)}
          </button>
        </div>
        <Bar shown={shown} planned={planned} />
        <div className="flex flex-wrap items-center gap-x-4">
          <Asides tally={shown} onOpen={onOpen} />
          <RuleWatch trying={zone ? null : effect?.planned} entries={entries} />
        </div>
      </div>
      <CostCell
        shown={shown}
        now={now}
        of={zone ? (workbench.records.zone.get(zone)?.name ?? '') : 'this mod'}
        onOpen={onOpen}
      />
      <SparesCell shown={shown} now={now} ofZone={zone !== null} onOpen={onOpen} />
    </section>
  );
});

/** In the built view a line moves the built figures when it is done; a planned line shows in the plan. */
function pickEffect(effect: Effect, now: Tally, view: string): Tally {
  const builtMoves = JSON.stringify(effect.built) !== JSON.stringify(now);
  return view === 'built' && builtMoves ? effect.built : effect.planned;
}

interface BigProps {
  readonly value: string;
  readonly words: string;
  readonly was: number;
  readonly is: number;
  readonly onClick: () => void;
}

function Big({ value, words, was, is, onClick }: BigProps) {
  const moved = was !== is;
  return (
    <button
      type="button"
      onClick={onClick}
      className="group flex items-baseline gap-1.5 rounded-sm text-left"
    >
      <span
        className={clsx(
          'figure-lg group-hover:underline',
          moved && 'underline decoration-dotted underline-offset-4',
        )}
      >
        {value}
      </span>
      <span className="text-faint text-[12px]">
        {words}
        {moved && <b className="text-ink"> {signed(is - was)}</b>}
      </span>
    </button>
  );
}

function Asides({ tally: { figures: f }, onOpen }: { tally: Tally; onOpen: (figure: Figure) => void }) {
  const asides: [Figure, string][] = [
    ['recoloured', 'recoloured'],
    ['renewed', 'renewed'],
    ['replaced', 'placeholders replaced'],
  ];
  if (asides.every(([figure]) => f[figure] === 0))
    return <span className="text-faint min-h-6 text-[12px]">none recoloured or renewed</span>;
  return (
    <span className="text-soft flex min-h-6 flex-wrap gap-x-3 text-[12px]">
      {asides
        .filter(([figure]) => f[figure] !== 0)
        .map(([figure, words]) => (
          <button
            key={figure}
            type="button"
            onClick={() => onOpen(figure)}
            className="min-h-6 hover:underline"
          >
            {count(f[figure])} {words}
          </button>
        ))}
    </span>
  );
}

/** Kept, changed, new and still planned, to scale: grey, split, ink and dashed. */
function Bar({ shown, planned }: { shown: Tally; planned: Tally }) {
  const f = shown.figures;
  const changed = f.recoloured + f.renewed + f.replaced;
  const kept = Math.max(0, f.onModel - f.in - f.missingReplaced - changed);
  const still = Math.max(0, planned.figures.in - f.in);
  const parts = [
    { key: 'kept', n: kept, className: 'bg-edge/70' },
    {
      key: 'recoloured or renewed',
      n: changed,
      className: 'bg-[linear-gradient(110deg,#b4b4b4_50%,#161616_50%)]',
    },
    { key: 'new', n: f.in + f.missingReplaced, className: 'bg-ink' },
    { key: 'planned to go on', n: still, className: 'border border-dashed border-edge' },
  ].filter((p) => p.n > 0);
  const says = parts.map((p) => `${p.n} ${p.key}`).join(', ');
  return (
    <div role="img" aria-label={`On the model: ${says}`} title={says} className="flex h-3 gap-0.5">
      {parts.map((p) => (
        <span key={p.key} style={{ flexGrow: p.n }} className={clsx('min-w-1 rounded-xs', p.className)} />
      ))}
    </div>
  );
}

function CostCell({
  shown,
  now,
  of,
  onOpen,
}: {
  shown: Tally;
  now: Tally;
  of: string;
  onOpen: (figure: Figure) => void;
}) {
  const f = shown.figures;
  const moved = f.outOfPocket !== now.figures.outOfPocket || f.worthIn !== now.figures.worthIn;
  return (
    <div className="border-rule flex flex-col justify-center gap-0.5 px-4 py-2 md:min-w-44 md:border-l lg:whitespace-nowrap">
      <span className="text-faint truncate text-[12px]">
        Cost of <bdi>{of}</bdi>
      </span>
      <button
        type="button"
        onClick={() => onOpen('outOfPocket')}
        className="flex items-baseline gap-1.5 text-left hover:underline"
      >
        <span className={clsx('figure-md', moved && 'underline decoration-dotted underline-offset-4')}>
          {knownMoney(f.outOfPocket, f.boughtUnpriced)}
        </span>
        <span className="text-faint text-[12px]">out of pocket</span>
      </button>
      {f.boughtUnpriced > 0 && (
        <span className="text-soft text-[12px]">{count(f.boughtUnpriced)} bought without a price</span>
      )}
      <button
        type="button"
        onClick={() => onOpen('worthIn')}
        className="text-soft min-h-6 text-left text-[12px] hover:underline"
      >
        {pricedShort(f.worthIn, f.unpriced)}, with own parts
      </button>
    </div>
  );
}

function SparesCell({
  shown,
  now,
  ofZone,
  onOpen,
}: {
  shown: Tally;
  now: Tally;
  /** What spares are worth is known for a build alone: they lie in no zone. */
  ofZone: boolean;
  onOpen: (figure: Figure) => void;
}) {
  const f = shown.figures;
  const moved = f.sparesLeft !== now.figures.sparesLeft;
  return (
    <div className="border-rule flex flex-col justify-center gap-0.5 px-4 py-2 md:min-w-44 md:border-l lg:whitespace-nowrap">
      <span className="text-faint text-[12px]">Spare parts</span>
      <button
        type="button"
        onClick={() => onOpen('sparesLeft')}
        className="flex items-baseline gap-1.5 text-left hover:underline"
      >
        <span className={clsx('figure-md', moved && 'underline decoration-dotted underline-offset-4')}>
          {count(f.sparesLeft)}
        </span>
        <span className="text-faint text-[12px]">left of {count(f.released + f.extras)}</span>
      </button>
      <button
        type="button"
        onClick={() => onOpen('usedAgain')}
        className="text-soft min-h-6 text-left text-[12px] hover:underline"
      >
        {count(f.usedAgain)} went back in
        {!ofZone && ` · ${pricedShort(shown.sparesWorth, shown.sparesUnpriced)}`}
      </button>
      {shown.inBoxes.pieces > 0 && (
        <span className="text-soft text-[12px]">
          {count(shown.inBoxes.pieces)} more in its boxes ·{' '}
          {pricedShort(shown.inBoxes.worth, shown.inBoxes.unpriced)}
        </span>
      )}
    </div>
  );
}
