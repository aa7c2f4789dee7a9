import { added, changed, joinDiffs, removed, type Modification } from '../ledger';
import { asId, type ModificationId, type PhaseId, type ZoneId } from '../shared/ids';
import type { Command, Source } from '../ledger';
import { addPhase } from './phase-commands';
import { movedTo, placesAt } from './list-places';
import type { Workbench } from './workbench';
import { addZone } from './zone-commands';

/** Starts a modification as the last. */
export function addModification(
  workbench: Workbench,
  title: string,
  zone: ZoneId,
  source: Source,
  purpose: Modification['purpose'] = null,
): Command & { id: ModificationId } {
  const made = newModification(workbench, title, zone, source, purpose);
  return { id: made.id, label: `add modification ${title}`, diff: added('modification', made) };
}

/** A modification as it begins, after all others. */
export function newModification(
  workbench: Workbench,
  title: string,
  zone: ZoneId,
  source: Source,
  purpose: Modification['purpose'],
): Modification {
  const all = workbench.modifications;
  return {
    id: asId<ModificationId>(source.newId()),
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
  const { places, moved } = placesAt(others, at, 1);
  return {
    label: `move modification ${modification.title}`,
    diff: joinDiffs(
      changed('modification', modification, { position: places[0] }),
      movedTo('modification', moved),
    ),
  };
}

/** What a person says of a modification. A zone or a phase that is not there yet is given by its name. */
export interface ModificationFields {
  readonly title: string;
  readonly zone: ZoneId | { readonly name: string };
  readonly phase: PhaseId | { readonly name: string } | null;
  readonly why: string;
  readonly note: string;
}

/** Changes a modification, or starts one, with the zone and the phase it names anew: one step that one undo takes back. */
export function keepModification(
  workbench: Workbench,
  old: Modification | null,
  { title, zone, phase, why, note }: ModificationFields,
  source: Source,
): Command & { id: ModificationId } {
  const newZone =
    typeof zone === 'string' ? null : addZone(workbench, zone.name, workbench.rootZone.id, source);
  const newPhase =
    phase === null || typeof phase === 'string' ? null : addPhase(workbench, phase.name, source);
  const inZone = newZone?.id ?? (zone as ZoneId);
  const fields = { title, zone: inZone, phase: newPhase?.id ?? (phase as PhaseId | null), why, note };
  const made = old ? null : newModification(workbench, title, inZone, source, null);
  const kept = made ? added('modification', { ...made, ...fields }) : changed('modification', old!, fields);
  const places = [newZone, newPhase].flatMap((p) => (p ? [p.diff] : []));
  return {
    id: made?.id ?? old!.id,
    label: old ? `change modification ${title}` : `add modification ${title}`,
    diff: joinDiffs(...places, kept),
  };
}
