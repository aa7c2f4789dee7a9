import type { Entry, Modification } from '@/core/ledger';
import type { BuildSnapshot } from '@/core/workbench';
import type { ModificationId } from '@/core/shared/ids';

/** The modification that is under way: begun and not finished, else the last one. */
export function firstSelection(snapshot: BuildSnapshot): ModificationId | null {
  const mods: Modification[] = [];
  const states = new Map<ModificationId, Set<Entry['state']>>();
  for (const { type, record } of snapshot.records) {
    if (type === 'modification') mods.push(record);
    if (type !== 'entry' || !record.modification || record.whatIf) continue;
    const known = states.get(record.modification);
    if (known) known.add(record.state);
    else states.set(record.modification, new Set([record.state]));
  }
  const sorted = mods.sort((a, b) => a.position - b.position);
  return (sorted.find((m) => states.get(m.id)?.size === 2) ?? sorted.at(-1))?.id ?? null;
}
