import type { Workbench } from '../workbench';
import { modelAccount, type Seen } from '../ledger';
import { splitElementKey, type ElementKey } from '../parts';
import type { ColourId, ZoneId } from '../shared/ids';
import { exposureOf, hiddenByEntries, hiddenOf } from '../fading';
import { proposeSeen, SEEN_SHARE } from './exposure';

/** A lot of a zone with how much of it is seen. */
export interface SeenLot {
  readonly zone: ZoneId;
  readonly element: ElementKey;
  readonly colour: ColourId;
  /** All pieces, and those that are seen at all. */
  readonly qty: number;
  readonly seenQty: number;
  readonly seen: Seen;
  /** True where a person said so. */
  readonly said: boolean;
  /** Pieces times the share of each that is seen: what a colour weighs. */
  readonly weight: number;
}

/** Every lot on the model as built, zone by zone. */
export function seenLots(workbench: Workbench): SeenLot[] {
  const byEntries = hiddenByEntries(workbench);
  return workbench.zones.flatMap((zone) =>
    workbench.built.balances.elements(modelAccount(zone.id)).flatMap(([element, qty]): SeenLot[] => {
      if (qty <= 0) return [];
      const said = exposureOf(workbench, zone.id, element);
      const seen = said?.seen ?? proposeSeen(element, zone.name);
      const seenQty = seen === 'hidden' ? 0 : qty - hiddenOf(workbench, zone.id, element, byEntries);
      const { colour } = splitElementKey(element);
      const weight = seenQty * SEEN_SHARE[seen];
      return [{ zone: zone.id, element, colour, qty, seenQty, seen, said: !!said, weight }];
    }),
  );
}
