import { planWork, type Command, type Plan, type PlannedWork, type Source, type Workbench } from '../bench';
import {
  added,
  BLANK_INTENT,
  changed,
  EMPTY_DIFF,
  removed,
  type Intent,
  type LeftSlip,
  type Why,
} from '../ledger';
import type { ElementKey } from '../parts';
import type { ZoneId } from '../shared/ids';
import type { Fix } from './fixes';
import type { Slip } from './slips';

/** A recolouring of some pieces: what is at hand first, and the rest bought at a price, estimated or not. */
export interface Recolouring {
  readonly zone: ZoneId;
  readonly from: ElementKey;
  readonly to: ElementKey;
  readonly atHand: number;
  readonly toBuy: number;
  readonly each: number | null;
  readonly estimated: boolean;
  readonly why: Why;
  readonly kind: 'recolour' | 'replacement';
}

/** Intents that carry a recolouring out. Pieces with an estimated price stand apart, since theirs is said. */
export function recolourIntents(r: Recolouring): Intent[] {
  const part = (qty: number, more: Partial<Intent>): Intent => ({
    ...BLANK_INTENT,
    kind: r.kind,
    off: [{ element: r.from, qty }],
    on: [{ element: r.to, qty }],
    zone: r.zone,
    why: r.why,
    planned: true,
    standsFor: r.kind === 'replacement' ? r.to : null,
    ...more,
  });
  if (!r.estimated || r.toBuy === 0) return [part(r.atHand + r.toBuy, {})];
  const bought = part(r.toBuy, { source: 'outside', price: r.each });
  return r.atHand > 0 ? [part(r.atHand, {}), bought] : [bought];
}

const recolouringOf = (f: Fix): Recolouring => ({
  zone: f.slip.zone,
  from: f.slip.element,
  to: f.slip.to,
  atHand: f.fromSpares + f.fromStores,
  toBuy: f.toBuy,
  each: f.each,
  estimated: f.estimated,
  why: 'slip',
  kind: f.slip.kind === 'stand-in' ? 'replacement' : 'recolour',
});

/** Chosen fixes as planned entries: a modification for each zone they are in. */
export function planFixes(bench: Workbench, fixes: readonly Fix[], source: Source): PlannedWork {
  const zones = [...new Set(fixes.map((f) => f.slip.zone))];
  const plans = zones.map((zone): Plan => ({
    title: `Put the colours right, ${bench.records.zone.get(zone)?.name ?? ''}`,
    zone,
    why: 'Colours that read as a mistake.',
    intents: fixes.filter((f) => f.slip.zone === zone).flatMap((f) => recolourIntents(recolouringOf(f))),
  }));
  return planWork(bench, plans, `plan ${fixes.length} colour fixes`, source);
}

/** A fix with another colour in place of the one that cannot be had. */
export const planInstead = (bench: Workbench, fix: Fix, to: ElementKey, source: Source): PlannedWork => {
  const plan: Plan = {
    title: `Put the colours right, ${bench.records.zone.get(fix.slip.zone)?.name ?? ''}`,
    zone: fix.slip.zone,
    intents: recolourIntents({
      ...recolouringOf(fix),
      to,
      atHand: 0,
      toBuy: fix.slip.qty - fix.planned,
      each: null,
      estimated: false,
    }),
  };
  return planWork(bench, [plan], 'plan the nearest colour', source);
};

/** A fix with other shapes in the wanted colour, which fill the same room together. */
export const planShapes = (
  bench: Workbench,
  fix: Fix,
  parts: readonly { readonly element: ElementKey; readonly qty: number }[],
  source: Source,
): PlannedWork => {
  const qty = fix.slip.qty - fix.planned;
  const plan: Plan = {
    title: `Put the colours right, ${bench.records.zone.get(fix.slip.zone)?.name ?? ''}`,
    zone: fix.slip.zone,
    intents: [
      {
        ...BLANK_INTENT,
        kind: 'swap',
        off: [{ element: fix.slip.element, qty }],
        on: parts.map((p) => ({ element: p.element, qty: p.qty * qty })),
        zone: fix.slip.zone,
        why: 'slip',
        planned: true,
      },
    ],
  };
  return planWork(bench, [plan], 'plan other shapes', source);
};

/** Leaves a slip as it is, with the reason; an empty reason takes it up again. */
export function leaveSlip(bench: Workbench, slip: Slip, reason: string): Command {
  const old = bench.records.leftSlip.get(slip.id);
  const record: LeftSlip = {
    id: slip.id,
    build: bench.build,
    zone: slip.zone,
    element: slip.element,
    reason,
  };
  if (!reason) return { label: 'take a slip up again', diff: old ? removed('leftSlip', old) : EMPTY_DIFF };
  const diff = old ? changed('leftSlip', old, { reason }) : added('leftSlip', record);
  return { label: 'leave a slip as it is', diff };
}
