'use client';

import { createContext, useContext } from 'react';
import { createStore, useStore, type StoreApi } from 'zustand';
import { Workbench, type BuildSnapshot, type Command, type Source, type Turns } from '@/core/bench';
import { Books, conflictWith, invertDiff, type Entry, type View } from '@/core/ledger';
import {
  asId,
  type ActionId,
  type EntryId,
  type ModificationId,
  type WhatIfId,
  type ZoneId,
} from '@/core/shared/ids';
import { refusalWords } from '@/screens/words/refusal';
import type { Performed } from '@/server/perform';
import { fetchSnapshot, fetchSteps, sendAction, sendTurn, type Step } from './server-client';

export interface Notice {
  readonly text: string;
  readonly kind: 'said' | 'refused' | 'elsewhere';
}

/** Everything the bench shows. `version` grows with every change of the books, which are themselves mutable. */
export interface BenchState {
  readonly bench: Workbench;
  readonly version: number;
  readonly revision: number;
  readonly turns: Turns;
  readonly view: View;
  readonly zone: ZoneId | null;
  readonly selected: ModificationId | null;
  readonly marked: ReadonlySet<EntryId>;
  readonly editing: EntryId | null;
  readonly line: string;
  readonly logPlanned: boolean;
  readonly waiting: number;
  readonly notice: Notice | null;
  set: (change: Partial<BenchState>) => void;
  /** Shows a command at once and sends it; a refusal takes it back and says why. */
  perform: (command: Command) => void;
  turn: (direction: 'undo' | 'redo') => Promise<void>;
  catchUp: () => Promise<void>;
  selectWhatIf: (whatIf: WhatIfId | null) => void;
  source: () => Source;
}

export type BenchStore = StoreApi<BenchState>;

export const source = (): Source => ({ newId: () => crypto.randomUUID(), now: new Date().toISOString() });

export function makeBenchStore(snapshot: BuildSnapshot): BenchStore {
  const own = new Set<string>();
  let queue: Promise<void> = Promise.resolve();
  let stale = false;
  const store = createStore<BenchState>()((set, get) => ({
    bench: new Workbench(snapshot),
    version: 0,
    revision: snapshot.revision,
    turns: snapshot.turns,
    view: { kind: 'built' },
    zone: null,
    selected: firstSelection(snapshot),
    marked: new Set(),
    editing: null,
    line: '',
    logPlanned: false,
    waiting: 0,
    notice: null,
    set,
    source,
    perform: (command) => {
      const { bench } = get();
      // A key pressed twice, or a sheet left open over a change: what it would change is no longer as it was.
      const conflict = conflictWith(bench.records, command.diff);
      if (conflict)
        return set({ notice: { text: refusalWords({ refused: 'conflict', conflict }), kind: 'refused' } });
      bench.apply(command.diff);
      const id = crypto.randomUUID();
      own.add(id);
      set((s) => ({
        version: s.version + 1,
        waiting: s.waiting + 1,
        turns: { undo: command.label, redo: null },
        notice: null,
      }));
      queue = queue.then(async () => {
        const action = {
          id: asId<ActionId>(id),
          scope: bench.build,
          label: command.label.slice(0, 500),
          diff: command.diff,
        };
        const done = await sendAction(action, (text) => set({ notice: { text, kind: 'refused' } }));
        set((s) => ({ waiting: s.waiting - 1 }));
        if (!done.ok) await refuse(bench, command, done.reason);
        else await accepted(done.value);
        if (stale && get().waiting === 0) await reload();
      });
    },
    turn: async (direction) => {
      await queue;
      const id = crypto.randomUUID();
      own.add(id);
      const done = await sendTurn({ request: id, scope: get().bench.build, direction });
      const verb = direction === 'undo' ? 'Undone' : 'Done again';
      const notice: Notice = done.ok
        ? { text: `${verb}: ${done.value.label}`, kind: 'said' }
        : { text: refusalWords(done.reason, get().bench.records), kind: 'refused' };
      await reload();
      set({ notice, marked: new Set() });
    },
    catchUp: async () => {
      if (get().waiting > 0) return;
      const found = await fetchSteps(get().revision);
      if (!found || found.revision === get().revision || get().waiting > 0) return;
      await reload(found.steps);
    },
    selectWhatIf: (whatIf) => {
      const { bench } = get();
      const next = new Workbench({ ...emptySnapshot(snapshot, bench), revision: get().revision }, whatIf);
      set((s) => ({
        bench: next,
        version: s.version + 1,
        view: whatIf ? { kind: 'planned', whatIf } : s.view,
      }));
    },
  }));

  async function accepted(done: Performed): Promise<void> {
    const seen = store.getState().revision;
    const missed = done.revision > seen + 1;
    const steps = missed ? (await fetchSteps(seen))?.steps : undefined;
    store.setState({ revision: done.revision, notice: null });
    if (done.renumbered || missed) await reload(steps ?? []);
  }

  async function refuse(bench: Workbench, command: Command, reason: unknown): Promise<void> {
    const { records } = bench;
    try {
      bench.apply(invertDiff(command.diff));
    } catch {
      // A later command was built on this one: the fresh snapshot below puts all of it right.
    }
    await reload();
    store.setState({ notice: { text: refusalWords(reason, records), kind: 'refused' } });
  }

  /** Takes the books as the server has them, and says which of the steps came from elsewhere. */
  async function reload(steps: readonly Step[] = []): Promise<void> {
    const before = store.getState();
    const fresh = await fetchSnapshot(before.bench.build);
    if (!fresh) return;
    snapshot = fresh;
    stale = store.getState().waiting > 0;
    const others = steps.filter((s) => !own.has(s.request));
    const bench = new Workbench(fresh, before.bench.whatIf);
    store.setState((s) => ({
      bench,
      version: s.version + 1,
      revision: fresh.revision,
      turns: fresh.turns,
      selected: s.selected && bench.records.modification.has(s.selected) ? s.selected : firstSelection(fresh),
      marked: new Set([...s.marked].filter((id) => bench.records.entry.has(id))),
      editing: s.editing && bench.records.entry.has(s.editing) ? s.editing : null,
      notice: others.length > 0 ? { text: elsewhereWords(others), kind: 'elsewhere' } : s.notice,
    }));
  }
  return store;
}

const elsewhereWords = (steps: readonly Step[]): string => {
  const last = steps.slice(-3).map((s) => (s.direction === 'do' ? s.label : `${s.direction} of ${s.label}`));
  const more = steps.length > 3 ? ` and ${steps.length - 3} more` : '';
  return `Changed in another window: ${last.join('; ')}${more}.`;
};

/** The modification that is under way: begun and not finished, else the last one. */
function firstSelection(snapshot: BuildSnapshot): ModificationId | null {
  const mods = snapshot.records.flatMap((r) => (r.type === 'modification' ? [r.record] : []));
  const states = new Map<string, Set<string>>();
  for (const r of snapshot.records)
    if (r.type === 'entry' && r.record.modification && !r.record.whatIf)
      states.set(r.record.modification, (states.get(r.record.modification) ?? new Set()).add(r.record.state));
  const sorted = mods.sort((a, b) => a.position - b.position);
  return (sorted.find((m) => states.get(m.id)?.size === 2) ?? sorted.at(-1))?.id ?? null;
}

function emptySnapshot(snapshot: BuildSnapshot, bench: Workbench): BuildSnapshot {
  return { ...snapshot, records: bench.recordList() };
}

export const BenchContext = createContext<BenchStore | null>(null);

export function useBench<T>(pick: (state: BenchState) => T): T {
  const store = useContext(BenchContext);
  if (!store) throw new Error('useBench is for the parts of the bench');
  return useStore(store, pick);
}

const asOfBooks = new WeakMap<Workbench, Map<string, Books>>();

/** The books in the view that is chosen. "As of entry N" is opened anew for each version, and kept for it. */
export function booksInView(state: Pick<BenchState, 'bench' | 'view' | 'version'>): Books {
  const { bench, view, version } = state;
  if (view.kind === 'built') return bench.built;
  if (view.kind === 'planned') return bench.planned;
  const held = asOfBooks.get(bench) ?? new Map<string, Books>();
  asOfBooks.set(bench, held);
  const key = `${version} ${view.no}`;
  const known = held.get(key) ?? bench.open(view);
  held.clear();
  held.set(key, known);
  return known;
}

/** Entries of a modification in worklog order; what-ifs apart unless the bench shows one. */
export function entriesOf(bench: Workbench, modification: ModificationId): Entry[] {
  return bench.entries
    .filter((e) => e.modification === modification && (e.whatIf === null || e.whatIf === bench.whatIf))
    .sort((a, b) => a.position - b.position);
}
