'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { Colour } from '@/core/colour';
import type { BuildId } from '@/core/shared/ids';
import {
  BLANK_PLAN,
  type AskedPlan,
  type MarketSeller,
  type Preferences,
  type SavedPlan,
} from '@/core/market';
import type { NeedReport } from '@/core/need';
import type { BetterPlan } from '@/server/market/runs';
import { post } from '../sending/answers';
import { askAgain, planNeed, type Bound, type PlanFailure } from './plan-need';
import { forgetPlan, useSavedPlan } from './use-saved-plan';

export type SourcingStep = 'idle' | 'asking' | 'solving' | 'done' | 'failed';

/** What is to be made up. */
export type WantedParts = Pick<NeedReport, 'lots' | 'missing'>;

/** What a buying plan goes by besides the need. */
export interface KnownToSourcing {
  readonly palette: readonly Colour[];
  /** The build it is kept for; null = it lasts as long as the page. */
  readonly build: BuildId | null;
  /** Preferences to begin with. */
  readonly preferences?: Preferences;
}

/**
 * Asking for a buying plan: the best cost and the floor as they close, and the plan. The server asks the market and keeps
 * the answer for the build: a page that is closed, while it solves even, finds it again.
 */
export function useSourcing(need: WantedParts, known: KnownToSourcing) {
  const [preferences, setPreferences] = useState<Preferences>(known.preferences ?? BLANK_PLAN.preferences);
  const [seconds, setSeconds] = useState(BLANK_PLAN.seconds);
  const [step, setStep] = useState<SourcingStep>('idle');
  const [bounds, setBounds] = useState<readonly Bound[]>([]);
  /** The place in the line while other plans are solved first; 0 = it is being solved. */
  const [place, setPlace] = useState(0);
  const [asked, setAsked] = useState<AskedPlan | null>(null);
  /** The preferences that the plan was asked with: others may have been chosen since. */
  const [askedWith, setAskedWith] = useState(preferences);
  const [failure, setFailure] = useState<PlanFailure | null>(null);
  /** Sellers read from price lists. */
  const [lists, setLists] = useState<readonly MarketSeller[]>([]);
  const [listPostage, setListPostage] = useState(BLANK_PLAN.listPostage);
  const stopper = useRef<AbortController | null>(null);
  const running = useRef<string | null>(null);
  useEffect(() => () => stopper.current?.abort(), []);
  useSavedPlan(
    known.build,
    { preferences, seconds, lists, listPostage },
    useCallback((saved: SavedPlan) => {
      // Somebody was quicker than the server: what they asked meanwhile stands.
      if (stopper.current) return;
      setPreferences(saved.preferences);
      setAskedWith(saved.preferences);
      setSeconds(saved.seconds);
      setLists(saved.lists);
      setListPostage(saved.listPostage);
      setAsked(saved.asked);
      if (saved.asked?.plan) setStep('done');
    }, []),
    useCallback((later: AskedPlan) => {
      if (stopper.current) return;
      setAsked(later);
      setStep('done');
    }, []),
  );
  const putAway = useCallback(() => {
    setAsked(null);
    setStep('idle');
    if (known.build !== null) void forgetPlan(known.build);
  }, [known.build]);
  const run = useCallback(async () => {
    // A key asks this too, where the button is not to be pressed. A plan for what was missing before is of no use.
    if (need.missing === 0) return putAway();
    stopper.current?.abort();
    const mine = new AbortController();
    stopper.current = mine;
    running.current = crypto.randomUUID();
    setAskedWith(preferences);
    setStep('asking');
    setBounds([]);
    setAsked(null);
    setFailure(null);
    const question = {
      run: running.current,
      build: known.build,
      lots: need.lots,
      preferences,
      lists,
      seconds,
      like: null,
    };
    const solved = await planNeed(question, mine.signal, {
      onAsked: () => setStep('solving'),
      onPlace: setPlace,
      onBound: (b) => {
        setPlace(0);
        setBounds((list) => [...list, b]);
      },
    });
    if (mine.signal.aborted) return;
    setPlace(0);
    setAsked(solved.ok ? solved.value : null);
    setFailure(solved.ok ? null : solved.reason);
    setStep(solved.ok ? 'done' : 'failed');
  }, [known, need, preferences, seconds, lists, putAway]);
  return {
    known,
    preferences,
    setPreferences,
    seconds,
    setSeconds,
    step,
    failure,
    bounds,
    place,
    /** The question with its answer. */
    asked,
    askedWith,
    market: asked?.market ?? null,
    plan: asked?.plan ?? null,
    credit: asked?.credit ?? 0,
    lots: asked?.lots ?? [],
    needed: asked?.needed ?? [],
    /** True when it was being solved as its page was closed, and what was found is not known any more. */
    broken: step === 'idle' && asked !== null && asked.plan === null,
    lists,
    setLists,
    listPostage,
    setListPostage,
    askAgain: useCallback(
      () => (asked ? askAgain(asked, lists, preferences) : Promise.resolve(null)),
      [asked, lists, preferences],
    ),
    run,
    stop: useCallback(() => {
      if (running.current) void fetch(`/api/buying-plan?run=${running.current}`, { method: 'DELETE' });
    }, []),
    /** Takes the better plan that was found beside this one in its place; false where it is not known any more. */
    takeBetter: useCallback(async (): Promise<boolean> => {
      if (!asked) return false;
      const said = await post<BetterPlan>('/api/market/take', { run: asked.run, build: known.build });
      if (!said.reached || !said.answer.ok) return false;
      const { plan, market, credit } = said.answer.value;
      setAsked({ ...asked, plan, market, credit });
      // The line of what was found ends with what is shown.
      setBounds((list) => {
        const last = list.at(-1);
        return last ? [...list, { ...last, cost: plan.cost, floor: plan.floor }] : list;
      });
      return true;
    }, [asked, known.build]),
    /** Puts the plan away: it was ordered. */
    putAway,
  };
}

export type SourcingTools = ReturnType<typeof useSourcing>;
