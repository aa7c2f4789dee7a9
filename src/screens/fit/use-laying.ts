'use client';

import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { faultOf, quickLaying, type LaidPiece, type LayPlan, type LayProblem } from '@/core/fit/lay';
import { firstLayingInWorker } from '@/workers/first-laying-client';
import { linesOf } from '../sending/lines-of';
import type { Bound } from '../sourcing';

/** A laying as far as it has come. */
export interface LayingSoFar extends Pick<LayPlan, 'pieces' | 'unfilled' | 'joints' | 'money' | 'proven'> {
  /** The least money at that many unfilled places and joints, where it is known. */
  readonly least: number | null;
}

export type LayingStep = 'first' | 'waiting' | 'looking' | 'done' | 'stopped' | 'failed';

interface Progress {
  readonly unfilled: number;
  readonly joints: number;
  readonly money: number;
  readonly floor: number | null;
  readonly seconds: number;
  readonly laid: readonly LaidPiece[];
}

interface Said {
  readonly progress?: Progress;
  readonly place?: number;
  readonly plan?: LayPlan;
  readonly reason?: object;
}

interface Found {
  readonly key: string;
  readonly laying: LayingSoFar | null;
  readonly step: LayingStep;
  readonly bounds: readonly Bound[];
}

/** What is typed on comes before what is laid: so long nothing is asked. */
const PAUSE_MS = 450;
/** How long a better laying stands before the next one is drawn. */
const SHOWN_MS = 350;
const NOTHING: readonly Bound[] = [];

/**
 * A laying that is there at once and gets better while one looks: the first is made here, the better ones come from the
 * server as they are found. A problem that changes begins anew. Null where there is nothing to lay, or it makes no sense.
 */
export function useLaying(problem: LayProblem | null, seconds: number) {
  const key = useMemo(() => (problem ? JSON.stringify(problem) : ''), [problem]);
  const asked = useMemo(() => (key ? (JSON.parse(key) as LayProblem) : null), [key]);
  const [found, setFound] = useState<Found>({ key: '', laying: null, step: 'first', bounds: NOTHING });
  const stopper = useRef<AbortController | null>(null);
  const run = useRef({ name: '', stopped: false });
  const isSound = useMemo(() => asked !== null && faultOf(asked) === null, [asked]);
  const isSmall = asked !== null && placesOf(asked) <= SMALL;
  const first = useMemo(
    () =>
      asked && isSound && isSmall ? soFar(quickLaying(asked).plan({ proven: false, seconds: 0 })) : null,
    [asked, isSound, isSmall],
  );
  useEffect(() => {
    if (!asked || !isSound || isSmall) return;
    const mine = new AbortController();
    void firstLayingInWorker(asked, mine.signal).then((plan) => {
      if (plan)
        setFound((f) =>
          f.key === key && f.laying ? f : { key, laying: soFar(plan), step: 'first', bounds: NOTHING },
        );
    });
    return () => mine.abort();
  }, [asked, isSound, isSmall, key]);
  const look = useCallback(() => {
    if (!asked) return;
    stopper.current?.abort();
    const mine = new AbortController();
    stopper.current = mine;
    run.current = { name: crypto.randomUUID(), stopped: false };
    const tell = (more: Partial<Found>) => {
      if (!mine.signal.aborted)
        setFound((f) => ({
          ...(f.key === key ? f : { laying: null, bounds: NOTHING, step: 'looking' }),
          ...more,
          key,
        }));
    };
    tell({ step: 'looking', bounds: NOTHING });
    void listen(asked, run.current, seconds, mine.signal, tell);
  }, [asked, key, seconds]);
  useEffect(() => {
    if (!key || !isSound) return;
    const timer = window.setTimeout(look, PAUSE_MS);
    return () => {
      window.clearTimeout(timer);
      stopper.current?.abort();
    };
  }, [key, isSound, look]);
  const mine = found.key === key ? found : null;
  return {
    laying: mine?.laying ?? first,
    step: mine?.step ?? ('first' as LayingStep),
    bounds: mine?.bounds ?? NOTHING,
    /** How long it is looked for. */
    seconds,
    look,
    stop: useCallback(() => {
      run.current.stopped = true;
      void fetch(`/api/lay?run=${run.current.name}`, { method: 'DELETE' });
    }, []),
  };
}

export type LayingTools = ReturnType<typeof useLaying>;

/** Places that are laid in a moment: no more is made while the page waits. */
const SMALL = 1200;

const placesOf = (p: LayProblem): number =>
  p.kind === 'floor'
    ? p.width * p.depth
    : p.walls.reduce((s, w) => s + w.length, 0) * p.courses.length * (p.thick ?? 1);

const soFar = ({ pieces, unfilled, joints, money }: LayPlan): LayingSoFar => ({
  pieces,
  unfilled,
  joints,
  money,
  proven: false,
  least: null,
});

/** Hears what the server finds, line by line. */
async function listen(
  problem: LayProblem,
  run: { readonly name: string; readonly stopped: boolean },
  seconds: number,
  signal: AbortSignal,
  tell: (more: Partial<Found>) => void,
): Promise<void> {
  const bounds: Bound[] = [];
  let shown = 0;
  try {
    const response = await fetch('/api/lay', {
      method: 'POST',
      headers: { 'content-type': 'application/json', accept: 'application/x-ndjson', 'x-run': run.name },
      body: JSON.stringify({ problem, options: { seconds } }),
      signal,
    });
    if (!response.ok || !response.body) return tell({ step: 'failed' });
    for await (const said of linesOf<Said>(response.body)) {
      if (said.place) tell({ step: 'waiting' });
      if (said.progress) {
        const { laid, floor, seconds: at, ...score } = said.progress;
        bounds.push({ cost: score.money, floor: floor ?? 0, seconds: at });
        // Better ones may come faster than they can be looked at: the last of them comes with the plan.
        if (performance.now() - shown < SHOWN_MS) continue;
        shown = performance.now();
        tell({
          step: 'looking',
          bounds: [...bounds],
          laying: { ...score, pieces: laid, proven: false, least: floor },
        });
      }
      if (said.plan) {
        const { floor, seconds: at, ...plan } = said.plan;
        bounds.push({ cost: plan.money, floor: floor?.money ?? bounds.at(-1)?.floor ?? 0, seconds: at });
        tell({
          step: run.stopped && !plan.proven ? 'stopped' : 'done',
          bounds: [...bounds],
          laying: { ...plan, least: floor?.money ?? null },
        });
      }
      // Stopped before there was one, in the line say: nothing has failed.
      if (said.reason) tell({ step: run.stopped ? 'stopped' : 'failed' });
    }
  } catch {
    tell({ step: 'failed' });
  }
}
