import { seededRandom, type Random } from '../../shared/random';
import { firstFit } from './first-fit';
import { groupsOf, tenths, toDeltaE, type Group, type Grouped } from './groups';
import { improve } from './improve';
import type { CutPlan, CutProblem, PlacedStrip } from './problem';
import { costOf, shareExactly } from './share-exactly';
import { addScores, areaOf, compareCuts, scoreOf, type CutScore, type SharedOut } from './shared-out';

/** Groups whose sets have more pairs than this are searched, not solved: it would take minutes. */
const MOST_PAIRS = 12_000_000;
const RESTARTS = 60;

interface Going {
  readonly group: Group;
  readonly cost: number;
  shared: SharedOut;
  score: CutScore;
  proven: boolean;
  tried: boolean;
}

/**
 * Looks for the best way to cut a problem's strips: first as a person would, by size, then each group of one colour
 * solved exactly where it can be, then parts of what is left solved anew. Never worse than first fit by size.
 */
export class CutSearch {
  private readonly grouped: Grouped;
  private readonly groups: Going[];
  private readonly random: Random;

  constructor(
    private readonly problem: CutProblem,
    seed: number,
  ) {
    this.random = seededRandom(seed);
    this.grouped = groupsOf(problem);
    this.groups = this.grouped.groups.map((group) => {
      const shared = firstFit(group);
      return {
        group,
        cost: costOf(group),
        shared,
        score: scoreOf(group, shared),
        proven: false,
        tried: false,
      };
    });
    this.groups.sort((a, b) => a.cost - b.cost);
  }

  get proven(): boolean {
    return this.groups.every((g) => g.proven);
  }

  get score(): CutScore {
    const never = this.grouped.never.reduce((n, s) => n + this.problem.strips[s.strip]!.count, 0);
    const sum = addScores(this.groups.map((g) => g.score));
    return { ...sum, unmet: sum.unmet + never };
  }

  /** Other orders of first fit for every group: cheap, and a better place to go on from. */
  restart(): void {
    for (const g of this.groups)
      for (let i = 0; i < RESTARTS && !g.proven; i++) this.take(g, firstFit(g.group, this.random));
  }

  /**
   * Solves the next group of no more than so many pairs; false = none is left to be solved. `isOver` ends it without an
   * answer.
   */
  solveNext(isOver: () => boolean, pairs = MOST_PAIRS): boolean {
    const next = this.groups.find((g) => !g.tried && g.cost <= pairs);
    if (!next) return false;
    next.tried = true;
    const answer = shareExactly(next.group, isOver);
    if (!answer) return true;
    this.take(next, answer.shared);
    next.proven = answer.whole;
    return true;
  }

  /** Solves a part of a group anew; nothing happens once all are proven. */
  improveOnce(isOver: () => boolean): void {
    const open = this.groups.filter((g) => !g.proven);
    if (open.length === 0) return;
    const g = open[Math.floor(this.random() * open.length)]!;
    const better = improve(g.group, g.shared, this.random, isOver);
    if (better) this.take(g, better);
  }

  private take(g: Going, shared: SharedOut): void {
    const score = scoreOf(g.group, shared);
    if (compareCuts(score, g.score) <= 0) [g.shared, g.score] = [shared, score];
  }

  plan(seconds: number): CutPlan {
    const { score } = this;
    return {
      placed: this.groups.flatMap((g) => this.placed(g)),
      unmet: this.unmet(),
      fieldsOpened: score.opened,
      deltaE: toDeltaE(score.deltaE),
      kept: this.kept(),
      proven: this.proven,
      seconds,
    };
  }

  private placed({ group, shared }: Going): PlacedStrip[] {
    const { margin } = this.problem;
    const at = (n: number) => tenths.toMm(n + tenths.up(margin));
    return shared.flatMap(({ laid }, f) =>
      laid.map(({ kind, x, y, along }) => ({
        strip: this.problem.strips[group.kinds[kind]!.strip]!.id,
        field: this.problem.fields[group.fields[f]!.field]!.id,
        x: at(x),
        y: at(y),
        along,
      })),
    );
  }

  private unmet(): CutPlan['unmet'] {
    const { strips } = this.problem;
    const never = this.grouped.never.map(({ strip, why }) => ({
      strip: strips[strip]!.id,
      count: strips[strip]!.count,
      why,
    }));
    const left = this.groups.flatMap(({ group, shared }) =>
      group.kinds.flatMap(({ strip, count, oneField }, k) => {
        const met = shared.reduce((n, { laid }) => n + laid.filter((l) => l.kind === k).length, 0);
        const why = oneField && met > 0 ? ('one field' as const) : ('no room' as const);
        return met < count ? [{ strip: strips[strip]!.id, count: count - met, why }] : [];
      }),
    );
    return [...never, ...left];
  }

  private kept(): CutPlan['kept'] {
    let best: CutPlan['kept'] = null;
    let most = 0;
    const border = tenths.up(this.problem.margin);
    for (const { group, shared } of this.groups)
      shared.forEach(({ kept, laid }, f) => {
        if (!kept || laid.length === 0 || areaOf(kept) <= most) return;
        most = areaOf(kept);
        const { toMm } = tenths;
        const field = this.problem.fields[group.fields[f]!.field]!.id;
        best = {
          field,
          x: toMm(kept.x + border),
          y: toMm(kept.y + border),
          w: toMm(kept.w),
          h: toMm(kept.h),
        };
      });
    return best;
  }
}

/** What a person would cut by going from the largest strip to the smallest: the peer that plans are measured beside. */
export const firstFitOf = (problem: CutProblem): CutPlan => ({
  ...new CutSearch(problem, 1).plan(0),
  proven: false,
});
