import { phasesOf, planWork, type Plan, type PlannedWork, type Workbench } from '../workbench';
import type { Source } from '../ledger';
import { added, joinDiffs } from '../ledger';
import { inColour, splitElementKey, type ElementKey } from '../parts';
import { asId, type ColourId, type PhaseId, type ZoneId } from '../shared/ids';
import type { Minor } from '../shared/money';
import { cutText } from '../shared/text';
import { AtHand, Prices } from '../mismatch/fixes';
import { recolourIntents } from '../mismatch/plan-fixes';
import { availability, type Availability, type Register } from '../mismatch/register';
import { seenLots, type SeenLot } from '../mismatch/seen-lots';

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

export type LeftBecause = 'print' | 'hidden' | 'never made' | 'no longer made';

/** One lot of the plan: some pieces change, the others stay, and why. */
export interface RecolourLot {
  readonly zone: ZoneId;
  readonly from: ElementKey;
  readonly to: ElementKey;
  readonly qty: number;
  readonly atHand: number;
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
  const atHand = new AtHand(workbench);
  const prices = new Prices(workbench);
  const lots: RecolourLot[] = [];
  const left: LeftLot[] = [];
  const seen = seenLots(workbench);
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
    const taken = atHand.take(target, qty);
    const had = taken.fromSpares + taken.fromStock;
    const barred = can === 'never' || (can === 'retired' && map.leaveRetired);
    if (barred) leave(taken.short, can === 'never' ? 'never made' : 'no longer made');
    const toBuy = barred ? 0 : taken.short;
    if (had + toBuy === 0) continue;
    const price = prices.of(target);
    lots.push({
      zone: lot.zone,
      from: lot.element,
      to: target,
      qty: had + toBuy,
      atHand: had,
      toBuy,
      each: price?.each ?? null,
      estimated: price?.estimated ?? false,
      cost: toBuy * (price?.each ?? 0),
      unpriced: price ? 0 : toBuy,
      availability: can,
      weight: (lot.weight * (had + toBuy)) / Math.max(1, lot.qty),
    });
  }
  return {
    lots,
    left,
    steps: stepsOf(lots, seen, map),
    pieces: lots.reduce((s, l) => s + l.qty, 0),
    cost: lots.reduce((s, l) => s + l.cost, 0),
    unpriced: lots.reduce((s, l) => s + l.unpriced, 0),
  };
}

function stepsOf(lots: readonly RecolourLot[], seen: readonly SeenLot[], map: ColourMap): RecolouringStep[] {
  const targets = new Set(map.pairs.values());
  let old = seen.reduce((s, l) => s + (map.pairs.has(l.colour) ? l.weight : 0), 0);
  let fresh = seen.reduce(
    (s, l) => s + (targets.has(l.colour) && !map.pairs.has(l.colour) ? l.weight : 0),
    0,
  );
  const zones = [...new Set(lots.map((l) => l.zone))].map((zone) => {
    const mine = lots.filter((l) => l.zone === zone);
    const sum = (of: (l: RecolourLot) => number) => mine.reduce((s, l) => s + of(l), 0);
    return {
      zone,
      pieces: sum((l) => l.qty),
      cost: sum((l) => l.cost),
      unpriced: sum((l) => l.unpriced),
      weight: sum((l) => l.weight),
    };
  });
  let spent = 0;
  return zones
    .sort((a, b) => b.weight / (b.cost + 1) - a.weight / (a.cost + 1))
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

/** "ash, slate to chalk; deep to amber" for a map of colours: those that become the same stand together. */
export function mapName(map: ColourMap): string {
  const byTarget = new Map<ColourId, ColourId[]>();
  for (const [from, to] of map.pairs) byTarget.set(to, [...(byTarget.get(to) ?? []), from]);
  return [...byTarget].map(([to, from]) => `${from.join(', ')} to ${to}`).join('; ');
}
