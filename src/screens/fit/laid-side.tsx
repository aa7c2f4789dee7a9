'use client';

import type { ReactNode } from 'react';
import type { SourcedLot } from '@/core/fit';
import { byElementName, elementName } from '@/core/parts';
import type { WorkCost } from '@/core/workbench';
import { Button } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { count, priced } from '@/ui/numbers';
import { ClosingBounds } from '../sourcing';
import { sourceWords } from '../words/fit';
import type { LayingStep, LayingTools } from './use-laying';
import { TimedProgress } from '@/ui/timed-progress';

interface LaidSideProps {
  readonly lots: readonly SourcedLot[];
  readonly cost: WorkCost | null;
  /** Entries that could not be planned. */
  readonly problems: number;
  readonly tools: LayingTools;
  /** False where what is looked for is a part of it: the shapes without their colours, one of two layers. */
  readonly isWhole?: boolean;
  /** What is done with it. */
  readonly children: ReactNode;
}

const STEP_WORDS: Readonly<Record<LayingStep, string>> = {
  first: 'A first laying, made at once.',
  waiting: 'Others are looked for first; this one waits.',
  looking: 'A better one is looked for…',
  done: 'The best that was found in the time.',
  stopped: 'Stopped: the best so far.',
  failed: 'The server did not answer: this is the first laying.',
};

/** The pieces of a laying and where they come from, how near it is to the best, and what is done with it. */
export function LaidSide(props: LaidSideProps) {
  const { lots, cost, problems, tools, isWhole = true, children } = props;
  const { laying, step, bounds, look, stop } = tools;
  const sorted = [...lots].sort((a, b) => byElementName(a.element, b.element));
  const busy = step === 'looking' || step === 'waiting';
  // What is looked for weighs parts without a price by a guess: its figures are told where they are the plan's.
  const isTold = isWhole && cost?.unpriced === 0 && laying?.money === cost.cost;
  return (
    <aside
      aria-label="Pieces and where from"
      tabIndex={0}
      className="border-rule min-h-0 border-l p-4 lg:overflow-auto print:border-0"
    >
      <h2 className="mb-1 text-[16px]">Pieces and where from</h2>
      <ul>
        {sorted.map((l) => (
          <li key={l.element} className="border-rule flex min-h-9 items-center gap-2 border-b">
            <Glyph element={l.element} size={28} />
            <span className="min-w-0 flex-1">
              <b>{count(l.qty)}</b> {elementName(l.element)}
            </span>
            <span className="text-soft text-right">{sourceWords(l)}</span>
          </li>
        ))}
      </ul>
      {cost && (
        <p className="my-2">
          <b>{priced(cost.cost, cost.unpriced)}</b> to buy.
        </p>
      )}
      {problems > 0 && (
        <p role="alert">▲ {count(problems)} entries cannot be planned: what they need is gone.</p>
      )}
      <div className="no-print">
        <h2 className="mt-4 text-[16px]">How near to the best</h2>
        {bounds.length > 1 && isTold && (
          <ClosingBounds
            bounds={bounds}
            busy={busy}
            plan={laying ? { cost: laying.money, floor: laying.least ?? bounds.at(-1)!.floor } : null}
          />
        )}
        <p className="text-soft mb-2" role="status">
          {laying?.proven
            ? isWhole
              ? 'Proven: nothing better is possible.'
              : 'Proven of the shapes of this layer alone.'
            : STEP_WORDS[step]}
        </p>
        {step === 'looking' && <TimedProgress label="Looking for a better laying" seconds={tools.seconds} />}
        <div className="mb-4 flex gap-2">
          {busy ? (
            <Button onClick={stop}>Stop</Button>
          ) : (
            !laying?.proven && <Button onClick={look}>Look longer</Button>
          )}
        </div>
        {children}
      </div>
    </aside>
  );
}
