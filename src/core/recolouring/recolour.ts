import {
  costOfWork,
  phasesOf,
  planWork,
  type Plan,
  type PlannedWork,
  type WorkCost,
  type Workbench,
} from '../workbench';
import { isBoundToBoxes } from '../pool';
import type { Source } from '../ledger';
import { added, joinDiffs } from '../ledger';
import { inColour, splitElementKey, type ElementKey } from '../parts';
import { asId, type ColourId, type PhaseId, type ZoneId } from '../shared/ids';
import type { Minor } from '../shared/money';
import { cutText } from '../shared/text';
import { Prices } from '../mismatch/fixes';
import { recolourIntents } from '../mismatch/plan-fixes';
import { availability, type Availability, type Register } from '../mismatch/register';
import { seenLots, type SeenLot } from '../mismatch/seen-lots';
import { withAtHand, type AtHand } from '../stock';

/** What is to become what, and where. */
export interface ColourMap {
  /** From a colour to a colour. */
  readonly pairs: ReadonlyMap<ColourId, ColourId>;
  /** Null = every zone. */
  readonly zones: ReadonlySet<ZoneId> | null;
  readonly leavePrints: boolean;
  readonly leaveHidden: boolean;
  /** Leave what would have to be bought and is no longer made. What was never made is always left. */
  readonly leaveRetired: boolean;
}

export type LeftBecause = 'print' | 'hidden' | 'never made' | 'no longer made' | 'not in its boxes';

/** One lot of the plan: some pieces change, the others stay, and why. */
export interface RecolourLot {
  readonly zone: ZoneId;
  readonly from: ElementKey;
  readonly to: ElementKey;
  readonly qty: number;
  readonly atHand: number;
  /** Own and uncounted, where that much is roughly known. */
  readonly roughly: number;
  readonly toBuy: number;
  readonly each: Minor | null;
  readonly estimated: boolean;
  readonly cost: Minor;
  readonly unpriced: number;
  readonly availability: Availability;
  readonly weight: number;
}

export interface LeftLot {
  readonly zone: ZoneId;
  readonly element: ElementKey;
  readonly to: ElementKey;
  readonly qty: number;
  readonly because: LeftBecause;
}

/** A stage of the work, with how the whole stands when it is done. */
export interface RecolouringStep {
  readonly zone: ZoneId;
  readonly pieces: number;
  readonly cost: Minor;
  readonly unpriced: number;
  /** What is seen of the old colours and of the new ones when this stage is done, as shares of both together. */
  readonly newShare: number;
  readonly spent: Minor;
}

export interface RecolourPlan {
  readonly lots: readonly RecolourLot[];
  readonly left: readonly LeftLot[];
  readonly steps: readonly RecolouringStep[];
  readonly pieces: number;
  readonly cost: Minor;
  readonly unpriced: number;
}

/**
 * Works out what mapping colours to colours takes: lot by lot what is at hand, what is bought at what price, what stays
 * and why; and a stage for each zone, what shows most of the old colours for its money first.
 */
export function planRecolour(
  workbench: Workbench,
  map: ColourMap,
  register: Register,
  year: number,
): RecolourPlan {
  const seen = seenLots(workbench);
  // Who comes first takes what is at hand: the steps are put in order first, and then each takes in its turn.
  const lotsFor = (list: readonly SeenLot[]) =>
    withAtHand(workbench, (atHand) => lotsWith(atHand, workbench, map, register, year, list));
  const order = zonesInOrder(lotsFor(seen).lots);
  const rank = (zone: ZoneId) => order.indexOf(zone);
  const inTurn = seen.filter((l) => rank(l.zone) >= 0).sort((a, b) => rank(a.zone) - rank(b.zone));
  const rest = seen.filter((l) => rank(l.zone) < 0);
  const { lots, left } = lotsFor([...inTurn, ...rest]);
  return {
    lots,
    left,
    steps: stepsOf(lots, seen, map, order),
    pieces: lots.reduce((s, l) => s + l.qty, 0),
    cost: lots.reduce((s, l) => s + l.cost, 0),
    unpriced: lots.reduce((s, l) => s + l.unpriced, 0),
  };
}

/** What changes and what stays, lot by lot in the order given. */
function lotsWith(
  atHand: AtHand,
  workbench: Workbench,
  map: ColourMap,
  register: Register,
  year: number,
  seen: readonly SeenLot[],
): { lots: RecolourLot[]; left: LeftLot[] } {
  const prices = new Prices(workbench);
  const lots: RecolourLot[] = [];
  const left: LeftLot[] = [];
  const bound = isBoundToBoxes(workbench.records, workbench.build);
  for (const lot of seen) {
    const to = map.pairs.get(lot.colour);
    if (!to || to === lot.colour || (map.zones && !map.zones.has(lot.zone))) continue;
    const target = inColour(lot.element, to);
    const qty = map.leaveHidden ? lot.seenQty : lot.qty;
    const leave = (n: number, because: LeftBecause) => {
      if (n > 0) left.push({ zone: lot.zone, element: lot.element, to: target, qty: n, because });
    };
    if (map.leavePrints && splitElementKey(lot.element).print) {
      leave(lot.qty, 'print');
      continue;
    }
    leave(lot.qty - qty, 'hidden');
    const can = availability(register.look(target), year);
    const taken = atHand.take(target, qty, lot.zone);
    const had = taken.fromSpares + taken.fromBoxes + taken.fromStock;
    const barred = can === 'never' || (can === 'retired' && map.leaveRetired);
    if (barred) leave(taken.short, can === 'never' ? 'never made' : 'no longer made');
    else if (bound) leave(taken.short, 'not in its boxes');
    const toBuy = barred || bound ? 0 : taken.short;
    atHand.buy(target, toBuy, lot.zone);
    const changes = had + taken.roughly + toBuy;
    if (changes === 0) continue;
    const price = prices.of(target);
    lots.push({
      zone: lot.zone,
      from: lot.element,
      to: target,
      qty: changes,
      atHand: had,
      roughly: taken.roughly,
      toBuy,
      each: price?.each ?? null,
      estimated: price?.estimated ?? false,
      cost: toBuy * (price?.each ?? 0),
      unpriced: price ? 0 : toBuy,
      availability: can,
      weight: (lot.weight * changes) / Math.max(1, lot.qty),
    });
  }
  return { lots, left };
}

/** What the lots of each zone come to. */
function sumsByZone(lots: readonly RecolourLot[]) {
  const sum = (mine: readonly RecolourLot[], of: (l: RecolourLot) => number) =>
    mine.reduce((s, l) => s + of(l), 0);
  return [...new Set(lots.map((l) => l.zone))].map((zone) => {
    const mine = lots.filter((l) => l.zone === zone);
    return {
      zone,
      pieces: sum(mine, (l) => l.qty),
      cost: sum(mine, (l) => l.cost),
      unpriced: sum(mine, (l) => l.unpriced),
      weight: sum(mine, (l) => l.weight),
    };
  });
}

/** The zones, what shows most of the old colours for its money first. */
const zonesInOrder = (lots: readonly RecolourLot[]): ZoneId[] =>
  sumsByZone(lots)
    .sort((a, b) => b.weight / (b.cost + 1) - a.weight / (a.cost + 1))
    .map((z) => z.zone);

function stepsOf(
  lots: readonly RecolourLot[],
  seen: readonly SeenLot[],
  map: ColourMap,
  order: readonly ZoneId[],
): RecolouringStep[] {
  const targets = new Set(map.pairs.values());
  let old = seen.reduce((s, l) => s + (map.pairs.has(l.colour) ? l.weight : 0), 0);
  let fresh = seen.reduce(
    (s, l) => s + (targets.has(l.colour) && !map.pairs.has(l.colour) ? l.weight : 0),
    0,
  );
  let spent = 0;
  return sumsByZone(lots)
    .sort((a, b) => order.indexOf(a.zone) - order.indexOf(b.zone))
    .map(({ weight, ...z }) => {
      old -= weight;
      fresh += weight;
      spent += z.cost;
      return { ...z, spent, newShare: old + fresh > 0 ? fresh / (old + fresh) : 1 };
    });
}

const LONGEST_NAME = 120;

/** A recolouring as planned entries: a phase and a modification for each chosen stage, in the order of the stages. */
export function planSteps(
  workbench: Workbench,
  plan: RecolourPlan,
  steps: readonly RecolouringStep[],
  name: string,
  source: Source,
): PlannedWork {
  const top = phasesOf(workbench).at(-1)?.position ?? 0;
  const phases = steps.map((s, i) => ({
    id: asId<PhaseId>(source.newId()),
    build: workbench.build,
    name: cutText(`Step ${i + 1}: ${name}`, LONGEST_NAME),
    position: top + i + 1,
  }));
  const plans = steps.map((s, i): Plan => ({
    // What tells one from another comes first: a list shows the beginning of a name.
    title: cutText(
      `Step ${i + 1}, ${workbench.records.zone.get(s.zone)?.name ?? 'whole model'}: ${name}`,
      LONGEST_NAME,
    ),
    zone: s.zone,
    phase: phases[i]?.id ?? null,
    intents: plan.lots
      .filter((l) => l.zone === s.zone)
      .flatMap((l) => recolourIntents({ ...l, why: 'style', kind: 'recolour' })),
  }));
  const work = planWork(workbench, plans, `plan ${name}`, source);
  return { ...work, diff: joinDiffs(added('phase', ...phases), work.diff) };
}

/**
 * What the chosen steps cost, step by step, as their planned entries book it: the one figure that is shown before and stands
 * in the books after.
 *
 * @example stepCosts(workbench, plan, plan.steps)[0] // { cost: 2145, unpriced: 0 }
 */
export function stepCosts(
  workbench: Workbench,
  plan: RecolourPlan,
  steps: readonly RecolouringStep[],
): WorkCost[] {
  let n = 0;
  const work = planSteps(workbench, plan, steps, 'try', { newId: () => `try-${n++}`, now: '' });
  return work.modifications.map((m) => costOfWork(work.entries.filter((e) => e.modification === m)));
}

/** "ash, slate to chalk; deep to amber" for a map of colours: those that become the same stand together. */
export function mapName(map: ColourMap): string {
  const byTarget = new Map<ColourId, ColourId[]>();
  for (const [from, to] of map.pairs) byTarget.set(to, [...(byTarget.get(to) ?? []), from]);
  return [...byTarget].map(([to, from]) => `${from.join(', ')} to ${to}`).join('; ');
}
