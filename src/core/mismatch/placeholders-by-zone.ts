import type { Workbench } from '../workbench';
import { zoneOf } from '../ledger';
import type { ElementKey } from '../parts';
import type { ZoneId } from '../shared/ids';

/** Placeholders still waiting in a zone. */
export interface ZonePlaceholder {
  readonly zone: ZoneId;
  readonly element: ElementKey;
  readonly standsFor: ElementKey;
  readonly qty: number;
  /** When the oldest of them was placed, ISO 8601. */
  readonly since: string;
}

/** Placeholders placed less those replaced, as built, by zone. */
export function placeholdersByZone(workbench: Workbench): ZonePlaceholder[] {
  const open = new Map<string, ZonePlaceholder>();
  for (const e of workbench.built.entries) {
    if (!e.standsFor || (e.kind !== 'placeholder' && e.kind !== 'replacement')) continue;
    for (const m of e.movements) {
      const zone = zoneOf(e.kind === 'placeholder' ? m.to : m.from);
      if (!zone) continue;
      const key = `${zone}|${m.element}|${e.standsFor}`;
      const old = open.get(key);
      const since = old && old.since < e.loggedAt ? old.since : e.loggedAt;
      const qty = (old?.qty ?? 0) + (e.kind === 'placeholder' ? m.qty : -m.qty);
      open.set(key, { zone, element: m.element, standsFor: e.standsFor, qty, since });
    }
  }
  return [...open.values()].filter((s) => s.qty > 0);
}
