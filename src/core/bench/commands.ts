import {
  added,
  changed,
  draftEntry,
  EMPTY_DIFF,
  intentOf,
  joinDiffs,
  orderAccount,
  placeOf,
  removed,
  splitEntry,
  stepsOf,
  type Assembly,
  type Diff,
  type DraftProblem,
  type Entry,
  type Modification,
  type Order,
  type Pieces,
  type WhatIf,
  type Zone,
} from '../ledger';
import {
  asId,
  type AssemblyId,
  type EntryId,
  type IdSource,
  type ModificationId,
  type OrderId,
  type WhatIfId,
  type ZoneId,
} from '../shared/ids';
import { fail, ok, type Result } from '../shared/result';
import type { LineReading } from './read-line';
import type { Workbench } from './workbench';

/** A command: what it is called in the undo list, and the diff that does it. */
export interface Command {
  readonly label: string;
  readonly diff: Diff;
}

/** Where ids and the time come from. */
export interface Source {
  readonly newId: IdSource;
  readonly now: string;
}

/** Logs what a line was read to say. Precondition: `reading.ready`. */
export function logLine(bench: Workbench, reading: LineReading, line: string, source: Source): Command {
  const entries = reading.clauses.flatMap((c) => (c.entry ? [c.entry] : []));
  const assemblies = reading.clauses.flatMap((c): Assembly[] =>
    c.understood.status === 'assembly'
      ? [makeAssembly(bench, c.understood.name, c.understood.lots, source)]
      : [],
  );
  const kept = entries.map((e) => ({ ...e, id: asId<EntryId>(source.newId()), loggedAt: source.now }));
  const named = assemblies.flatMap((a) => {
    const old = bench.records.assembly.get(a.id);
    return old ? [changed('assembly', old, a)] : [added('assembly', a)];
  });
  return { label: `log ${line.trim()}`, diff: joinDiffs(added('entry', ...kept), ...named) };
}

function makeAssembly(bench: Workbench, name: string, lots: readonly Pieces[], source: Source): Assembly {
  const old = [...bench.records.assembly.values()].find((a) => a.name.toLowerCase() === name.toLowerCase());
  return {
    id: old?.id ?? asId<AssemblyId>(source.newId()),
    build: bench.build,
    name: name || 'assembly',
    lots,
  };
}

/** Puts a new entry in the place of an old one: same number, same place in the list. */
export function editEntry(old: Entry, reading: LineReading, source: Source): Command {
  const [first, ...more] = reading.clauses.flatMap((c) => (c.entry ? [c.entry] : []));
  if (!first) return { label: 'edit nothing', diff: EMPTY_DIFF };
  const { id, no, position, loggedAt, line, modification } = old;
  const whatIf = first.state === 'planned' ? old.whatIf : null;
  const replaced = changed('entry', old, {
    ...first,
    id,
    no,
    position,
    loggedAt,
    line,
    modification,
    whatIf,
  });
  const rest = more.map((e, i) => ({
    ...e,
    modification,
    id: asId<EntryId>(source.newId()),
    position: position + (i + 1) / 1000,
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
  bench: Workbench,
  entries: readonly Entry[],
  modification: ModificationId,
  before: Entry | null,
): Command {
  const others = bench.entries
    .filter((e) => e.modification === modification && !entries.some((m) => m.id === e.id))
    .sort((a, b) => a.position - b.position);
  const at = before ? others.findIndex((e) => e.id === before.id) : others.length;
  const low = others[at - 1]?.position ?? (others[at]?.position ?? 1) - 1;
  const high = others[at]?.position ?? low + entries.length + 1;
  const step = (high - low) / (entries.length + 1);
  const diffs = entries.map((e, i) => changed('entry', e, { modification, position: low + step * (i + 1) }));
  return {
    label: `move ${entries.length === 1 ? `entry ${entries[0]?.no}` : `${entries.length} entries`}`,
    diff: joinDiffs(...diffs),
  };
}

/**
 * Turns planned entries into done ones: `steps` of one entry's `stepsOf`, or all. What was to be bought or overdrawn
 * is drafted again, from what is at hand by now.
 */
export function markDone(
  bench: Workbench,
  entries: readonly Entry[],
  source: Source,
  steps?: number,
): Result<Command, DraftProblem> {
  const diffs: Diff[] = [];
  const posted: Entry[] = [];
  let problem: DraftProblem | null = null;
  for (const entry of entries.filter((e) => e.state === 'planned')) {
    const part = steps !== undefined && steps < stepsOf(entry);
    const [now, rest] = part ? splitEntry(entry, steps, asId<EntryId>(source.newId())) : [entry, null];
    const done = drafted(bench, now);
    if (!done.ok) {
      problem = done.reason;
      break;
    }
    diffs.push(changed('entry', entry, done.value));
    if (rest)
      diffs.push(
        added('entry', { ...rest, no: bench.nextEntry(null).no, position: justAfter(bench, entry) }),
      );
    bench.built.post(done.value);
    posted.push(done.value);
  }
  posted.forEach((e) => bench.built.unpost(e));
  if (problem) return fail(problem);
  const label = entries.length === 1 ? `place entry ${entries[0]?.no}` : `place ${entries.length} entries`;
  return ok({ label, diff: joinDiffs(...diffs) });
}

/** A place between an entry and the one after it. */
function justAfter(bench: Workbench, entry: Entry): number {
  const later = bench.entries
    .filter((e) => e.modification === entry.modification && e.position > entry.position)
    .map((e) => e.position);
  return later.length > 0 ? (entry.position + Math.min(...later)) / 2 : entry.position + 1;
}

function drafted(bench: Workbench, entry: Entry): Result<Entry, DraftProblem> {
  const modification = entry.modification ? bench.records.modification.get(entry.modification) : undefined;
  const intent = intentOf(entry);
  const asIs = { ...entry, state: 'done' as const, whatIf: null };
  const buys = entry.movements.some((m) => placeOf(m.from) === 'outside');
  if (!intent || !modification || (!buys && isCovered(bench, entry))) return ok(asIs);
  const price =
    intent.price !== null &&
    intent.price !== bench.priceOf(intent.on[0]?.element ?? ('' as never), 'new' as never)
      ? intent.price
      : null;
  const free = { ...intent, planned: false, source: buys && price === null ? null : intent.source, price };
  const made = draftEntry(free, { ...entry, modification }, bench.draftContext());
  return made.ok ? ok({ ...asIs, movements: made.value.movements }) : made;
}

/** True when every piece is where the plan took it from. */
function isCovered(bench: Workbench, entry: Entry): boolean {
  const wanted = new Map<string, number>();
  return entry.movements.every((m) => {
    const key = `${m.from}|${m.element}|${m.grade}`;
    const sum = (wanted.get(key) ?? 0) + m.qty;
    wanted.set(key, sum);
    return placeOf(m.from) === 'outside' || bench.built.balances.at(m.from, m.element, m.grade) >= sum;
  });
}

/** Pieces that planned entries are still to be bought for: planned, and from outside. */
export const toBuy = (entries: readonly Entry[]): Entry[] =>
  entries.filter((e) => e.state === 'planned' && e.movements.some((m) => placeOf(m.from) === 'outside'));

/**
 * Places an order for what some planned entries are to buy: the money is spent now, the pieces wait at the order, and
 * the plans take them from there. One order entry for each modification, so that each carries its own cost.
 */
export function placeOrder(
  bench: Workbench,
  entries: readonly Entry[],
  parcel: { seller: string; postage: number; due: string },
  source: Source,
): Command {
  const id = asId<OrderId>(source.newId());
  const at = orderAccount(id);
  const order: Order = { id, build: bench.build, ...parcel, placedAt: source.now };
  let no = bench.nextEntry(null).no;
  const buying = toBuy(entries);
  const bought = [...new Set(buying.map((e) => e.modification))].map((modification): Entry => {
    const movements = buying
      .filter((e) => e.modification === modification)
      .flatMap((e) =>
        e.movements.filter((m) => placeOf(m.from) === 'outside').map((m) => ({ ...m, to: at })),
      );
    return {
      ...ORDER_ENTRY,
      id: asId<EntryId>(source.newId()),
      build: bench.build,
      modification,
      no: no++,
      order: id,
      note: parcel.seller,
      loggedAt: source.now,
      movements,
    };
  });
  const planned = buying.map((e) =>
    changed('entry', e, {
      order: id,
      movements: e.movements.map((m) => (placeOf(m.from) === 'outside' ? { ...m, from: at } : m)),
    }),
  );
  return {
    label: `order from ${parcel.seller}`,
    diff: joinDiffs(added('order', order), added('entry', ...bought), ...planned),
  };
}

const ORDER_ENTRY: Omit<Entry, 'id' | 'build' | 'modification' | 'no' | 'order' | 'loggedAt' | 'movements'> =
  {
    kind: 'order',
    state: 'done',
    position: 0,
    why: null,
    note: '',
    hidden: false,
    standsFor: null,
    whatIf: null,
    assembly: null,
    line: null,
  };

/** Turns done entries back into planned ones. */
export const markPlanned = (entries: readonly Entry[]): Command => ({
  label: entries.length === 1 ? `plan entry ${entries[0]?.no}` : `plan ${entries.length} entries`,
  diff: joinDiffs(
    ...entries.filter((e) => e.state === 'done').map((e) => changed('entry', e, { state: 'planned' })),
  ),
});

export function addModification(
  bench: Workbench,
  title: string,
  zone: ZoneId,
  source: Source,
): Command & { id: ModificationId } {
  const all = bench.modifications;
  const id = asId<ModificationId>(source.newId());
  const modification: Modification = {
    id,
    build: bench.build,
    no: all.reduce((n, m) => Math.max(n, m.no), 0) + 1,
    title,
    zone,
    phase: null,
    why: '',
    note: '',
    position: all.reduce((n, m) => Math.max(n, m.position), 0) + 1,
  };
  return { id, label: `add modification ${title}`, diff: added('modification', modification) };
}

/** Removes a modification with all its entries. */
export function deleteModification(bench: Workbench, modification: Modification): Command {
  const entries = bench.entries.filter((e) => e.modification === modification.id);
  const diff = joinDiffs(removed('entry', ...entries), removed('modification', modification));
  return { label: `delete modification ${modification.title}`, diff };
}

/** Puts a modification before another, or last. */
export function moveModification(
  bench: Workbench,
  modification: Modification,
  before: Modification | null,
): Command {
  const others = bench.modifications.filter((m) => m.id !== modification.id);
  const at = before ? others.findIndex((m) => m.id === before.id) : others.length;
  const low = others[at - 1]?.position ?? (others[at]?.position ?? 1) - 1;
  const high = others[at]?.position ?? low + 2;
  return {
    label: `move modification ${modification.title}`,
    diff: changed('modification', modification, { position: (low + high) / 2 }),
  };
}

export function addZone(
  bench: Workbench,
  name: string,
  parent: ZoneId,
  source: Source,
): Command & { id: ZoneId } {
  const id = asId<ZoneId>(source.newId());
  const position = bench.zones.reduce((n, z) => Math.max(n, z.position), 0) + 1;
  const zone: Zone = { id, build: bench.build, parent, name, position };
  return { id, label: `add zone ${name}`, diff: added('zone', zone) };
}

/** Puts a what-if's entries into the plan, and the list away. */
export function adoptWhatIf(bench: Workbench, whatIf: WhatIf): Command {
  const entries = ofWhatIf(bench, whatIf.id);
  const diff = joinDiffs(
    ...entries.map((e) => changed('entry', e, { whatIf: null })),
    removed('whatIf', whatIf),
  );
  return { label: `adopt ${whatIf.name}`, diff };
}

/** Drops a what-if with all its entries. */
export function dropWhatIf(bench: Workbench, whatIf: WhatIf): Command {
  const diff = joinDiffs(removed('entry', ...ofWhatIf(bench, whatIf.id)), removed('whatIf', whatIf));
  return { label: `drop ${whatIf.name}`, diff };
}

const ofWhatIf = (bench: Workbench, id: WhatIfId): Entry[] => bench.entries.filter((e) => e.whatIf === id);
