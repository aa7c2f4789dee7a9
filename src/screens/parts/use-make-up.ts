'use client';

import { useCallback, useRef, useState } from 'react';
import type { MakeUpPlan, Problem } from '@/core/make-up';
import type { ElementKey } from '@/core/parts';
import { inColour, splitElementKey } from '@/core/parts';
import {
  boxCredit,
  joinAnswers,
  poseProblem,
  PREFERENCES,
  priceListSource,
  shapesFor,
  withShapes,
  type MarketAnswer,
  type MarketSeller,
  type NeedReport,
  type Preferences,
} from '@/core/supply';
import { useBench } from '../common/bench-store';

export interface Bound {
  readonly cost: number;
  readonly floor: number;
  readonly seconds: number;
}

export type MakeUpStage = 'idle' | 'asking' | 'solving' | 'done' | 'failed';

/** Asking the market and solving: the best cost and the floor as they close, and the plan, which is kept while it runs. */
export function useMakeUp(need: NeedReport) {
  const bench = useBench((s) => s.bench);
  const [preferences, setPreferences] = useState<Preferences>(PREFERENCES);
  const [seconds, setSeconds] = useState(5);
  const [stage, setStage] = useState<MakeUpStage>('idle');
  const [bounds, setBounds] = useState<readonly Bound[]>([]);
  const [market, setMarket] = useState<MarketAnswer | null>(null);
  const [plan, setPlan] = useState<MakeUpPlan | null>(null);
  /** What the plan's boxes are credited with: it is paid, and comes back as left-over parts. */
  const [credit, setCredit] = useState(0);
  /** What was needed when it was asked, and what was posed: other shapes may stand in for some of it. */
  const [needed, setNeeded] = useState<NeedReport['lots']>([]);
  const [lots, setLots] = useState<NeedReport['lots']>([]);
  /** Sellers read from price lists. They last as long as the page. */
  const [lists, setLists] = useState<readonly MarketSeller[]>([]);
  const [listPostage, setListPostage] = useState(250);
  const stopper = useRef<AbortController | null>(null);
  const running = useRef<string | null>(null);
  const asked = useRef<readonly ElementKey[]>([]);
  const run = useCallback(
    async (wish: Preferences = preferences) => {
      stopper.current?.abort();
      const mine = new AbortController();
      stopper.current = mine;
      setStage('asking');
      setBounds([]);
      setPlan(null);
      setNeeded(need.lots);
      const wanted = wantedElements(
        need,
        bench.palette.map((c) => c.id),
        wish.shapes,
      );
      asked.current = wanted;
      const answer = await askAll(wanted, lists, mine.signal);
      if (mine.signal.aborted) return;
      if (!answer) return setStage('failed');
      setMarket(answer);
      setStage('solving');
      const posed = wish.shapes
        ? withShapes(need.lots, answer, wish, (id) => bench.records.entry.get(id)?.kind)
        : need.lots;
      setLots(posed);
      const problem = poseProblem(posed, answer, wish, bench.priceOf);
      running.current = crypto.randomUUID();
      const found = await solve(
        problem,
        seconds,
        mine.signal,
        (b) => setBounds((list) => [...list, b]),
        running.current,
      );
      if (stopper.current !== mine) return;
      setCredit(found ? boxCredit(found, problem, answer) : 0);
      setPlan(found);
      setStage(found ? 'done' : 'failed');
    },
    [bench, need, preferences, seconds, lists],
  );
  const askAgain = useCallback(() => askAll(asked.current, lists, new AbortController().signal), [lists]);
  const stop = useCallback(() => {
    if (running.current) void fetch(`/api/make-up?run=${running.current}`, { method: 'DELETE' });
  }, []);
  return {
    preferences,
    setPreferences,
    seconds,
    setSeconds,
    stage,
    bounds,
    market,
    plan,
    credit,
    lots,
    needed,
    lists,
    setLists,
    listPostage,
    setListPostage,
    askAgain,
    run,
    stop,
    setPlan,
  };
}

export type MakeUpTools = ReturnType<typeof useMakeUp>;

/** The elements to ask for: the need's, and for hidden parts the same shape in every colour. */
function wantedElements(need: NeedReport, colours: readonly string[], shapes: boolean): ElementKey[] {
  const wanted = new Set<ElementKey>();
  for (const l of need.lots) {
    wanted.add(l.element);
    if (shapes) for (const s of shapesFor(l.element)) wanted.add(s.element);
    if (l.hidden && !splitElementKey(l.element).print)
      for (const c of colours) wanted.add(inColour(l.element, c as never));
  }
  return [...wanted];
}

/** The market and every price list, as one answer. */
async function askAll(
  elements: readonly ElementKey[],
  lists: readonly MarketSeller[],
  signal: AbortSignal,
): Promise<MarketAnswer | null> {
  const answer = await askMarket(elements, signal);
  if (!answer) return null;
  const listed = await Promise.all(lists.map((l) => priceListSource(l).ask(elements)));
  return joinAnswers(answer, ...listed);
}

/** Asks up to four times: the network fails now and then. */
export async function askMarket(
  elements: readonly ElementKey[],
  signal: AbortSignal,
): Promise<MarketAnswer | null> {
  for (let tries = 0; tries < 4; tries++)
    try {
      const response = await fetch('/api/market', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ elements }),
        signal,
      });
      const body = (await response.json()) as { ok: boolean; value: MarketAnswer };
      if (body.ok) return body.value;
    } catch {
      if (signal.aborted) return null;
    }
  return null;
}

/** Solves on the server, line by line: progress as it comes, the plan last. */
export async function solve(
  problem: Problem,
  seconds: number,
  signal: AbortSignal,
  onBound: (bound: Bound) => void,
  run: string = crypto.randomUUID(),
): Promise<MakeUpPlan | null> {
  try {
    const response = await fetch('/api/make-up', {
      method: 'POST',
      headers: { 'content-type': 'application/json', accept: 'application/x-ndjson', 'x-run': run },
      body: JSON.stringify({ problem, options: { seconds, seed: 1 } }),
      signal,
    });
    const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader();
    if (!response.ok || !reader) return null;
    let rest = '';
    let plan: MakeUpPlan | null = null;
    for (;;) {
      const { done, value } = await reader.read();
      if (done) return plan;
      const lines = (rest + value).split('\n');
      rest = lines.pop() ?? '';
      for (const line of lines) {
        const said = JSON.parse(line) as { progress?: Bound; plan?: MakeUpPlan };
        if (said.progress) onBound(said.progress);
        if (said.plan) plan = said.plan;
      }
    }
  } catch {
    return null;
  }
}
