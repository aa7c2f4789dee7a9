import { BLANK_INTENT, modelAccount, worthOf, type Grade, type Intent, type Source } from '../ledger';
import type { ElementKey } from '../parts';
import type { ZoneId } from '../shared/ids';
import type { Minor } from '../shared/money';
import { planWork, type PlannedWork, type Workbench } from '../workbench';
import { notNeeded, type NotNeeded } from './completeness';

/** Pieces that are there and that nobody would miss, the way the model will be shown. */
export interface MayGo {
  readonly zone: ZoneId;
  readonly element: ElementKey;
  readonly qty: number;
  readonly because: NotNeeded;
}

/** What is still on the model and could serve elsewhere, for how it will be shown, most pieces first; planned removals are off it. */
export function mayGo(workbench: Workbench): MayGo[] {
  const card = workbench.records.inspectionCard.get(workbench.build);
  if (!card) return [];
  return workbench.zones
    .flatMap((zone) => {
      const sums = new Map<ElementKey, number>();
      const account = modelAccount(zone.id);
      for (const [element] of workbench.built.balances.elements(account)) {
        const there = Math.min(
          workbench.built.balances.at(account, element),
          workbench.planned.balances.at(account, element),
        );
        if (there > 0) sums.set(element, there);
      }
      return [...sums].flatMap(([element, qty]): MayGo[] => {
        const because = notNeeded({ element, zone: zone.id }, card, workbench);
        return because ? [{ zone: zone.id, element, qty, because }] : [];
      });
    })
    .sort((a, b) => b.qty - a.qty || (a.element < b.element ? -1 : 1));
}

/** What these pieces are worth used, and how many of them have no price. */
export const worthOfGoing = (
  workbench: Workbench,
  lots: readonly MayGo[],
): { worth: Minor; unpriced: number } => worthOf(lots, (l) => workbench.priceOf(l.element, 'used' as Grade));

/** Plans to take them off, to the build's spares, as one modification. */
export function planTakingOff(workbench: Workbench, lots: readonly MayGo[], source: Source): PlannedWork {
  const intents = lots.map((l): Intent => ({
    ...BLANK_INTENT,
    kind: 'remove',
    off: [{ element: l.element, qty: l.qty }],
    zone: l.zone,
    why: 'style',
    planned: true,
  }));
  const plan = {
    title: 'Take off what is not seen',
    zone: workbench.rootZone.id,
    why: 'The way it will be shown nobody misses it.',
    intents,
  };
  return planWork(workbench, [plan], 'plan to take off what is not seen', source);
}
