import { joinDiffs, removed, written, type Command } from '../ledger';
import { LIMITS } from '../shared/bounds';
import { cutText } from '../shared/text';
import { placeOf } from '../places';
import type { Entry } from '../records';
import type { ElementKey } from '../parts';
import type { EntryId } from '../shared/ids';
import { piecesOn, type Workbench } from '../workbench';
import type { PoolWant } from './pool';

/**
 * Says what one would have used for the pieces that entries put on, were there no limit; null takes it back. However many entries,
 * it is one act.
 */
export function sayIdeal(
  workbench: Workbench,
  entries: readonly Entry[],
  element: ElementKey | null,
): Command {
  const diffs = entries.map((entry) => {
    const old = workbench.records.idealPart.get(entry.id);
    if (!element) return old ? removed('idealPart', old) : removed('idealPart');
    const now = { id: entry.id, entry: entry.id, build: workbench.build, element };
    return written('idealPart', old, now);
  });
  const which = `${entries.length === 1 ? 'entry' : 'entries'} ${entries.map((e) => e.no).join(', ')}`;
  const label = `${which}: ${element ? 'what one would have used' : 'as it is used'}`;
  return { label: cutText(label, LIMITS.label), diff: joinDiffs(...diffs) };
}

/** Pieces that stand for others: what is used, what one would have used, and whether it is a placeholder or a choice. */
export interface StandsFor {
  readonly used: ElementKey;
  readonly ideal: ElementKey;
  readonly qty: number;
  readonly why: 'placeholder' | 'choice';
  readonly entries: readonly EntryId[];
}

/** The parts of a mod twice: as they are used, and as one would have them. Pieces of the model as planned. */
export interface TwoLists {
  readonly used: readonly PoolWant[];
  readonly ideal: readonly PoolWant[];
  readonly instead: readonly StandsFor[];
}

/**
 * Two lists for one mod: what the model has as planned, and the same with the parts that one would use in place of
 * placeholders and of what was taken because nothing better was in the boxes. Of what has been taken off again nothing stands
 * for anything.
 *
 * @example twoLists(workbench).instead // [{ used: 'brick 1x2|rust', ideal: 'brick 1x2|brick', qty: 4, … }]
 */
export function twoLists(workbench: Workbench): TwoLists {
  const used = piecesOn(workbench, workbench.planned);
  const ideal = new Map(used);
  const instead: StandsFor[] = [];
  for (const s of allThatStand(workbench)) {
    const qty = Math.min(s.qty, ideal.get(s.used) ?? 0, used.get(s.used) ?? 0);
    if (qty <= 0) continue;
    ideal.set(s.used, ideal.get(s.used)! - qty);
    ideal.set(s.ideal, (ideal.get(s.ideal) ?? 0) + qty);
    instead.push({ ...s, qty });
  }
  return { used: listOf(used), ideal: listOf(ideal), instead };
}

const listOf = (sums: ReadonlyMap<ElementKey, number>): PoolWant[] =>
  [...sums].flatMap(([element, qty]) => (qty > 0 ? [{ element, qty }] : []));

/** Entries that put on what stands for something, joined by what for what; the last logged first, as that is what is there. */
function allThatStand(workbench: Workbench): StandsFor[] {
  const { idealPart } = workbench.records;
  const found = new Map<string, StandsFor>();
  for (const e of [...workbench.entries].sort((a, b) => b.no - a.no)) {
    if (e.whatIf !== null && e.whatIf !== workbench.whatIf) continue;
    const said = idealPart.get(e.id)?.element;
    const ideal = said ?? (e.kind === 'placeholder' ? e.standsFor : null);
    if (!ideal) continue;
    for (const m of e.movements) {
      if (placeOf(m.to) !== 'model' || placeOf(m.from) === 'model' || m.element === ideal) continue;
      const why = said ? 'choice' : 'placeholder';
      const key = `${m.element} ${ideal} ${why}`;
      const old = found.get(key);
      found.set(key, {
        ...{ used: m.element, ideal, why },
        qty: (old?.qty ?? 0) + m.qty,
        entries: [...(old?.entries ?? []), e.id],
      });
    }
  }
  return [...found.values()];
}
