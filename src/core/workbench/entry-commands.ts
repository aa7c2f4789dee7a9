import {
  added,
  changed,
  EMPTY_DIFF,
  joinDiffs,
  removed,
  type Assembly,
  type Entry,
  type Pieces,
} from '../ledger';
import { asId, type AssemblyId, type EntryId, type ModificationId } from '../shared/ids';
import type { Command, Source } from '../ledger';
import type { LineReading } from './read-line';
import { byPlace, movedTo, placesAt } from './list-places';
import type { Workbench } from './workbench';

/** Logs what a line was read to say. Precondition: `reading.ready`. */
export function logLine(workbench: Workbench, reading: LineReading, line: string, source: Source): Command {
  const entries = reading.clauses.flatMap((c) => (c.entry ? [c.entry] : []));
  const assemblies = reading.clauses.flatMap((c): Assembly[] =>
    c.understood.status === 'assembly'
      ? [makeAssembly(workbench, c.understood.name, c.understood.lots, source)]
      : [],
  );
  const kept = entries.map((e) => ({ ...e, id: asId<EntryId>(source.newId()), loggedAt: source.now }));
  const named = assemblies.flatMap((a) => {
    const old = workbench.records.assembly.get(a.id);
    return old ? [changed('assembly', old, a)] : [added('assembly', a)];
  });
  return { label: `log ${line.trim()}`, diff: joinDiffs(added('entry', ...kept), ...named) };
}

function makeAssembly(workbench: Workbench, name: string, lots: readonly Pieces[], source: Source): Assembly {
  const old = [...workbench.records.assembly.values()].find(
    (a) => a.name.toLowerCase() === name.toLowerCase(),
  );
  return {
    id: old?.id ?? asId<AssemblyId>(source.newId()),
    build: workbench.build,
    name: name || 'assembly',
    lots,
  };
}

/** Puts a new entry in the place of an old one: same number, same place in the list. */
export function editEntry(old: Entry, reading: LineReading, source: Source): Command {
  const [first, ...more] = reading.clauses.flatMap((c) => (c.entry ? [c.entry] : []));
  if (!first) return { label: 'edit nothing', diff: EMPTY_DIFF };
  const { id, no, position, loggedAt, splitFrom, modification } = old;
  const whatIf = first.state === 'planned' ? old.whatIf : null;
  const replaced = changed('entry', old, {
    ...first,
    id,
    no,
    position,
    loggedAt,
    splitFrom,
    modification,
    whatIf,
  });
  const rest = more.map((e, i) => ({
    ...e,
    modification,
    id: asId<EntryId>(source.newId()),
    // Beside the entry it belongs to, and after it: its number is higher.
    position,
    loggedAt: source.now,
  }));
  return { label: `edit entry ${no}`, diff: joinDiffs(replaced, added('entry', ...rest)) };
}

export const deleteEntries = (entries: readonly Entry[]): Command => ({
  label: entries.length === 1 ? `delete entry ${entries[0]?.no}` : `delete ${entries.length} entries`,
  diff: removed('entry', ...entries),
});

/** Moves entries to a modification and a place in it, keeping their order. `before` null puts them last. */
export function moveEntries(
  workbench: Workbench,
  entries: readonly Entry[],
  modification: ModificationId,
  before: Entry | null,
): Command {
  const others = workbench.entries
    .filter((e) => e.modification === modification && !entries.some((m) => m.id === e.id))
    .sort(byPlace);
  const at = before ? others.findIndex((e) => e.id === before.id) : others.length;
  const { places, moved } = placesAt(others, at, entries.length);
  const diffs = entries.map((e, i) => changed('entry', e, { modification, position: places[i] }));
  return {
    label: `move ${entries.length === 1 ? `entry ${entries[0]?.no}` : `${entries.length} entries`}`,
    diff: joinDiffs(...diffs, movedTo('entry', moved)),
  };
}
