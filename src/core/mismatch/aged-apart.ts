import { deltaE00 } from '../colour';
import { Ages, fadingByZone, hiddenByEntries, hiddenOf, standingPlan, thresholdsOf } from '../fading';
import type { FadedBatch, ZoneFading } from '../fading';
import type { ElementKey } from '../parts';
import type { ColourId, ZoneId } from '../shared/ids';
import type { Workbench } from '../workbench';

/** Pieces of the right colour that have aged otherwise than their like beside them, in one zone. */
export interface AgedApart {
  readonly zone: ZoneId;
  readonly colour: ColourId;
  /** Seen pieces that stand apart, and the seen pieces they stand apart from. */
  readonly qty: number;
  readonly beside: number;
  /** Seen pieces of the colour in the zone whose colour nobody noted or read. */
  readonly unknown: number;
  /** The element of most of those that stand apart. */
  readonly element: ElementKey;
  /** The largest ΔE00 between one that stands apart and the rest, and how far off that may be: 0 where all was measured. */
  readonly deltaE: number;
  readonly doubt: number;
  /** From 0 to 1: how sure it is that the difference is seen close up. */
  readonly sure: number;
  /** Pieces that a plan renews already. */
  readonly planned: number;
}

/**
 * Where pieces of one colour in a zone have aged apart so far that it shows, what shows most first: batches that were
 * measured, and those noted by eye, with their doubt. The look of a zone is that of the batch beside which most seen pieces
 * look alike (ΔE00 below the second grade of fading, "seen close up"), the nearest to new among equals; what is further
 * from it stands apart. Hidden pieces do not count. An evenly aged zone has none: it looks right.
 *
 * @example agedApart(workbench) // [{ zone: 'Hull', colour: 'chalk', qty: 10, beside: 30, deltaE: 7, doubt: 2.9, sure: 0.93, ... }]
 */
export function agedApart(workbench: Workbench, ages = new Ages(workbench)): AgedApart[] {
  const [, closeUp] = thresholdsOf(workbench);
  const byEntries = hiddenByEntries(workbench);
  return fadingByZone(workbench, ages)
    .flatMap((zone): AgedApart[] => {
      const seen = seenOf(zone, (e) => hiddenOf(workbench, zone.zone, e, byEntries));
      const look = lookOf(seen, closeUp);
      if (!look) return [];
      const apart = seen
        .map((b) => ({ ...b, ...between(look, b, closeUp) }))
        .filter((b) => b.deltaE >= closeUp);
      const [worst] = [...apart].sort((x, y) => y.deltaE - x.deltaE);
      const [most] = [...apart].sort((x, y) => y.qty - x.qty);
      if (!worst || !most) return [];
      const qty = sum(apart);
      return [
        {
          zone: zone.zone,
          colour: zone.colour,
          qty,
          beside: sum(seen) - qty,
          unknown: zone.pieces - zone.known,
          element: most.element,
          deltaE: worst.deltaE,
          doubt: worst.doubt,
          sure: Math.max(...apart.map((b) => b.sure)),
          planned: standingPlan(workbench, zone.zone, zone.colour)?.pieces ?? 0,
        },
      ];
    })
    .sort((x, y) => y.qty * y.deltaE - x.qty * x.deltaE);
}

const sum = (batches: readonly { readonly qty: number }[]): number => batches.reduce((s, b) => s + b.qty, 0);

/** The batches of a zone by the pieces that can be seen. Which pieces of a lot are hidden is not known. */
function seenOf(zone: ZoneFading, hidden: (element: ElementKey) => number): FadedBatch[] {
  const left = new Map<ElementKey, number>();
  // From nearest to new on: the hidden pieces are taken for those that look best, so that none that shows is missed.
  return zone.batches.flatMap((b) => {
    const away = Math.min(b.qty, left.get(b.element) ?? hidden(b.element));
    left.set(b.element, (left.get(b.element) ?? hidden(b.element)) - away);
    return b.qty > away ? [{ ...b, qty: b.qty - away }] : [];
  });
}

/** The batch beside which most pieces look alike. */
function lookOf(seen: readonly FadedBatch[], closeUp: number): FadedBatch | undefined {
  let best: FadedBatch | undefined;
  let most = 0;
  for (const b of seen) {
    const alike = sum(seen.filter((o) => deltaE00(b.lab, o.lab) < closeUp));
    if (alike > most) [best, most] = [b, alike];
  }
  return best;
}

/** How far a batch is from the look, how far off that may be, and how likely it is at least `closeUp`. */
function between(look: FadedBatch, batch: FadedBatch, closeUp: number) {
  const deltaE = deltaE00(look.lab, batch.lab);
  const doubt = Math.hypot(look.rough ?? 0, batch.rough ?? 0);
  const sure = doubt > 0 ? normal((deltaE - closeUp) / doubt) : 1;
  return { deltaE, doubt, sure };
}

/** The normal distribution by the logistic curve nearest to it, within 0.01 (Bowling et al., 2009: 1.702). */
const normal = (z: number): number => 1 / (1 + Math.exp(-1.702 * z));
