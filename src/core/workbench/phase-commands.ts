import { added, changed, removed, type Command, type Phase, type Source } from '../ledger';
import { asId, type PhaseId } from '../shared/ids';
import type { Workbench } from './workbench';

/** The phases of a build in their order. */
export const phasesOf = (workbench: Workbench): Phase[] =>
  [...workbench.records.phase.values()].sort((a, b) => a.position - b.position);

/** Adds a phase as the last. */
export function addPhase(workbench: Workbench, name: string, source: Source): Command & { id: PhaseId } {
  const id = asId<PhaseId>(source.newId());
  const position = (phasesOf(workbench).at(-1)?.position ?? 0) + 1;
  return {
    id,
    label: `add phase ${name}`,
    diff: added('phase', { id, build: workbench.build, name, position }),
  };
}

export const renamePhase = (phase: Phase, name: string): Command => ({
  label: `rename phase ${phase.name}`,
  diff: changed('phase', phase, { name }),
});

export const deletePhase = (phase: Phase): Command => ({
  label: `delete phase ${phase.name}`,
  diff: removed('phase', phase),
});
