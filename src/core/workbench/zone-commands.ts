import {
  added,
  changed,
  joinDiffs,
  modelAccount,
  removed,
  type Command,
  type Source,
  type Zone,
} from '../ledger';
import { RECORDS, referencesOf, type RecordType } from '../records';
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

/** What names zones by the thousand, and is looked at by itself; what says where a zone lies goes with it. */
const LOOKED_AT: readonly RecordType[] = ['entry', 'modification', 'zone', 'zonePlace'];

/** True while something names a zone: pieces, entries, modifications, zones within it, findings, walls. Then it cannot be deleted. */
export function isZoneInUse(workbench: Workbench, zone: Zone): boolean {
  const at = modelAccount(zone.id);
  return (
    workbench.modifications.some((m) => m.zone === zone.id) ||
    workbench.zones.some((z) => z.parent === zone.id) ||
    workbench.entries.some(
      (e) => e.zone === zone.id || e.movements.some((m) => m.from === at || m.to === at),
    ) ||
    RECORDS.some((spec) => !LOOKED_AT.includes(spec.type) && isNamedBy(workbench, spec, zone))
  );
}

function isNamedBy(workbench: Workbench, spec: (typeof RECORDS)[number], zone: Zone): boolean {
  for (const record of workbench.records[spec.type].values())
    for (const r of referencesOf(spec.fields, record as unknown as Readonly<Record<string, unknown>>))
      if (r.to === 'zone' && r.id === zone.id) return true;
  return false;
}

/** Deletes a zone that nothing names, with where it was said to lie. */
export function deleteZone(workbench: Workbench, zone: Zone): Command {
  const place = workbench.records.zonePlace.get(zone.id);
  return {
    label: `delete zone ${zone.name}`,
    diff: joinDiffs(removed('zone', zone), removed('zonePlace', ...(place ? [place] : []))),
  };
}
