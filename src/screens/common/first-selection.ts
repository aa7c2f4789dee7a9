import type { BuildSnapshot } from '@/core/workbench';
import type { ModificationId } from '@/core/shared/ids';

/** The modification that is under way: begun and not finished, else the last one. */
export function firstSelection(snapshot: BuildSnapshot): ModificationId | null {
  const mods = snapshot.records.flatMap((r) => (r.type === 'modification' ? [r.record] : []));
  const states = new Map<string, Set<string>>();
  for (const r of snapshot.records)
    if (r.type === 'entry' && r.record.modification && !r.record.whatIf)
      states.set(r.record.modification, (states.get(r.record.modification) ?? new Set()).add(r.record.state));
  const sorted = mods.sort((a, b) => a.position - b.position);
  return (sorted.find((m) => states.get(m.id)?.size === 2) ?? sorted.at(-1))?.id ?? null;
}
