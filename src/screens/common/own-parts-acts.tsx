'use client';

import { Redo2, Undo2 } from 'lucide-react';
import { useMemo, useState } from 'react';
import { paletteOf, recordSetOf, type UndoRedo } from '@/core/workbench';
import type { Command } from '@/core/ledger';
import { STOCK_SCOPE } from '@/core/ledger';
import { asId, type ActionId } from '@/core/shared/ids';
import type { StockSnapshot } from '@/server/snapshot';
import { Button } from '@/ui/button';
import { DoneToast } from '@/ui/done-toast';
import { cutText } from '@/core/shared/text';
import { useStore } from 'zustand';
import { createStore } from 'zustand/vanilla';
import { useFollow } from './use-follow';
import { useRefresh } from './use-in-address';
import { useCommands } from '../commands/use-commands';
import type { Wish } from '../sending/outbox';
import { outboxState, windowOutbox } from '../sending/window-outbox';
import { outcomeWords, unreachedWords } from '../words/refusal';

/** What was done last. It outlasts the page, which is made anew where its address has changed since it was fetched. */
const lastDone = createStore<{ readonly done: UndoRedo['undo'] }>()(() => ({ done: null }));
const setDone = (done: UndoRedo['undo']): void => lastDone.setState({ done });
const dismiss = (): void => setDone(null);

/** The colours that the workspace's parts are drawn in. */
export function useOwnPartsPalette({ customColours }: StockSnapshot) {
  return useMemo(
    () => paletteOf(recordSetOf(customColours.map((record) => ({ type: 'customColour', record })))),
    [customColours],
  );
}

/**
 * Doing and undoing what belongs to own parts: sends, says what came of it, and shows the books as they are then, also
 * when another window changed them.
 */
export function useOwnPartsActs(
  { revision, undoRedo }: Pick<StockSnapshot, 'revision' | 'undoRedo'>,
  scope: string = STOCK_SCOPE,
) {
  const refresh = useRefresh();
  const [says, setSays] = useState('');
  const done = useStore(lastDone, (s) => s.done);
  const { waiting, unreached } = useStore(outboxState);
  useFollow(revision);
  const send = async (wish: Wish, done: (label: string) => string) => {
    const outcome = await windowOutbox().add(wish);
    setSays(outcome.how === 'done' ? done(outcome.value.label) : outcomeWords(outcome));
    refresh();
    return outcome.how === 'done';
  };
  const perform = ({ label, diff }: Command) => {
    const id = asId<ActionId>(crypto.randomUUID());
    const action = { id, scope, label: cutText(label, 500), diff };
    void send({ kind: 'action', action }, () => '').then((kept) => setDone(kept ? action : null));
  };
  const undoOrRedo = async (direction: 'undo' | 'redo') => {
    const target = undoRedo[direction];
    if (!target) return;
    setDone(null);
    const request = crypto.randomUUID();
    await send(
      { kind: 'undo', request, scope, direction, action: target.id },
      (label) => `${direction === 'undo' ? 'Undone' : 'Done again'}: ${label}`,
    );
  };
  useCommands([
    { name: 'Undo', key: 'ctrl+z', run: () => void undoOrRedo('undo') },
    { name: 'Redo', key: 'ctrl+shift+z', run: () => void undoOrRedo('redo') },
    { name: 'Redo', key: 'ctrl+y', run: () => void undoOrRedo('redo') },
  ]);
  return {
    says: unreached ? unreachedWords(unreached, waiting) : says,
    perform,
    undoOrRedo,
    /** What was done last, until it is undone or dismissed. */
    done,
    dismiss,
  };
}

export type OwnPartsActs = ReturnType<typeof useOwnPartsActs>;

export function UndoButtons({
  undoRedo,
  acts: { undoOrRedo, done, dismiss },
}: {
  undoRedo: UndoRedo;
  acts: Pick<OwnPartsActs, 'undoOrRedo' | 'done' | 'dismiss'>;
}) {
  return (
    <>
      <Button
        disabled={!undoRedo.undo}
        onClick={() => void undoOrRedo('undo')}
        aria-label={undoRedo.undo ? `Undo: ${undoRedo.undo.label}` : 'Nothing to undo'}
      >
        <Undo2 size={14} aria-hidden /> Undo
      </Button>
      <Button
        disabled={!undoRedo.redo}
        onClick={() => void undoOrRedo('redo')}
        aria-label={undoRedo.redo ? `Redo: ${undoRedo.redo.label}` : 'Nothing to redo'}
      >
        <Redo2 size={14} aria-hidden /> Redo
      </Button>
      <span role="status">
        {done && (
          <DoneToast
            text={`Done: ${done.label}.`}
            onUndo={done.id === undoRedo.undo?.id ? () => void undoOrRedo('undo') : undefined}
            onGone={dismiss}
          />
        )}
      </span>
    </>
  );
}
