import { deltaE00, type Colour } from '../../colour';
import { elementKey } from '../../parts';
import type { WallJob } from '../../records';
import type { ColourId } from '../../shared/ids';
import type { Minor } from '../../shared/money';
import type { Workbench } from '../../workbench';
import { courseParts } from '../course-parts';
import { suppliesFor } from '../supply';
import { laidCost } from './laid-cost';

/** Something else that would do: the walls as they would be stated then, and what they would cost less. */
export type WallOffer = {
  readonly job: WallJob;
  readonly saves: Minor;
  /** True where one of both rests on a part without a price: what it saves is then about so much. */
  readonly guessed: boolean;
  /** What would still be bought. */
  readonly costs: Minor;
} & (
  | { readonly offer: 'plates' }
  | {
      readonly offer: 'colour';
      readonly from: ColourId;
      readonly to: ColourId;
      readonly courses: number;
      /** How far the colours are apart, ΔE00. */
      readonly deltaE: number;
    }
);

/** Colours that are tried for a course, the nearest of those that are at hand in number. */
const MOST_COLOURS = 4;
/** A colour of which less is at hand than this share of the courses' studs saves little. */
const ENOUGH = 0.6;

/**
 * What else would do where bricks must be bought: three plates for a brick, or another colour for all courses of one, of
 * which enough is at hand. Each is laid at once as the walls themselves are, so that both are weighed alike; only what is
 * as firm and costs less is offered, what saves most first.
 */
export function wallOffers(workbench: Workbench, job: WallJob): WallOffer[] {
  const now = laidCost(workbench, job);
  if (!now || now.money === 0) return [];
  const tried: (Pick<WallOffer, 'job'> & Partial<WallOffer> & { offer: WallOffer['offer'] })[] = [];
  if (!job.plates && job.courses.some((c) => c.family === 'brick'))
    tried.push({ offer: 'plates', job: { ...job, plates: true } });
  for (const from of new Set(job.courses.flatMap((c) => c.colour ?? [])))
    for (const { colour, deltaE } of coloursFor(workbench, job, from)) {
      const courses = job.courses.filter((c) => c.colour === from).length;
      const other = job.courses.map((c) => (c.colour === from ? { ...c, colour: colour.id } : c));
      tried.push({ offer: 'colour', job: { ...job, courses: other }, from, to: colour.id, courses, deltaE });
    }
  return tried
    .flatMap((t): WallOffer[] => {
      const then = laidCost(workbench, t.job);
      const isAsGood = then && then.unfilled <= now.unfilled && then.joints <= now.joints;
      if (!isAsGood || then.money >= now.money) return [];
      const guessed = now.guessed || then.guessed;
      return [{ ...t, saves: now.money - then.money, costs: then.money, guessed } as WallOffer];
    })
    .sort((a, b) => b.saves - a.saves);
}

/** Solid colours of which about enough studs are at hand for the courses of one colour, the nearest to it first. */
function coloursFor(
  workbench: Workbench,
  job: WallJob,
  from: ColourId,
): { readonly colour: Colour; readonly deltaE: number }[] {
  const wanted = workbench.colour(from);
  if (!wanted) return [];
  const mine = job.courses.filter((c) => c.colour === from);
  const studs = mine.length * job.walls.reduce((s, w) => s + w.length, 0) * job.thick;
  const families = [...new Set(mine.map((c) => c.family))];
  const shapes = families.flatMap((f) =>
    (job.thick === 2 ? ([1, 2] as const) : ([1] as const)).flatMap((d) => courseParts(f, d, [])),
  );
  const others = workbench.palette.filter((c) => c.finish === 'solid' && c.id !== from);
  const supplies = suppliesFor(
    workbench,
    others.flatMap((c) => shapes.map((s) => elementKey(s.part.id, c.id))),
  );
  const atHand = (c: Colour) =>
    shapes.reduce((n, s) => n + supplies(elementKey(s.part.id, c.id)).atHand * s.length * s.deep, 0);
  return others
    .filter((c) => atHand(c) >= ENOUGH * studs)
    .map((colour) => ({ colour, deltaE: deltaE00(wanted.lab, colour.lab) }))
    .sort((a, b) => a.deltaE - b.deltaE)
    .slice(0, MOST_COLOURS);
}
