import { Prices } from '../mismatch';
import type { ElementKey } from '../parts';
import type { ZoneId } from '../shared/ids';
import type { Minor } from '../shared/money';
import { withAtHand } from '../stock';
import { shippedLots, type Workbench } from '../workbench';

/** A kind that the original needs once more beside the mod, and where as many would come from. Pieces. */
export interface Double {
  readonly element: ElementKey;
  readonly wants: number;
  /** From what the box still gives: spares, and what lies in its boxes. */
  readonly fromBox: number;
  readonly fromOwn: number;
  readonly lacks: number;
  /** What one of the lacking costs; null = no price is known. */
  readonly each: Minor | null;
  readonly estimated: boolean;
  /** Where the original has it: what may be left off there. */
  readonly zones: readonly { readonly zone: ZoneId; readonly qty: number }[];
}

export interface BothStanding {
  readonly wants: number;
  readonly fromBox: number;
  readonly fromOwn: number;
  readonly lacks: number;
  readonly cost: Minor;
  /** Of the lacking, those without a known price. */
  readonly unpriced: number;
  /** Those that lack first, most first. */
  readonly doubles: readonly Double[];
}

/**
 * The original and the mod both standing: what the mod is made of stays on it, so that the original is built anew from what is left
 * of its box and from own parts, as plans leave them; what lacks is to be bought or left off.
 *
 * @example bothStanding(workbench).doubles.filter((d) => d.lacks > 0)
 */
export function bothStanding(workbench: Workbench): BothStanding {
  const original = originalOf(workbench);
  const prices = new Prices(workbench);
  const doubles = withAtHand(workbench, (atHand) =>
    [...original].map(([element, zones]): Double => {
      const wants = [...zones.values()].reduce((a, b) => a + b, 0);
      const { fromSpares, fromBoxes, short } = atHand.take(element, wants);
      const fromBox = fromSpares + fromBoxes;
      const price = short > 0 ? prices.of(element) : null;
      return {
        ...{ element, wants, fromBox, fromOwn: wants - fromBox - short, lacks: short },
        ...{ each: price?.each ?? null, estimated: price?.estimated ?? false },
        zones: [...zones].map(([zone, qty]) => ({ zone, qty })),
      };
    }),
  );
  doubles.sort((a, b) => b.lacks - a.lacks || b.wants - a.wants);
  const sum = (of: (d: Double) => number) => doubles.reduce((n, d) => n + of(d), 0);
  return {
    wants: sum((d) => d.wants),
    fromBox: sum((d) => d.fromBox),
    fromOwn: sum((d) => d.fromOwn),
    lacks: sum((d) => d.lacks),
    cost: sum((d) => (d.each ?? 0) * d.lacks),
    unpriced: sum((d) => (d.each === null ? d.lacks : 0)),
    doubles,
  };
}

/** The set as its boxes had it on the model, by kind and zone. */
function originalOf(workbench: Workbench): Map<ElementKey, Map<ZoneId, number>> {
  const found = new Map<ElementKey, Map<ZoneId, number>>();
  for (const { zone, element, qty } of shippedLots(workbench)) {
    if (zone === null) continue;
    const zones = found.get(element) ?? new Map<ZoneId, number>();
    found.set(element, zones.set(zone, (zones.get(zone) ?? 0) + qty));
  }
  return found;
}

/** What to leave off the original in each zone, by the zones' order: the lacking pieces, taken where the most of them are. */
export function leaveOff(
  workbench: Workbench,
  { doubles }: BothStanding,
): {
  readonly zone: ZoneId;
  readonly lots: readonly { readonly element: ElementKey; readonly qty: number }[];
}[] {
  const off = new Map<ZoneId, { element: ElementKey; qty: number }[]>();
  for (const d of doubles) {
    let left = d.lacks;
    for (const { zone, qty } of [...d.zones].sort((a, b) => b.qty - a.qty)) {
      const n = Math.min(left, qty);
      if (n > 0) off.set(zone, [...(off.get(zone) ?? []), { element: d.element, qty: n }]);
      left -= n;
    }
  }
  return workbench.zones.flatMap((z) => {
    const lots = off.get(z.id);
    return lots ? [{ zone: z.id, lots }] : [];
  });
}
