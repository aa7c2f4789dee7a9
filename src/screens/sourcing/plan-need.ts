import type { AskedPlan, MarketSeller, Preferences, PriceChange, MarketAnswer } from '@/core/market';
import { savePreferences } from '@/core/market';
import type { NeedLot } from '@/core/need';
import type { BuildId } from '@/core/shared/ids';
import { fail, ok, type Result } from '@/core/shared/result';
import { post } from '../sending/answers';
import { linesOf } from '../sending/lines-of';

/** The best cost so far, the floor under it, and when that was. */
export interface Bound {
  readonly cost: number;
  readonly floor: number;
  readonly seconds: number;
  /** Pieces that the plan of that time leaves unmet, where it may leave some. */
  readonly unmet?: number;
}

/**
 * Why there is no plan: the sellers did not answer, too many others wait, it was stopped, the request was not taken, or
 * the server failed.
 */
export type PlanFailure = 'market' | 'busy' | 'stopped' | 'not taken' | 'server';

/** What is asked: the market itself is asked by the server, and stays there. */
export interface PlanQuestion {
  readonly run: string;
  readonly build: BuildId | null;
  readonly lots: readonly NeedLot[];
  readonly preferences: Preferences;
  readonly lists: readonly MarketSeller[];
  readonly seconds: number;
  /** A run whose market is to be used again. */
  readonly like: string | null;
}

/** What is heard while a plan is worked out. */
export interface PlanListener {
  readonly onAsked?: () => void;
  readonly onBound?: (bound: Bound) => void;
  /** The place in the line while other plans are solved first. */
  readonly onPlace?: (place: number) => void;
}

interface Said {
  readonly asked?: number;
  readonly progress?: Bound;
  readonly plan?: AskedPlan;
  readonly place?: number;
  readonly reason?: { readonly fault?: string; readonly refused?: string };
}

/** Works a need's plan out on the server, line by line: progress as it comes, the plan last. */
export async function planNeed(
  question: PlanQuestion,
  signal: AbortSignal,
  listener: PlanListener = {},
): Promise<Result<AskedPlan, PlanFailure>> {
  try {
    const response = await fetch('/api/market/plan', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ ...question, preferences: savePreferences(question.preferences) }),
      signal,
    });
    if (response.status === 413 || response.status === 400) return fail('not taken');
    if (!response.ok || !response.body) return fail('server');
    let answer: Result<AskedPlan, PlanFailure> = fail('server');
    for await (const said of linesOf<Said>(response.body)) {
      if (said.asked !== undefined) listener.onAsked?.();
      if (said.progress) listener.onBound?.(said.progress);
      if (said.place) listener.onPlace?.(said.place);
      if (said.plan) answer = ok(said.plan);
      if (said.reason) answer = fail(failureOf(said.reason));
    }
    return answer;
  } catch {
    return fail('server');
  }
}

function failureOf({ fault, refused }: NonNullable<Said['reason']>): PlanFailure {
  if (fault === 'busy' || fault === 'stopped' || fault === 'market') return fault;
  return fault === 'failed' || refused === 'failed' ? 'server' : 'not taken';
}

/** What the sellers say when they are asked once more for what a plan buys. */
export interface AskedAgain {
  readonly changes: readonly PriceChange[];
  readonly now: MarketAnswer;
}

/** Asks once more for what a plan buys; null when the sellers do not answer. */
export async function askAgain(
  asked: AskedPlan,
  lists: readonly MarketSeller[],
  preferences: Preferences,
): Promise<AskedAgain | null> {
  const body = { asked, lists, preferences: savePreferences(preferences) };
  const said = await post<AskedAgain>('/api/market/check', body);
  return said.reached && said.answer.ok ? said.answer.value : null;
}
