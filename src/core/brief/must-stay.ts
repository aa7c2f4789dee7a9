import { MUST_STAY } from '../inspection';
import type { Entry } from '../ledger';
import { placeOf, zoneOf } from '../places';
import type { Finding } from '../records';
import type { Workbench } from '../workbench';

/** What must stay of a build, the first noted first. */
export const mustStay = (workbench: Workbench): Finding[] =>
  [...workbench.records.finding.values()]
    .filter((f) => f.build === workbench.build && MUST_STAY.includes(f.kind) && !f.dropped)
    .sort((a, b) => (a.at < b.at ? -1 : 1));

/**
 * What must stay and would be touched by entries: they take a part off its place, or recolour it, that was named with it in
 * the same zone. A part that only comes, or is noted where it stands, touches nothing.
 */
export function touchedBy(workbench: Workbench, entries: readonly Entry[]): Finding[] {
  const off = entries.flatMap((e) =>
    e.kind === 'sticker' || e.kind === 'regrade'
      ? []
      : e.movements.filter((m) => placeOf(m.from) === 'model'),
  );
  if (off.length === 0) return [];
  return mustStay(workbench).filter((f) =>
    f.lots.some((l) =>
      off.some(
        (m) => m.element === l.element && (zoneOf(m.from) === f.zone || f.zone === workbench.rootZone.id),
      ),
    ),
  );
}
