import { added, changed, joinDiffs, removed, type Modification, type Zone } from '../ledger';
import { asId, type ModificationId, type ZoneId } from '../shared/ids';
import type { Command, Source } from '../ledger';
import type { Workbench } from './workbench';

export function addModification(
  workbench: Workbench,
  title: string,
  zone: ZoneId,
  source: Source,
  purpose: Modification['purpose'] = null,
): Command & { id: ModificationId } {
  const all = workbench.modifications;
  const id = asId<ModificationId>(source.newId());
  const modification: Modification = {
    id,
    build: workbench.build,
    no: all.reduce((n, m) => Math.max(n, m.no), 0) + 1,
    title,
    zone,
    phase: null,
    why: '',
    note: '',
    position: all.reduce((n, m) => Math.max(n, m.position), 0) + 1,
    purpose,
  };
  return { id, label: `add modification ${title}`, diff: added('modification', modification) };
}

/** Removes a modification with all its entries. */
export function deleteModification(workbench: Workbench, modification: Modification): Command {
  const entries = workbench.entries.filter((e) => e.modification === modification.id);
  const diff = joinDiffs(removed('entry', ...entries), removed('modification', modification));
  return { label: `delete modification ${modification.title}`, diff };
}

/** Puts a modification before another, or last. */
export function moveModification(
  workbench: Workbench,
  modification: Modification,
  before: Modification | null,
): Command {
  const others = workbench.modifications.filter((m) => m.id !== modification.id);
  const at = before ? others.findIndex((m) => m.id === before.id) : others.length;
  const low = others[at - 1]?.position ?? (others[at]?.position ?? 1) - 1;
  const high = others[at]?.position ?? low + 2;
  return {
    label: `move modification ${modification.title}`,
    diff: changed('modification', modification, { position: (low + high) / 2 }),
  };
}

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
