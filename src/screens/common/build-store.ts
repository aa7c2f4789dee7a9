'use client';

import { createContext, useContext } from 'react';
import { createStore, useStore, type StoreApi } from 'zustand';
import { Workbench, type BuildSnapshot, type UndoRedo } from '@/core/workbench';
import type { Command, Source } from '@/core/ledger';
import { Books, conflictWith, type Entry, type View } from '@/core/ledger';
import {
  asId,
  type ActionId,
  type EntryId,
  type ModificationId,
  type WhatIfId,
  type ZoneId,
} from '@/core/shared/ids';
import { cutText } from '@/core/shared/text';
import { leftWords, outcomeWords, refusalWords } from '@/screens/words/refusal';
import { BuildSync } from './build-sync';
import type { Steps } from '../sending/feed-client';
import { firstSelection } from './first-selection';
import type { Outbox, Outcome, Wish } from '../sending/outbox';
import { windowOutbox } from '../sending/window-outbox';

export interface Notice {
  readonly text: string;
  readonly kind: 'said' | 'waits' | 'refused' | 'elsewhere' | 'done';
  /** What failed, to be tried again by one press. */
  readonly again?: Command;
  /** The action that is undone by one press. */
  readonly undo?: ActionId;
}

/** Everything the bench shows. `version` grows with every change of the books, which are themselves mutable. */
export interface BuildState {
  readonly workbench: Workbench;
  readonly version: number;
  /** The step up to which the books are those of the server; what this window has not sent yet lies on top. */
  readonly revision: number;
  readonly undoRedo: UndoRedo;
  readonly view: View;
  readonly zone: ZoneId | null;
  readonly selected: ModificationId | null;
  /** An entry that was asked for by itself: its row comes into sight, and stands in the address. */
  readonly shownEntry: EntryId | null;
  readonly marked: ReadonlySet<EntryId>;
  /** The row marked last: Shift marks all from there. */
  readonly markedFrom: EntryId | null;
  readonly editing: EntryId | null;
  readonly line: string;
  readonly logPlanned: boolean;
  readonly waiting: number;
  readonly notice: Notice | null;
  set: (change: Partial<BuildState>) => void;
  /** Shows a command at once and sends it; what is refused or fails is taken back, and it is said why. */
  perform: (command: Command) => void;
  undoOrRedo: (direction: 'undo' | 'redo') => Promise<void>;
  /** Asks for what the whole workspace knows and has, if that is not here yet; done when it is. */
  learn: () => Promise<void>;
  /** Takes in what happened elsewhere. */
  takeSteps: (steps: Steps) => Promise<void>;
  /** Shows what a window that is gone had logged in this build and not sent, until it is answered. */
  showLeft: (wish: Wish, outcome: Promise<Outcome>) => void;
  /** Tells what came of what a window that is gone had left unsent. */
  tellLeft: (outcomes: readonly Outcome[]) => void;
  selectWhatIf: (whatIf: WhatIfId | null) => void;
  source: () => Source;
}

export type BuildStore = StoreApi<BuildState>;

export const source = (): Source => ({ newId: () => crypto.randomUUID(), now: new Date().toISOString() });

/** What happened elsewhere stays to be read while one works on; what was said of one's own work does not. */
const kept = (notice: Notice | null): Notice | null => (notice?.kind === 'elsewhere' ? notice : null);

/** Whatever was done can be undone from the notice that says so. */
const done = (undo: ActionId, label: string): Notice => ({ kind: 'done', text: `Done: ${label}.`, undo });

const VERBS = { undo: 'Undone', redo: 'Done again' } as const;

/** What a build's screens share, of its snapshot; `workbench` are its books where they are open already. */
export function makeBuildStore(
  snapshot: BuildSnapshot,
  outbox: Outbox = windowOutbox(),
  workbench = new Workbench(snapshot),
): BuildStore {
  let turning: Promise<void> = Promise.resolve();
  const store: BuildStore = createStore<BuildState>()((set, get) => ({
    workbench,
    version: 0,
    revision: snapshot.revision,
    undoRedo: snapshot.undoRedo,
    view: { kind: 'built' },
    zone: null,
    selected: firstSelection(snapshot),
    shownEntry: null,
    marked: new Set(),
    markedFrom: null,
    editing: null,
    line: '',
    logPlanned: false,
    waiting: 0,
    notice: null,
    set,
    source,
    perform: (command) => {
      const { workbench } = get();
      // A key pressed twice, or a sheet left open over a change: what it would change is no longer as it was.
      const conflict = conflictWith(workbench.records, command.diff);
      if (conflict)
        return set({ notice: { text: refusalWords({ refused: 'conflict', conflict }), kind: 'refused' } });
      const id = asId<ActionId>(crypto.randomUUID());
      const label = cutText(command.label, 500);
      sync.show(id, command.diff);
      set((s) => ({
        waiting: s.waiting + 1,
        undoRedo: { undo: { id, label }, redo: null },
        notice: kept(s.notice) ?? done(id, label),
      }));
      const action = { id, scope: workbench.build, label, diff: command.diff };
      void outbox.add({ kind: 'action', action }).then(async (outcome) => {
        set((s) => ({ waiting: s.waiting - 1 }));
        if (outcome.how === 'done') return sync.accept(id, outcome.value);
        const text = outcomeWords(outcome, get().workbench.records);
        await sync.takeBack(id);
        const again = outcome.how === 'failed' ? { again: command } : {};
        set({ notice: { text, kind: 'refused', ...again } });
      });
    },
    undoOrRedo: (direction) => (turning = turning.then(() => undoNow(direction))),
    learn: () => sync.learn(),
    takeSteps: (steps) => sync.takeSteps(steps),
    showLeft: (wish, outcome) => {
      if (wish.kind !== 'action' || wish.action.scope !== get().workbench.build) return;
      const { id, diff } = wish.action;
      // It had arrived after all, and only its answer was lost: the books have it.
      if (conflictWith(get().workbench.records, diff)) return;
      sync.show(id, diff);
      set((s) => ({ waiting: s.waiting + 1 }));
      void outcome.then(async (came) => {
        set((s) => ({ waiting: s.waiting - 1 }));
        await (came.how === 'done' ? sync.accept(id, came.value) : sync.takeBack(id));
      });
    },
    tellLeft: (outcomes) => {
      if (outcomes.length > 0) sync.say(leftWords(outcomes));
    },
    selectWhatIf: (whatIf) => {
      sync.openWith(whatIf);
      set((s) => ({ view: whatIf ? { kind: 'planned', whatIf } : s.view }));
    },
  }));
  /** One after another, each naming what the button says when its turn has come. */
  const undoNow = async (direction: 'undo' | 'redo'): Promise<void> => {
    const { getState: get, setState: set } = store;
    const target = get().undoRedo[direction];
    if (!target) {
      const nothing = refusalWords({ refused: 'nothing to undo', direction });
      return set({ notice: { text: nothing, kind: 'refused' } });
    }
    const request = crypto.randomUUID();
    const scope = get().workbench.build;
    set((s) => ({ waiting: s.waiting + 1 }));
    sync.own(request);
    const outcome = await outbox.add({ kind: 'undo', request, scope, direction, action: target.id });
    set((s) => ({ waiting: s.waiting - 1 }));
    const isDone = outcome.how === 'done';
    // The books change and say so in one go: a line that comes a moment later would move what is being pressed.
    const turned = isDone ? sync.sendUndo(outcome.value) : sync.reload();
    if (!isDone) await turned;
    const text = isDone
      ? `${VERBS[direction]}: ${outcome.value.label}`
      : outcomeWords(outcome, get().workbench.records);
    set({ notice: { text, kind: isDone ? 'said' : 'refused' }, marked: new Set() });
    await turned;
  };
  const sync: BuildSync = new BuildSync(snapshot, {
    get: store.getState,
    set: (change) => store.setState(change),
  });
  return store;
}

export const BuildContext = createContext<BuildStore | null>(null);

export function useBuildStore(): BuildStore {
  const store = useContext(BuildContext);
  if (!store) throw new Error('useBuildStore is for the parts of the bench');
  return store;
}

export function useBuild<T>(pick: (state: BuildState) => T): T {
  return useStore(useBuildStore(), pick);
}

const asOfBooks = new WeakMap<Workbench, Map<string, Books>>();

/** The books in the view that is chosen. "As of entry N" is opened anew for each version, and kept for it. */
export function booksInView(state: Pick<BuildState, 'workbench' | 'view' | 'version'>): Books {
  const { workbench, view, version } = state;
  if (view.kind === 'built') return workbench.built;
  if (view.kind === 'planned') return workbench.planned;
  const held = asOfBooks.get(workbench) ?? new Map<string, Books>();
  asOfBooks.set(workbench, held);
  const key = `${version} ${view.no}`;
  const known = held.get(key) ?? workbench.open(view);
  held.clear();
  held.set(key, known);
  return known;
}

/** Entries of a modification in worklog order; what-ifs apart unless the bench shows one. */
export function entriesOf(workbench: Workbench, modification: ModificationId): Entry[] {
  return workbench.entriesIn(modification).filter((e) => e.whatIf === null || e.whatIf === workbench.whatIf);
}
