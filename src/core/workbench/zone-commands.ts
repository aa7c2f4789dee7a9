import { added, changed, modelAccount, removed, type Command, type Source, type Zone } from '../ledger';
import { asId, type ZoneId } from '../shared/ids';
import type { Workbench } from './workbench';

/** Adds a zone within another, as the last. */
export function addZone(
  workbench: Workbench,
  name: string,
  parent: ZoneId,
  source: Source,
): Command & { id: ZoneId } {
  const id = asId<ZoneId>(source.newId());
  const position = workbench.zones.reduce((n, z) => Math.max(n, z.position), 0) + 1;
  const zone: Zone = { id, build: workbench.build, parent, name, position };
  return { id, label: `add zone ${name}`, diff: added('zone', zone) };
}

export const renameZone = (zone: Zone, name: string): Command => ({
  label: `rename zone ${zone.name}`,
  diff: changed('zone', zone, { name }),
});

/** Puts a zone into another. Those that may be chosen are `zonesAround`. */
export const nestZone = (zone: Zone, parent: ZoneId): Command => ({
  label: `nest zone ${zone.name}`,
  diff: changed('zone', zone, { parent }),
});

/** The zones that a zone may lie in: all but itself and what is nested in it. */
export function zonesAround(workbench: Workbench, zone: Zone): Zone[] {
  const below = workbench.planned.nested(zone.id);
  return workbench.zones.filter((z) => !below.has(z.id));
}

/** True while something names a zone: pieces, entries, modifications, zones within it. Then it cannot be deleted. */
export function isZoneInUse(workbench: Workbench, zone: Zone): boolean {
  const at = modelAccount(zone.id);
  return (
    workbench.modifications.some((m) => m.zone === zone.id) ||
    workbench.zones.some((z) => z.parent === zone.id) ||
    workbench.entries.some((e) => e.zone === zone.id || e.movements.some((m) => m.from === at || m.to === at))
  );
}

export const deleteZone = (zone: Zone): Command => ({
  label: `delete zone ${zone.name}`,
  diff: removed('zone', zone),
});
