'use client';

import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { faultOf, firstFitOf, type CutPlan, type CutProblem } from '@/core/stickers/cutting';
import { linesOf } from '../../sending/lines-of';

export type CuttingStep = 'first' | 'looking' | 'done' | 'stopped' | 'failed';

interface Found {
  readonly key: string;
  /** Null = nothing better than the first was found. */
  readonly plan: CutPlan | null;
  readonly step: CuttingStep;
}

interface Said {
  readonly progress?: CutPlan;
  readonly plan?: CutPlan;
  readonly reason?: object;
}

const PAUSE_MS = 350;
export const SECONDS = 8;

/**
 * A way of cutting that is there at once, as a person would by going from the largest to the smallest, and gets better as the
 * server finds better ones. A problem that changes begins anew.
 */
export function useCutting(problem: CutProblem | null) {
  const key = useMemo(() => (problem ? JSON.stringify(problem) : ''), [problem]);
  const asked = useMemo(() => (key ? (JSON.parse(key) as CutProblem) : null), [key]);
  const sound = asked && faultOf(asked) === null ? asked : null;
  const first = useMemo(() => (sound ? firstFitOf(sound) : null), [sound]);
  const [found, setFound] = useState<Found | null>(null);
  const run = useRef({ name: '', stopped: false });
  useEffect(() => {
    if (!sound || sound.strips.length === 0) return;
    const mine = new AbortController();
    run.current = { name: crypto.randomUUID(), stopped: false };
    const timer = window.setTimeout(() => {
      void listen(sound, run.current, mine.signal, (plan, step) => {
        // What was found for another problem is no plan for this one.
        if (!mine.signal.aborted)
          setFound((f) => ({ key, plan: plan ?? (f?.key === key ? f.plan : null), step }));
      });
    }, PAUSE_MS);
    return () => {
      window.clearTimeout(timer);
      mine.abort();
    };
  }, [sound, key]);
  const mine = found?.key === key ? found : null;
  return {
    plan: mine?.plan ?? first,
    step: mine?.step ?? ('first' as CuttingStep),
    stop: useCallback(() => {
      run.current.stopped = true;
      void fetch(`/api/cut?run=${run.current.name}`, { method: 'DELETE' });
    }, []),
  };
}

async function listen(
  problem: CutProblem,
  run: { readonly name: string; readonly stopped: boolean },
  signal: AbortSignal,
  tell: (plan: CutPlan | null, step: CuttingStep) => void,
): Promise<void> {
  try {
    const response = await fetch('/api/cut', {
      method: 'POST',
      headers: { 'content-type': 'application/json', accept: 'application/x-ndjson', 'x-run': run.name },
      body: JSON.stringify({ problem, options: { seconds: SECONDS } }),
      signal,
    });
    if (!response.ok || !response.body) return tell(null, 'failed');
    for await (const said of linesOf<Said>(response.body)) {
      if (said.progress) tell(said.progress, 'looking');
      if (said.plan) tell(said.plan, run.stopped && !said.plan.proven ? 'stopped' : 'done');
      if (said.reason) tell(null, run.stopped ? 'stopped' : 'failed');
    }
  } catch {
    tell(null, 'failed');
  }
}
