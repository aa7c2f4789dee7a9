import type { BuildId, ZoneId } from '../shared/ids';
import type { Zone } from '../records';

/** What is wrong with the zones of a build. */
export type ZoneTreeFault =
  | { readonly fault: 'no root'; readonly build: BuildId }
  | { readonly fault: 'two roots'; readonly zone: ZoneId; readonly name: string }
  | { readonly fault: 'circle'; readonly zone: ZoneId; readonly name: string }
  | { readonly fault: 'parent is not there'; readonly zone: ZoneId; readonly name: string };

/**
 * The first thing that keeps the zones of one build from being a tree with one root, or undefined. No zones are none
 * that are wrong.
 *
 * zoneTreeFault([root, porch in root]) = undefined; zoneTreeFault([a in b, b in a]) = { fault: 'no root' }
 */
export function zoneTreeFault(zones: readonly Zone[]): ZoneTreeFault | undefined {
  const [first] = zones;
  if (!first) return undefined;
  const byId = new Map<string, Zone>(zones.map((z) => [z.id, z]));
  const roots = zones.filter((z) => z.parent === null);
  if (roots.length === 0) return { fault: 'no root', build: first.build };
  if (roots[1]) return { fault: 'two roots', zone: roots[1].id, name: roots[1].name };
  const sound = new Set<string>();
  for (const zone of zones) {
    const path = new Set<string>();
    for (let at: Zone | undefined = zone; at && !sound.has(at.id);) {
      if (path.has(at.id)) return { fault: 'circle', zone: zone.id, name: zone.name };
      path.add(at.id);
      if (at.parent === null) break;
      const parent = byId.get(at.parent);
      if (!parent || parent.build !== at.build)
        return { fault: 'parent is not there', zone: at.id, name: at.name };
      at = parent;
    }
    path.forEach((id) => sound.add(id));
  }
  return undefined;
}
