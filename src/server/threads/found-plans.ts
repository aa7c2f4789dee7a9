import { scoreOf, type BuyingPlan, type Saved } from '@/core/sourcing';

/** A plan for a problem, with the floor that was proven for it. */
export interface FoundPlan {
  readonly saved: Saved;
  readonly plan: BuyingPlan;
  /** True where none can meet more: it leaves only unmet what nobody has, or it was proven. */
  readonly whole: boolean;
  /** Proven for all plans of the problem that leave no more unmet than this one; 0 = none yet. */
  readonly floor: number;
}

type Told = Omit<FoundPlan, 'floor'>;

/** Whether a plan is better than another of the same problem: cheaper, or as cheap and known to be nearer to the best. */
export const isBetterPlan = (a: Told, b: Told): boolean =>
  scoreOf(a.saved) < scoreOf(b.saved) ||
  (scoreOf(a.saved) === scoreOf(b.saved) &&
    ((a.whole && !b.whole) || (a.whole === b.whole && a.plan.floor > b.plan.floor)));

/** Problems of which the best plan so far is remembered; of the largest it is a few hundred kilobytes. */
const MOST = 24;

/**
 * The best plan that was found for each of the problems asked last. Whoever asks the same again begins where the last
 * solve ended: a second try, with more time or less, is never worse than the first.
 */
export class FoundPlans {
  private readonly byPrint = new Map<string, FoundPlan>();

  constructor(private readonly most = MOST) {}

  /** What was found for a problem, by the print of its text. */
  get(print: string): FoundPlan | undefined {
    return this.byPrint.get(print);
  }

  /** Keeps the better of two plans, and the higher of two floors: each was proven. */
  keep(print: string, found: FoundPlan): void {
    const before = this.byPrint.get(print);
    const better = before && !isBetterPlan(found, before) ? before : found;
    const floor = Math.max(found.floor, before?.floor ?? 0);
    this.byPrint.delete(print);
    this.byPrint.set(print, { ...better, floor });
    for (const oldest of this.byPrint.keys()) {
      if (this.byPrint.size <= this.most) return;
      this.byPrint.delete(oldest);
    }
  }
}
