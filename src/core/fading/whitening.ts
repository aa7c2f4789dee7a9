import type { Command, Source } from '../ledger';
import type { Workbench } from '../workbench';
import { deltaE00 } from '../colour';
import { added, changed, written } from '../ledger';
import { batchOf, type Grade } from '../places';
import { WHITENING_COST_ID, type Whitening, type WhiteningCost } from '../records';
import type { Minor } from '../shared/money';
import { elementName } from '../parts';
import { asId, type WhiteningId } from '../shared/ids';
import type { Ages, FadedBatch } from './fading';

/** Begins a whitening of some pieces that were read: what they were before is their batch. */
export const startWhitening = (
  workbench: Workbench,
  batch: FadedBatch,
  qty: number,
  note: string,
  source: Source,
): Command => {
  const whitening: Whitening = {
    id: asId<WhiteningId>(source.newId()),
    build: workbench.build,
    account: batch.account,
    element: batch.element,
    qty,
    before: batchOf(batch.grade),
    after: null,
    startedAt: source.now,
    endedAt: null,
    note,
  };
  return {
    label: `start whitening ${qty} ${elementName(batch.element)}`,
    diff: added('whitening', whitening),
  };
};

/** Ends a whitening with the batch that the pieces read as afterwards. */
export const endWhitening = (whitening: Whitening, after: string, source: Source): Command => ({
  label: `end whitening ${elementName(whitening.element)}`,
  diff: changed('whitening', whitening, { after, endedAt: source.now }),
});

/** What a bath of whitening takes, as it was said; undefined while nobody has. */
export const whiteningCostOf = (workbench: Workbench): WhiteningCost | undefined =>
  workbench.records.whiteningCost.get(WHITENING_COST_ID);

/** Says what a bath of whitening takes, for the whole workspace. */
export const setWhiteningCost = (workbench: Workbench, cost: Omit<WhiteningCost, 'id'>): Command => ({
  label: 'set what whitening costs',
  diff: written('whiteningCost', whiteningCostOf(workbench), { id: WHITENING_COST_ID, ...cost }),
});

/**
 * What whitening some pieces costs and how long it takes, bath by bath; null where nobody has said what a bath takes.
 *
 * 25 pieces at £3 and 12 hours for each ten: { cost: 900, hours: 36 }
 */
export function whiteningFor(workbench: Workbench, pieces: number): { cost: Minor; hours: number } | null {
  const cost = whiteningCostOf(workbench);
  if (!cost) return null;
  const baths = Math.ceil(pieces / cost.pieces);
  return { cost: baths * cost.perBath, hours: baths * cost.hours };
}

/** Share of the way back to fresh that whitening brings where nobody has recorded one yet. */
export const USUAL_WHITENING = 0.7;

/** What whitening did so far, as the share of the way back to fresh, by pieces; the usual where none is recorded. */
export function whiteningShare(workbench: Workbench, ages: Ages): number {
  const readings = new Map([...workbench.records.reading.values()].map((r) => [r.batch, r]));
  let [sum, pieces] = [0, 0];
  for (const w of workbench.records.whitening.values()) {
    const [before, after] = [readings.get(w.before), w.after ? readings.get(w.after) : undefined];
    const fresh = ages.lot(w.account, w.element, 'new' as Grade, 1)?.fresh;
    if (!before || !after || !fresh) continue;
    const far = deltaE00(fresh, { ...before, white: 'D65' });
    if (far < 0.5) continue;
    sum += w.qty * (1 - deltaE00(fresh, { ...after, white: 'D65' }) / far);
    pieces += w.qty;
  }
  return pieces > 0 ? Math.max(0, Math.min(1, sum / pieces)) : USUAL_WHITENING;
}
