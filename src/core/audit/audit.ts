import type { Workbench } from '../bench';
import type { ColourId, ZoneId } from '../shared/ids';
import { budgetCurve, type BudgetCurve } from './budget';
import { fixesFor, isOpen, type Fix } from './fixes';
import type { Register } from './register';
import { schemesOf } from './scheme';
import { seenLots, type SeenLot } from './seen-lots';
import { findSlips } from './slips';

/** A colour of a zone, by pieces that are seen. */
export interface ColourShown {
  readonly colour: ColourId;
  readonly qty: number;
  /** Pieces of it that are slips. */
  readonly off: number;
}

export interface ZoneShown {
  readonly zone: ZoneId;
  readonly seen: number;
  readonly scheme: readonly ColourId[];
  readonly schemeSet: boolean;
  readonly colours: readonly ColourShown[];
  readonly off: number;
  readonly standIns: number;
  readonly lots: readonly SeenLot[];
}

/** Everything wrong with a build's colours, what it takes to put right, and what any budget buys. */
export interface Audit {
  readonly zones: readonly ZoneShown[];
  readonly fixes: readonly Fix[];
  /** Fixes that money can choose among; the curve's indices are into this. */
  readonly open: readonly Fix[];
  readonly curve: BudgetCurve;
  /** All that shows, over slips that are neither planned for nor left as they are: the whole of the shares. */
  readonly shows: number;
  readonly cannot: readonly Fix[];
}

/** Audits a build as built. `year` is the year it is for the register. */
export function auditColours(bench: Workbench, register: Register, year: number): Audit {
  const lots = seenLots(bench);
  const slips = findSlips(bench, lots);
  const fixes = fixesFor(bench, slips, register, year);
  const open = fixes.filter(isOpen);
  const schemes = schemesOf(bench, lots);
  const zones = bench.zones.flatMap((z): ZoneShown[] => {
    const here = lots.filter((l) => l.zone === z.id);
    const seen = here.reduce((s, l) => s + l.seenQty, 0);
    if (seen === 0) return [];
    const mine = fixes.filter((f) => f.slip.zone === z.id && !f.slip.left);
    const scheme = schemes.get(z.id);
    return [
      {
        zone: z.id,
        seen,
        scheme: scheme?.colours ?? [],
        schemeSet: scheme?.set ?? false,
        colours: coloursShown(here, mine),
        off: mine.reduce((s, f) => s + (f.slip.kind === 'stand-in' ? 0 : f.slip.qty), 0),
        standIns: mine.reduce((s, f) => s + (f.slip.kind === 'stand-in' ? f.slip.qty : 0), 0),
        lots: here,
      },
    ];
  });
  return {
    zones,
    fixes,
    open,
    curve: budgetCurve(open.map((f) => ({ cost: f.cost ?? 0, value: f.slip.shows }))),
    shows: fixes.reduce((s, f) => s + (f.share > 0 ? f.slip.shows : 0), 0),
    cannot: fixes.filter((f) => !f.canBeHad && !f.slip.left && f.planned < f.slip.qty),
  };
}

function coloursShown(lots: readonly SeenLot[], fixes: readonly Fix[]): ColourShown[] {
  const sums = new Map<ColourId, { qty: number; off: number }>();
  for (const l of lots) {
    if (l.seenQty === 0) continue;
    const sum = sums.get(l.colour) ?? { qty: 0, off: 0 };
    const slip = fixes.find((f) => f.slip.element === l.element)?.slip.qty ?? 0;
    sums.set(l.colour, { qty: sum.qty + l.seenQty, off: sum.off + Math.min(slip, l.seenQty) });
  }
  return [...sums]
    .map(([colour, { qty, off }]) => ({ colour, qty, off }))
    .sort((a, b) => Number(a.off > 0) - Number(b.off > 0) || b.qty - a.qty);
}
