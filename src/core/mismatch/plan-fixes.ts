import { planWork, type Plan, type PlannedWork, type Workbench } from '../workbench';
import type { Command, Source } from '../ledger';
import {
  BLANK_INTENT,
  EMPTY_DIFF,
  lotKey,
  removed,
  written,
  type Intent,
  type LeftMismatch,
  type Why,
} from '../ledger';
import type { ElementKey } from '../parts';
import type { ZoneId } from '../shared/ids';
import type { Fix } from './fixes';
import type { Mismatch } from './mismatches';

/** A recolouring of some pieces: what is at hand first, and the rest bought at a price, estimated or not. */
export interface Recolouring {
  readonly zone: ZoneId;
  readonly from: ElementKey;
  readonly to: ElementKey;
  readonly atHand: number;
  /** Own and uncounted. */
  readonly roughly: number;
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
  const own = r.roughly > 0 ? [part(r.roughly, { source: 'own' })] : [];
  if (!r.estimated || r.toBuy === 0) {
    const rest = r.atHand + r.toBuy;
    return [...(rest > 0 ? [part(rest, {})] : []), ...own];
  }
  const bought = part(r.toBuy, { source: 'outside', price: r.each });
  return [...(r.atHand > 0 ? [part(r.atHand, {})] : []), ...own, bought];
}

const recolouringOf = (f: Fix): Recolouring => ({
  zone: f.mismatch.zone,
  from: f.mismatch.element,
  to: f.mismatch.to,
  atHand: f.fromSpares + f.fromBoxes + f.fromStock,
  roughly: f.roughly,
  toBuy: f.toBuy,
  each: f.each,
  estimated: f.estimated,
  why: 'mismatch',
  kind: f.mismatch.kind === 'placeholder' ? 'replacement' : 'recolour',
});

/** Chosen fixes as planned entries: a modification for each zone they are in. */
export function planFixes(workbench: Workbench, fixes: readonly Fix[], source: Source): PlannedWork {
  const zones = [...new Set(fixes.map((f) => f.mismatch.zone))];
  const plans = zones.map((zone): Plan => ({
    title: `Put the colours right, ${workbench.records.zone.get(zone)?.name ?? ''}`,
    zone,
    why: 'Colours that read as a mistake.',
    intents: fixes.filter((f) => f.mismatch.zone === zone).flatMap((f) => recolourIntents(recolouringOf(f))),
  }));
  return planWork(workbench, plans, `plan ${fixes.length} colour fixes`, source);
}

/** A fix with another colour in place of the one that is not available. */
export const planInstead = (workbench: Workbench, fix: Fix, to: ElementKey, source: Source): PlannedWork => {
  const plan: Plan = {
    title: `Put the colours right, ${workbench.records.zone.get(fix.mismatch.zone)?.name ?? ''}`,
    zone: fix.mismatch.zone,
    intents: recolourIntents({
      ...recolouringOf(fix),
      to,
      atHand: 0,
      roughly: 0,
      toBuy: fix.mismatch.qty - fix.planned,
      each: null,
      estimated: false,
    }),
  };
  return planWork(workbench, [plan], 'plan the nearest colour', source);
};

/** A fix with other shapes in the wanted colour, which fill the same room together. */
export const planShapes = (
  workbench: Workbench,
  fix: Fix,
  parts: readonly { readonly element: ElementKey; readonly qty: number }[],
  source: Source,
): PlannedWork => {
  const qty = fix.mismatch.qty - fix.planned;
  const plan: Plan = {
    title: `Put the colours right, ${workbench.records.zone.get(fix.mismatch.zone)?.name ?? ''}`,
    zone: fix.mismatch.zone,
    intents: [
      {
        ...BLANK_INTENT,
        kind: 'swap',
        off: [{ element: fix.mismatch.element, qty }],
        on: parts.map((p) => ({ element: p.element, qty: p.qty * qty })),
        zone: fix.mismatch.zone,
        why: 'mismatch',
        planned: true,
      },
    ],
  };
  return planWork(workbench, [plan], 'plan other shapes', source);
};

/** Leaves a mismatch as it is, with the reason; an empty reason takes it up again. */
export function leaveMismatch(workbench: Workbench, mismatch: Mismatch, reason: string): Command {
  const old = workbench.records.leftMismatch.get(mismatch.id);
  if (!reason)
    return { label: 'take a mismatch up again', diff: old ? removed('leftMismatch', old) : EMPTY_DIFF };
  return leaveLot(workbench, mismatch.zone, mismatch.element, reason);
}

/** Notes why a kind in a zone keeps its colour: it is not told as a mismatch again. */
export function leaveLot(workbench: Workbench, zone: ZoneId, element: ElementKey, reason: string): Command {
  const id = lotKey(zone, element);
  const record: LeftMismatch = { id, build: workbench.build, zone, element, reason };
  return {
    label: 'leave a mismatch as it is',
    diff: written('leftMismatch', workbench.records.leftMismatch.get(id), record),
  };
}

/** Plans another colour for some pieces of a kind in a zone, where the one that was wanted is not available. */
export const planColour = (
  workbench: Workbench,
  {
    zone,
    element,
    to,
    qty,
  }: { readonly zone: ZoneId; readonly element: ElementKey; readonly to: ElementKey; readonly qty: number },
  source: Source,
): PlannedWork => {
  const plan: Plan = {
    title: `The near colour, ${workbench.records.zone.get(zone)?.name ?? ''}`,
    zone,
    intents: [
      {
        ...BLANK_INTENT,
        kind: 'recolour',
        off: [{ element, qty }],
        on: [{ element: to, qty }],
        zone,
        why: 'style',
        planned: true,
      },
    ],
  };
  return planWork(workbench, [plan], 'plan the near colour', source);
};
