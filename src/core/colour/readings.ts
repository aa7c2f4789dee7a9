import { assert } from '../shared/assert';
import type { LabD65 } from './colour';
import { deltaE00 } from './delta-e';

/** A colour averaged from several readings. */
export interface AveragedLab {
  readonly lab: LabD65;
  /** Standard deviation of one reading, in ΔE00 from the mean. 0 for a single one. */
  readonly deviation: number;
  /** Standard error of the mean, in ΔE00: how sure the mean is. Infinite for a single reading. */
  readonly error: number;
  /** Readings used, and those left out as outliers. */
  readonly used: number;
  readonly leftOut: number;
}

const median = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b);
  const mid = sorted.length >> 1;
  return sorted.length % 2 ? sorted[mid]! : (sorted[mid - 1]! + sorted[mid]!) / 2;
};

const meanOf = (labs: readonly LabD65[]): LabD65 => {
  const sum = labs.reduce((s, c) => ({ l: s.l + c.l, a: s.a + c.a, b: s.b + c.b }), { l: 0, a: 0, b: 0 });
  const n = labs.length;
  return { l: sum.l / n, a: sum.a / n, b: sum.b / n, white: 'D65' };
};

/**
 * The mean of several readings of one thing. With five or more, a reading farther from the channel-wise median than
 * four times the median distance (and than ΔE00 1) is left out: an outlier, not noise. Asserts one or more.
 */
export function averageReadings(labs: readonly LabD65[]): AveragedLab {
  assert(labs.length > 0, 'an average needs a reading');
  const kept = labs.length >= 5 ? withoutOutliers(labs) : labs;
  const lab = meanOf(kept);
  const squares = kept.reduce((s, c) => s + deltaE00(lab, c) ** 2, 0);
  const deviation = kept.length > 1 ? Math.sqrt(squares / (kept.length - 1)) : 0;
  return {
    lab,
    deviation,
    error: kept.length > 1 ? deviation / Math.sqrt(kept.length) : Infinity,
    used: kept.length,
    leftOut: labs.length - kept.length,
  };
}

function withoutOutliers(labs: readonly LabD65[]): readonly LabD65[] {
  const middle: LabD65 = {
    l: median(labs.map((c) => c.l)),
    a: median(labs.map((c) => c.a)),
    b: median(labs.map((c) => c.b)),
    white: 'D65',
  };
  const far = labs.map((c) => deltaE00(middle, c));
  const limit = Math.max(1, 4 * median(far));
  return labs.filter((_, i) => far[i]! <= limit);
}

export interface EnoughOptions {
  /** Standard error in ΔE00 that is sure enough. */
  readonly sureAt: number;
  readonly least: number;
  readonly most: number;
}
export const ENOUGH: EnoughOptions = { sureAt: 0.3, least: 3, most: 12 };

/**
 * Whether a run of readings may stop: `sure` when the mean is sure enough, `unsure` when there were as many as allowed
 * and it is not, `more` otherwise.
 */
export function enoughReadings(labs: readonly LabD65[], options = ENOUGH): 'more' | 'sure' | 'unsure' {
  if (labs.length < options.least) return 'more';
  if (averageReadings(labs).error <= options.sureAt) return 'sure';
  return labs.length >= options.most ? 'unsure' : 'more';
}
