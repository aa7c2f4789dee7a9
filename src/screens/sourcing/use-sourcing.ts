'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { Colour } from '@/core/colour';
import type { EntryKind, PriceOf } from '@/core/ledger';
import type { BuildId, EntryId } from '@/core/shared/ids';
import type { ElementKey } from '@/core/parts';
import { inColour, splitElementKey } from '@/core/parts';
import {
  boxCredit,
  joinAnswers,
  poseProblem,
  PREFERENCES,
  priceListSource,
  readOfferId,
  shapesFor,
  withShapes,
  type AskedPlan,
  type MarketAnswer,
  type MarketSeller,
  type Preferences,
  type SavedPlan,
} from '@/core/market';
import type { NeedLot, NeedReport } from '@/core/need';
import { askMarket } from '../common/ask-market';
import { solve, type Bound, type SolveFailure } from './solve';
import { useSavedPlan } from './use-saved-plan';

/** Why there is no plan: the sellers did not answer, or the solve failed. */
export type SourcingFailure = 'market' | SolveFailure;

export type SourcingStep = 'idle' | 'asking' | 'solving' | 'done' | 'failed';

/** What is to be made up. */
export type WantedParts = Pick<NeedReport, 'lots' | 'missing'>;

/** What a buying plan goes by besides the need. */
export interface KnownToSourcing {
  readonly palette: readonly Colour[];
  readonly priceOf: PriceOf;
  readonly kindOf: (entry: EntryId) => EntryKind | undefined;
  /** The build it is kept for; null = it lasts as long as the page. */
  readonly build: BuildId | null;
  /** Preferences to begin with. */
  readonly preferences?: Preferences;
}

/**
 * Asking the market and solving: the best cost and the floor as they close, and the plan. All of it is kept for the build:
 * a page that is closed, while it solves even, finds it again.
 */
export function useSourcing(need: WantedParts, known: KnownToSourcing) {
  const [preferences, setPreferences] = useState<Preferences>(known.preferences ?? PREFERENCES);
  const [seconds, setSeconds] = useState(5);
  const [step, setStep] = useState<SourcingStep>('idle');
  const [bounds, setBounds] = useState<readonly Bound[]>([]);
  /** The place in the line while other plans are solved first; 0 = it is being solved. */
  const [place, setPlace] = useState(0);
  const [asked, setAsked] = useState<AskedPlan | null>(null);
  const [failure, setFailure] = useState<SourcingFailure | null>(null);
  /** Sellers read from price lists. */
  const [lists, setLists] = useState<readonly MarketSeller[]>([]);
  const [listPostage, setListPostage] = useState(250);
  const stopper = useRef<AbortController | null>(null);
  useEffect(() => () => stopper.current?.abort(), []);
  useSavedPlan(
    known.build,
    { preferences, seconds, lists, listPostage, asked },
    useCallback(
      (saved: SavedPlan) => {
        // Somebody was quicker than the server: what they asked meanwhile stands.
        if (stopper.current) return;
        setPreferences(saved.preferences);
        setSeconds(saved.seconds);
        setLists(saved.lists);
        setListPostage(saved.listPostage);
        setAsked(saved.asked && withCredit(saved.asked, saved.preferences, known.priceOf));
        if (saved.asked?.plan) setStep('done');
      },
      [known],
    ),
    useCallback(
      (later: AskedPlan, wish: Preferences) => {
        if (stopper.current) return;
        setAsked(withCredit(later, wish, known.priceOf));
        setStep('done');
      },
      [known],
    ),
  );
  const run = useCallback(
    async (wish: Preferences = preferences) => {
      stopper.current?.abort();
      const mine = new AbortController();
      stopper.current = mine;
      setStep('asking');
      setBounds([]);
      setAsked(null);
      setFailure(null);
      const wanted = wantedElements(need.lots, known.palette, wish.shapes);
      const market = await askAll(wanted, lists, mine.signal);
      if (mine.signal.aborted) return;
      if (!market) {
        setFailure('market');
        return setStep('failed');
      }
      const lots = wish.shapes ? withShapes(need.lots, market, wish, known.kindOf) : need.lots;
      const question = {
        run: crypto.randomUUID(),
        market,
        needed: need.lots,
        lots,
        plan: null,
        credit: 0,
      };
      setAsked(question);
      setStep('solving');
      const problem = poseProblem(lots, market, wish, known.priceOf);
      const onBound = (b: Bound) => {
        setPlace(0);
        setBounds((list) => [...list, b]);
      };
      const solved = await solve(problem, seconds, mine.signal, onBound, question.run, setPlace);
      setPlace(0);
      if (mine.signal.aborted) return;
      setAsked(solved.ok ? withCredit({ ...question, plan: solved.value }, wish, known.priceOf) : null);
      setFailure(solved.ok ? null : solved.reason);
      setStep(solved.ok ? 'done' : 'failed');
    },
    [known, need, preferences, seconds, lists],
  );
  const askAgain = useCallback(
    () =>
      askAll(
        // What is bought, and what it is bought for: the boxes that have some of that are told with it.
        [
          ...new Set([
            ...(asked?.lots ?? []).map((l) => l.element),
            ...(asked?.plan?.buys ?? []).map((b) => readOfferId(String(b.element)).element),
          ]),
        ],
        lists,
        new AbortController().signal,
      ),
    [asked, lists],
  );
  const stop = useCallback(() => {
    if (asked) void fetch(`/api/buying-plan?run=${asked.run}`, { method: 'DELETE' });
  }, [asked]);
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
    askAgain,
    run,
    stop,
    /** Puts the plan away: it was ordered. */
    putAway: useCallback(() => {
      setAsked(null);
      setStep('idle');
    }, []),
  };
}

/** A question with what the boxes of its plan are credited with. */
const withCredit = (asked: AskedPlan, wish: Preferences, priceOf: PriceOf): AskedPlan =>
  asked.plan
    ? {
        ...asked,
        credit: boxCredit(asked.plan, poseProblem(asked.lots, asked.market, wish, priceOf), asked.market),
      }
    : asked;

export type SourcingTools = ReturnType<typeof useSourcing>;

/** The elements to ask for: the need's, and for hidden parts the same shape in every colour. */
function wantedElements(lots: readonly NeedLot[], palette: readonly Colour[], shapes: boolean): ElementKey[] {
  const wanted = new Set<ElementKey>();
  for (const l of lots) {
    wanted.add(l.element);
    if (shapes) for (const s of shapesFor(l.element)) wanted.add(s.element);
    if (l.hidden && !splitElementKey(l.element).print)
      for (const c of palette) wanted.add(inColour(l.element, c.id));
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
