'use client';

import { useEffect, useRef, useState } from 'react';
import { savePreferences, type PlanReason } from '@/core/market';
import { Button } from '@/ui/button';
import { linesOf } from '../sending/lines-of';
import { reasonWords } from '../words/plan-reasons';
import type { SourcingTools } from './use-sourcing';

interface Said {
  readonly questions?: number;
  readonly reason?: PlanReason | { readonly refused?: string };
  readonly failed?: string;
}

/** Seconds that each question may take: enough for most needs. */
const SECONDS = 2;

const FAILED: Readonly<Record<string, string>> = {
  forgotten: 'What the sellers answered is not kept any more. Find the plan again, and ask then.',
  busy: 'Too many plans are being solved. Try again in a minute.',
};
const NOT_ANSWERED = 'The server does not answer. Try again.';

/** Why the plan is as it is: each reason is worked out by solving what would be otherwise. */
export function WhyThisPlan({ sourcing }: { sourcing: SourcingTools }) {
  const { asked, askedWith } = sourcing;
  const [reasons, setReasons] = useState<readonly PlanReason[] | null>(null);
  const [questions, setQuestions] = useState<number | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const stopper = useRef<AbortController | null>(null);
  useEffect(() => () => stopper.current?.abort(), []);
  if (!asked?.plan) return null;
  const ask = async () => {
    const mine = new AbortController();
    stopper.current = mine;
    setBusy(true);
    setReasons([]);
    setQuestions(null);
    setFailure(null);
    const { run: like, lots, plan } = asked;
    const body = { run: crypto.randomUUID(), like, lots, plan, seconds: SECONDS };
    try {
      const response = await fetch('/api/market/reasons', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ ...body, preferences: savePreferences(askedWith) }),
        signal: mine.signal,
      });
      if (!response.ok || !response.body) setFailure(NOT_ANSWERED);
      else
        for await (const said of linesOf<Said>(response.body)) {
          if (said.questions !== undefined) setQuestions(said.questions);
          if (said.failed !== undefined) setFailure(FAILED[said.failed] ?? NOT_ANSWERED);
          const { reason } = said;
          if (reason && 'question' in reason) setReasons((before) => [...(before ?? []), reason]);
          else if (reason) setFailure(NOT_ANSWERED);
        }
    } catch {
      if (!mine.signal.aborted) setFailure(NOT_ANSWERED);
    }
    setBusy(false);
  };
  const take = async () => {
    stopper.current?.abort();
    // What was said was said of the plan before.
    if (await sourcing.takeBetter()) setReasons(null);
    else setFailure(FAILED.forgotten!);
  };
  return (
    <section aria-label="Why this plan" className="mb-4 max-w-3xl">
      <div className="mb-1 flex items-center gap-3">
        <h2 className="flex-1">Why this plan</h2>
        <Button onClick={() => (busy ? stopper.current?.abort() : void ask())}>
          {busy ? 'Stop, keep these' : 'Work out why'}
        </Button>
      </div>
      {busy && (
        <progress
          aria-label="Working out why"
          className="mb-1 w-full"
          max={questions ?? 1}
          {...(questions === null ? {} : { value: reasons?.length ?? 0 })}
        />
      )}
      <ul className="list-disc pl-5">
        {reasons?.map((r) => (
          <li key={JSON.stringify(r.question)}>{reasonWords(r, asked.market, asked.lots)}</li>
        ))}
      </ul>
      {!busy && reasons?.some((r) => r.better) && (
        <Button look="main" onClick={() => void take()}>
          Take the better plan
        </Button>
      )}
      <p role="status" className="text-soft empty:hidden">
        {busy
          ? `${reasons?.length ?? 0} of ${questions ?? '…'} questions answered.`
          : (failure ??
            (reasons?.length === 0 && questions === 0
              ? 'One parcel and no box: there is nothing to weigh against it.'
              : ''))}
      </p>
    </section>
  );
}
