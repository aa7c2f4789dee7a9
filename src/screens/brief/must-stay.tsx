'use client';

import { useState } from 'react';
import type { Finding } from '@/core/ledger';
import { answerFinding, closeFinding } from '@/core/inspection';
import { STAY_ANSWERS, type StayAnswer } from '@/core/records';
import { Button } from '@/ui/button';
import { useBuild } from '../common/build-store';
import { NameField } from '../common/name-field';
import { FindingDialog } from '../common/finding-dialog';

const ANSWER_WORDS: Readonly<Record<StayAnswer, string>> = {
  there: 'still there',
  reduced: 'reduced',
  hidden: 'hidden',
  lost: 'lost',
};

/** Features and functions that must stay, as a list to be asked through again at the end. */
export function MustStay({ findings }: { findings: readonly Finding[] }) {
  const perform = useBuild((s) => s.perform);
  const [adding, setAdding] = useState(false);
  const asked = findings.filter((f) => f.answer);
  const lost = findings.filter((f) => f.answer === 'lost');
  return (
    <section aria-label="What must stay" className="h-full overflow-auto p-4">
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <h2 className="flex-1 text-[16px]">
          {findings.length === 0
            ? 'Nothing is on the list yet.'
            : `${asked.length} of ${findings.length} asked through${lost.length > 0 ? `, ${lost.length} lost` : ''}.`}
        </h2>
        <Button look="main" onClick={() => setAdding(true)}>
          Something that must stay…
        </Button>
      </div>
      <p className="text-soft mb-3 max-w-2xl">
        What you like about it, and what works: hinges, drawers, lights, things that turn. Write it down
        before you begin; at the end each is asked for again, so that nothing is lost unnoticed.
      </p>
      <ul className="max-w-3xl">
        {findings.map((f) => (
          <li key={f.id} className="border-rule flex min-h-11 flex-wrap items-center gap-3 border-b py-1.5">
            {f.photo && (
              // Kept photos are served by this machine, at the size they are kept in.
              // eslint-disable-next-line @next/next/no-img-element
              <img src={`/api/photos/${f.photo}`} alt="" className="size-12 rounded-sm object-cover" />
            )}
            <span className="min-w-0 flex-1">
              <bdi className="block font-medium">{f.note || f.kind}</bdi>
              <span className="text-faint text-[12px]">
                {f.kind === 'function' ? 'a function' : 'a feature'}
                {f.answer && `, ${ANSWER_WORDS[f.answer]}`}
                {f.how && <bdi>: {f.how}</bdi>}
              </span>
            </span>
            <div role="group" aria-label={`Is it still there: ${f.note}`} className="flex gap-1">
              {STAY_ANSWERS.map((answer) => (
                <Button
                  key={answer}
                  look={f.answer === answer ? 'main' : 'plain'}
                  aria-pressed={f.answer === answer}
                  onClick={() => perform(answerFinding(f, f.answer === answer ? null : answer))}
                >
                  {ANSWER_WORDS[answer]}
                </Button>
              ))}
              <Button look="bare" onClick={() => perform(closeFinding(f, !f.dropped))}>
                {f.dropped ? 'Take up again' : 'Delete'}
              </Button>
            </div>
            {(f.answer === 'reduced' || f.answer === 'hidden') && (
              <NameField
                label={f.answer === 'reduced' ? 'How it was reduced' : 'Where it is hidden'}
                value={f.how}
                mayBeEmpty
                onKeep={(how) => perform(answerFinding(f, f.answer, how))}
                className="w-full"
              />
            )}
          </li>
        ))}
      </ul>
      {adding && <FindingDialog kinds={['keep', 'function']} onClose={() => setAdding(false)} />}
    </section>
  );
}
