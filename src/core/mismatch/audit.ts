import type { Workbench } from '../workbench';
import type { ColourId, ZoneId } from '../shared/ids';
import { agedApart, type AgedApart } from './aged-apart';
import { budgetCurve, type BudgetCurve } from './budget';
import { fixesFor, isOpen, type Fix } from './fixes';
import type { Register } from './register';
import { schemesOf } from './scheme';
import { seenLots, type SeenLot } from './seen-lots';
import { SURE } from './judge';
import { findMismatches, type Mismatch } from './mismatches';

/** A colour of a zone, by pieces that are seen. */
export interface ColourShown {
  readonly colour: ColourId;
  readonly qty: number;
  /** Pieces of it that are mismatches. */
  readonly off: number;
}

export interface ZoneShown {
  readonly zone: ZoneId;
  readonly seen: number;
  readonly scheme: readonly ColourId[];
  readonly schemeSet: boolean;
  readonly colours: readonly ColourShown[];
  readonly off: number;
  readonly placeholders: number;
  readonly lots: readonly SeenLot[];
}

/** Everything wrong with a build's colours, what it takes to put right, and what any budget buys. */
export interface Audit {
  readonly zones: readonly ZoneShown[];
  readonly fixes: readonly Fix[];
  /** What may be a mistake, and more likely is none: the likeliest first. No figure counts it. */
  readonly doubtful: readonly Fix[];
  /** Fixes that money can choose among; the curve's indices are into this. */
  readonly open: readonly Fix[];
  readonly curve: BudgetCurve;
  /** All that shows, over mismatches that are neither planned for nor left as they are: the whole of the shares. */
  readonly shows: number;
  readonly cannot: readonly Fix[];
  /** Pieces of the right colour that look off beside their like, by their age. Their remedies are those of fading. */
  readonly aged: readonly AgedApart[];
}

/** Audits a build as built. `year` is the year it is for the register. */
export function auditColours(workbench: Workbench, register: Register, year: number): Audit {
  const lots = seenLots(workbench);
  const schemes = schemesOf(workbench, lots);
  const all = findMismatches(workbench, lots, schemes);
  const isSure = (m: Mismatch) => m.sure >= SURE || m.left !== null;
  const fixes = fixesFor(workbench, all.filter(isSure), register, year);
  const doubtful = fixesFor(
    workbench,
    all.filter((m) => !isSure(m)),
    register,
    year,
  );
  const open = fixes.filter(isOpen);
  const zones = workbench.zones.flatMap((z): ZoneShown[] => {
    const here = lots.filter((l) => l.zone === z.id);
    const seen = here.reduce((s, l) => s + l.seenQty, 0);
    if (seen === 0) return [];
    const mine = fixes.filter((f) => f.mismatch.zone === z.id && !f.mismatch.left);
    const scheme = schemes.get(z.id);
    return [
      {
        zone: z.id,
        seen,
        scheme: scheme?.colours ?? [],
        schemeSet: scheme?.set ?? false,
        colours: coloursShown(here, mine),
        off: mine.reduce((s, f) => s + (f.mismatch.kind === 'placeholder' ? 0 : f.mismatch.qty), 0),
        placeholders: mine.reduce((s, f) => s + (f.mismatch.kind === 'placeholder' ? f.mismatch.qty : 0), 0),
        lots: here,
      },
    ];
  });
  return {
    zones,
    fixes,
    doubtful: doubtful.sort((a, b) => b.mismatch.sure - a.mismatch.sure),
    open,
    curve: budgetCurve(open.map((f) => ({ cost: f.cost ?? 0, value: f.mismatch.shows }))),
    shows: fixes.reduce((s, f) => s + (f.share > 0 ? f.mismatch.shows : 0), 0),
    aged: agedApart(workbench),
    cannot: fixes.filter((f) => !f.canBeHad && !f.mismatch.left && f.planned < f.mismatch.qty),
  };
}

function coloursShown(lots: readonly SeenLot[], fixes: readonly Fix[]): ColourShown[] {
  const sums = new Map<ColourId, { qty: number; off: number }>();
  for (const l of lots) {
    if (l.seenQty === 0) continue;
    const sum = sums.get(l.colour) ?? { qty: 0, off: 0 };
    const mismatch = fixes.find((f) => f.mismatch.element === l.element)?.mismatch.qty ?? 0;
    sums.set(l.colour, { qty: sum.qty + l.seenQty, off: sum.off + Math.min(mismatch, l.seenQty) });
  }
  return [...sums]
    .map(([colour, { qty, off }]) => ({ colour, qty, off }))
    .sort((a, b) => Number(a.off > 0) - Number(b.off > 0) || b.qty - a.qty);
}
