import type { Workbench } from '../workbench';
import { modelAccount } from '../places';
import { lotKey, written, type Command, type Exposure } from '../ledger';
import { elementName, type ElementKey } from '../parts';
import { asId, type ExposureId, type ZoneId } from '../shared/ids';

/** What a person said of how much of a lot is seen; undefined where nobody did. */
export const exposureOf = (workbench: Workbench, zone: ZoneId, element: ElementKey): Exposure | undefined =>
  workbench.records.exposure.get(lotKey(zone, element));

/** Pieces that entries put on as hidden filler, by lot. */
export function hiddenByEntries(workbench: Workbench): Map<string, number> {
  const sums = new Map<string, number>();
  for (const e of workbench.built.entries) {
    if (!e.hidden) continue;
    for (const m of e.movements) {
      if (m.to.startsWith('model:')) add(sums, `${m.to.slice(6)}|${m.element}`, m.qty);
      if (m.from.startsWith('model:')) add(sums, `${m.from.slice(6)}|${m.element}`, -m.qty);
    }
  }
  return sums;
}

const add = (sums: Map<string, number>, key: string, qty: number): void => {
  sums.set(key, (sums.get(key) ?? 0) + qty);
};

/** How many pieces of a lot nobody sees: as a person said, else as the entries say. */
export function hiddenOf(
  workbench: Workbench,
  zone: ZoneId,
  element: ElementKey,
  byEntries = hiddenByEntries(workbench),
): number {
  const there = Math.max(0, workbench.built.balances.at(modelAccount(zone), element));
  const said = exposureOf(workbench, zone, element);
  if (said) return said.seen === 'hidden' ? there : Math.min(there, said.hidden);
  return Math.max(0, Math.min(there, byEntries.get(lotKey(zone, element)) ?? 0));
}

/** Says how much of a lot is seen. What is left unsaid stays as it was said, or as it is proposed in `seen`. */
export function setExposure(
  workbench: Workbench,
  zone: ZoneId,
  element: ElementKey,
  seen: Exposure['seen'],
  to: Partial<Pick<Exposure, 'seen' | 'hidden'>>,
): Command {
  const old = exposureOf(workbench, zone, element);
  const fresh: Exposure = {
    id: asId<ExposureId>(lotKey(zone, element)),
    build: workbench.build,
    zone,
    element,
    seen,
    hidden: hiddenOf(workbench, zone, element),
  };
  return {
    label: `say how much of ${elementName(element)} is seen`,
    diff: written('exposure', old, { ...(old ?? fresh), ...to }),
  };
}
