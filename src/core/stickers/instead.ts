import { deltaE00 } from '../colour';
import type { StripJob } from '../records';
import type { Workbench } from '../workbench';
import type { CutProblem } from './cutting';
import { labOfField, scrapsOf, type Scrap, type Stripe } from './stripes';

/** A scrap of another colour that a stripe could be cut from whole. */
export interface OtherColour {
  readonly scrap: Scrap;
  readonly deltaE: number;
}

/** A stripe in pieces that lie one over the other's end: the seam is covered by the upper layer. */
export interface InPieces {
  readonly scrap: Scrap;
  readonly pieces: number;
  /** How long each is, mm: the pieces together are longer than the stripe by what they overlap. */
  readonly each: number;
}

export interface Instead {
  readonly stripe: Stripe;
  readonly other: OtherColour | null;
  readonly inPieces: InPieces | null;
}

/** How far a piece lies over the next one, mm: less lifts, more shows. */
export const OVERLAP = 4;
const MOST_PIECES = 4;

const lab = ([l, a, b]: readonly [number, number, number]) => ({ l, a, b, white: 'D65' as const });

/**
 * What would do for stripes that cannot be cut: the nearest other colour that is left in a piece large enough, and the same
 * colour in two layers, piece over piece. Null where there is none. What the plan itself cuts is not taken into account
 * for other colours that it leaves alone; scraps that it opens are passed over.
 *
 * @example insteadOf(workbench, job, problem, ['port stripe'], opened)[0].inPieces // { pieces: 2, each: 34 }
 */
export function insteadOf(
  workbench: Workbench,
  job: StripJob,
  problem: CutProblem,
  unmet: readonly string[],
  opened: ReadonlySet<string>,
): Instead[] {
  const scraps = scrapsOf(workbench).filter((s) => !opened.has(s.id));
  return unmet.flatMap((id): Instead[] => {
    const stripe = job.strips.find((s) => s.id === id);
    const wanted = problem.strips.find((s) => s.id === id);
    if (!stripe || !wanted) return [];
    const near = scraps
      .flatMap((scrap): OtherColour[] => {
        const of = labOfField(workbench, scrap.field);
        return of ? [{ scrap, deltaE: deltaE00(lab(of), lab(wanted.lab)) }] : [];
      })
      .sort((a, b) => a.deltaE - b.deltaE);
    const other = near.find((n) => n.deltaE > job.tolerance && holds(n.scrap, job, stripe.l, stripe.w));
    const own = near.filter((n) => n.deltaE <= job.tolerance).map((n) => n.scrap);
    return [{ stripe, other: other ?? null, inPieces: piecesFrom(own, job, stripe) }];
  });
}

const holds = ({ field, rest }: Scrap, { margin }: StripJob, l: number, w: number): boolean => {
  const { w: fw, h: fh } = field.rests[rest]!;
  const [long, short] = [Math.max(fw, fh) - 2 * margin, Math.min(fw, fh) - 2 * margin];
  return Math.max(l, w) <= long + 1e-6 && Math.min(l, w) <= short + 1e-6;
};

/** The fewest pieces of one scrap that make a stripe: side by side in it, with the blade between. */
function piecesFrom(scraps: readonly Scrap[], job: StripJob, { l, w }: Stripe): InPieces | null {
  for (let pieces = 2; pieces <= MOST_PIECES; pieces++) {
    const each = Math.round(((l + (pieces - 1) * OVERLAP) / pieces) * 10) / 10;
    const wide = pieces * w + (pieces - 1) * job.kerf;
    const scrap = scraps.find((s) => holds(s, job, each, wide));
    if (scrap) return { scrap, pieces, each };
  }
  return null;
}
