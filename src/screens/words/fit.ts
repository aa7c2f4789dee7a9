import { formatFixed } from '@/core/shared/forms';
import {
  jobState,
  type Filling,
  type FillingHere,
  type FloorFault,
  type NotRead,
  type Overhang,
  type RunsOut,
  type SourcedLot,
  type WallFault,
  type Way,
} from '@/core/fit';
import { elementName } from '@/core/parts';
import type { FloorJob, WallJob } from '@/core/records';
import type { WorkCost, Workbench } from '@/core/workbench';
import { count, modNo, money, pieces, priced } from '@/ui/numbers';
import { list } from './places';

/** Why walls cannot be laid as they are wanted: where, what, and what to do. */
export function wallFaultWords(f: WallFault): string {
  switch (f.fault) {
    case 'no room':
      return `${named(f.opening)} leave no post of one stud between in the wall ${f.wall}: make them fewer or narrower, or the wall longer.`;
    case 'outside':
      return `${named(f.opening)} reaches out of the wall ${f.wall}: place it further left, or make the wall longer.`;
    case 'too high':
      return `${named(f.opening)} of the wall ${f.wall} is taller than the courses: add courses, or set it lower.`;
    case 'overlap':
      return `${named(f.opening)} and ${f.other ? named(f.other).toLowerCase() : 'another opening'} lie over one another in the wall ${f.wall}: move one of them.`;
    case 'room of two':
      return 'Two walls close no room: let them meet in a row, or name a third.';
    case 'thin':
      return `The wall ${f.wall} is too short to turn a corner so thick: make it longer, or one stud thick.`;
    case 'panel':
      return `An area of the wall ${f.wall} reaches out of it: make it smaller, or the wall longer.`;
    case 'not last':
      return `Course ${f.course} is of ${f.family}s, on which nothing can stand: only the last course can be.`;
  }
}

const named = (opening: string): string => `The ${opening || 'opening'}`;

/** What could not be read, and how it is written. */
export function notReadWords(n: NotRead, example: string): string {
  const says = {
    colour: `“${n.text}” names no colour`,
    number: `“${n.text}” says no number of studs`,
    length: `“${n.text}”: a wall has from 1 to 400 studs`,
    'too many': `“${n.text}” is more than can be laid at once`,
    empty: 'Nothing is written',
  }[n.why];
  return `${says}. Write: ${example}`;
}

/** "9 from spares, 2 roughly, 1 to buy": where the pieces of a lot come from. */
export function sourceWords(l: SourcedLot): string {
  const parts = [
    [l.from.spares, 'spares'],
    [l.from.boxes, 'boxes'],
    [l.from.stock, 'own'],
    [l.roughly, 'roughly known'],
    [l.toBuy, 'to buy'],
    [l.qty - l.counted - l.roughly - l.toBuy, 'lacking'],
  ] as const;
  return parts
    .filter(([n]) => n > 0)
    .map(([n, words]) => `${count(n)} ${words}`)
    .join(', ');
}

interface Outcome {
  readonly what: 'walls' | 'floor';
  readonly unfilled: number;
  readonly lots: readonly SourcedLot[];
  readonly cost: WorkCost;
}

/** The answer in a sentence: does it close, and what does it take? */
export function laidHeadline({ what, unfilled, lots, cost }: Outcome): string {
  const n = lots.reduce((s, l) => s + l.qty, 0);
  const toBuy = lots.reduce((s, l) => s + l.toBuy, 0);
  const had = lots.reduce((s, l) => s + l.counted + l.roughly, 0);
  if (unfilled > 0)
    return `${count(unfilled)} ${unfilled === 1 ? 'place stays' : 'places stay'} open: ${pieces(n)} lie, ${count(had)} at hand.`;
  const verb = what === 'walls' ? 'The walls close' : 'The floor closes';
  const buy =
    toBuy === 0 ? 'nothing to buy' : `${count(toBuy)} to buy for ${priced(cost.cost, cost.unpriced)}`;
  return `${verb} with ${pieces(n)}: ${count(had)} at hand, ${buy}.`;
}

/** How sure the laying is the best there is, and how firm it is. */
export function firmWords(
  what: 'walls' | 'floor',
  joints: number,
  proven: boolean,
  busy: boolean,
  isStated = true,
): string {
  const weak = what === 'walls' ? 'joint over a joint' : 'place where four corners meet';
  const weaks = what === 'walls' ? 'joints over joints' : 'places where four corners meet';
  const firm = joints === 0 ? `No ${weak}.` : `${count(joints)} ${joints === 1 ? weak : weaks}, marked.`;
  if (!isStated) return firm;
  return `${firm} ${proven ? 'Nothing better is possible.' : busy ? 'A better one is looked for…' : 'A better one may be possible.'}`;
}

/** "kelp 1x4 ends in course 5": what is at hand ends, and from then on it is bought. */
export const runsOutWords = (ends: readonly RunsOut[], of: 'course' | 'layer' = 'course'): string =>
  ends.length === 0
    ? ''
    : `What is at hand ends: ${list(ends.slice(0, 3).map((e) => `${elementName(e.element)} in ${of} ${e.course + 1}`))}${ends.length > 3 ? `, and ${ends.length - 3} more` : ''}.`;

/** What stands out over a wall under its last course; empty where nothing does. */
export const overhangWords = (over: Overhang | null): string =>
  over === null
    ? ''
    : `The last course, of ${over.family}s, stands out by a stud on the outside${
        over.openCorners === 0
          ? ''
          : `; at ${over.openCorners === 1 ? 'the corner' : `${over.openCorners} corners`} a square of one stud stays open: a corner part or a 1x1 fills it`
      }.`;

export const WAY_WORDS: Readonly<Record<Way, string>> = { firm: 'Firm', 'as it lies': 'As it lies' };

/** "Planned as M 07: 47 pieces." */
export function plannedHeadline(workbench: Workbench, job: WallJob | FloorJob): string {
  if (!job.planned) return '';
  const modification = workbench.records.modification.get(job.planned.modification);
  const n = pieces(job.planned.pieces.reduce((s, p) => s + ('plates' in p && p.plates ? 3 : 1), 0));
  const as = modification ? modNo(modification.no) : '';
  return {
    stated: '',
    planned: `Planned as ${as}: ${n}, to be laid course by course.`,
    begun: `Being laid as ${as}: ${n} in all.`,
    gone: `Laid once with ${n}; its modification was deleted.`,
  }[jobState(workbench, job)];
}

export const WAY_SAYS: Readonly<Record<Way, string>> = {
  firm: 'nothing weak, then least money',
  'as it lies': 'only what is at hand',
};

export const weakWords = (joints: number): string =>
  `${joints === 0 ? 'no' : count(joints)} ${joints === 1 ? 'joint' : 'joints'} over joints`;

/** Why a floor cannot be laid as it is wanted. */
export function floorFaultWords(f: FloorFault): string {
  switch (f.fault) {
    case 'keep out':
      return `What is kept free for ${f.name || 'a place'} reaches out of the floor: move it, or make it smaller.`;
    case 'keep out twice':
      return `What is kept free for ${f.name || 'a place'} lies over another such place: move one of them.`;
    case 'kerb':
      return 'The kerb takes the whole floor: make it narrower, or the floor larger.';
    case 'slab':
      return `No part is ${f.w} x ${f.d}: choose a slab that exists, such as 2 x 2 or 4 x 1.`;
    case 'family':
      return 'Floors are laid of tiles, plates or bricks.';
  }
}

/** "ash 74 %, kelp 26 %": how a mix came out; empty for one colour. */
export function shareWords(job: FloorJob, shares: ReadonlyMap<string, number>): string {
  if (job.colours.length < 2) return '';
  const all = [...shares.values()].reduce((s, n) => s + n, 0);
  const parts = [...shares].sort((a, b) => b[1] - a[1]);
  return `It comes out ${list(parts.map(([c, n]) => `${c} ${Math.round((100 * n) / Math.max(1, all))} %`))}.`;
}

/** "1 brick and 2 plates": what lies on what. */
export function fillingWords(f: Filling): string {
  const parts = [
    [f.bricks, 'brick', 'bricks'],
    [f.plates, 'plate', 'plates'],
    [f.halves, 'half plate', 'half plates'],
    [f.sideways, 'stud on its side', 'studs on their side'],
  ] as const;
  return list(parts.filter(([n]) => n > 0).map(([n, one, more]) => `${n} ${n === 1 ? one : more}`));
}

/** "too few brackets at hand": what lacks of a filling. */
export const lacksWords = (f: FillingHere): string => `too few ${list(f.lacks.map((n) => `${n}s`))} at hand`;

/** "1.24 kg ± 0.19", "85 g ± 12" */
export function gramWords({ grams, doubt }: { readonly grams: number; readonly doubt: number }): string {
  return grams >= 1000
    ? `${formatFixed(grams / 1000, 2)} kg ± ${formatFixed(doubt / 1000, 2)}`
    : `${Math.round(grams)} g ± ${Math.ceil(doubt)}`;
}

interface Weighed {
  readonly unfilled: number;
  readonly joints: number;
  readonly money: number;
}

/** What a joint that is avoided costs, where both ways close the walls; empty where that says nothing. */
export function jointCostWords(firm: Weighed | null, lies: Weighed | null): string {
  if (!firm || !lies || firm.unfilled > 0 || lies.unfilled > 0) return '';
  const avoided = lies.joints - firm.joints;
  if (avoided <= 0 || firm.money <= lies.money) return '';
  const each = (firm.money - lies.money) / avoided;
  return `As it lies ${count(lies.joints)} ${lies.joints === 1 ? 'joint is' : 'joints are'} weak; each that is avoided costs ${money(Math.round(each))}.`;
}
