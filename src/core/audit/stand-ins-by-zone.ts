import type { Workbench } from '../bench';
import { zoneOf } from '../ledger';
import type { ElementKey } from '../parts';
import type { ZoneId } from '../shared/ids';

/** Stand-ins still waiting in a zone. */
export interface ZoneStandIn {
  readonly zone: ZoneId;
  readonly element: ElementKey;
  readonly standsFor: ElementKey;
  readonly qty: number;
  /** When the oldest of them was placed, ISO 8601. */
  readonly since: string;
}

/** Stand-ins placed less those replaced, as built, by zone. */
export function standInsByZone(bench: Workbench): ZoneStandIn[] {
  const open = new Map<string, ZoneStandIn>();
  for (const e of bench.built.entries) {
    if (!e.standsFor || (e.kind !== 'stand-in' && e.kind !== 'replacement')) continue;
    for (const m of e.movements) {
      const zone = zoneOf(e.kind === 'stand-in' ? m.to : m.from);
      if (!zone) continue;
      const key = `${zone}|${m.element}|${e.standsFor}`;
      const old = open.get(key);
      const since = old && old.since < e.loggedAt ? old.since : e.loggedAt;
      const qty = (old?.qty ?? 0) + (e.kind === 'stand-in' ? m.qty : -m.qty);
      open.set(key, { zone, element: m.element, standsFor: e.standsFor, qty, since });
    }
  }
  return [...open.values()].filter((s) => s.qty > 0);
}
