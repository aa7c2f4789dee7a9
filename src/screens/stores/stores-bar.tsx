'use client';

import { Redo2, Undo2 } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useRef, useState } from 'react';
import { paletteOf, recordSetOf, type Command, type Turns } from '@/core/bench';
import { STORES_SCOPE, type Diff } from '@/core/ledger';
import { asId, type ActionId } from '@/core/shared/ids';
import type { StoresSnapshot } from '@/server/snapshot';
import { Button } from '@/ui/button';
import { cutText } from '@/core/shared/text';
import { useStore } from 'zustand';
import { followSteps } from '../common/feed-client';
import type { Wish } from '../common/outbox';
import { outboxState, windowOutbox } from '../common/window-outbox';
import { outcomeWords, unreachedWords } from '../words/refusal';

/** The colours that the workspace's parts are drawn in. */
export function useStoresPalette({ customColours }: StoresSnapshot) {
  return useMemo(
    () => paletteOf(recordSetOf(customColours.map((record) => ({ type: 'customColour', record })))),
    [customColours],
  );
}

/**
 * Doing and undoing what belongs to the own parts: sends, says what came of it, and shows the books as they are then, also
 * when another window changed them.
 */
export function useStoresActs({ revision, turns }: Pick<StoresSnapshot, 'revision' | 'turns'>) {
  const router = useRouter();
  const [says, setSays] = useState('');
  const { waiting, unreached } = useStore(outboxState);
  const seen = useRef(revision);
  useEffect(() => {
    seen.current = revision;
  }, [revision]);
  useEffect(
    () =>
      followSteps(
        () => seen.current,
        (steps) => steps.revision !== seen.current && router.refresh(),
      ),
    [router],
  );
  const send = async (wish: Wish, done: (label: string) => string) => {
    const outcome = await windowOutbox().add(wish);
    setSays(outcome.how === 'done' ? done(outcome.value.label) : outcomeWords(outcome));
    router.refresh();
  };
  const perform = (label: string, diff: Diff) => {
    const action = { id: asId<ActionId>(crypto.randomUUID()), scope: STORES_SCOPE, label, diff };
    return send({ kind: 'action', action }, () => '');
  };
  const turn = async (direction: 'undo' | 'redo') => {
    const target = turns[direction];
    if (!target) return;
    const request = crypto.randomUUID();
    await send(
      { kind: 'turn', request, scope: STORES_SCOPE, direction, action: target.id },
      (label) => `${direction === 'undo' ? 'Undone' : 'Done again'}: ${label}`,
    );
  };
  return {
    says: unreached ? unreachedWords(unreached, waiting) : says,
    perform,
    turn,
    command: ({ label, diff }: Command) => void perform(cutText(label, 500), diff),
  };
}

export type StoresActs = ReturnType<typeof useStoresActs>;

export function TurnButtons({
  turns,
  turn,
}: {
  turns: Turns;
  turn: (direction: 'undo' | 'redo') => Promise<void>;
}) {
  return (
    <>
      <Button
        disabled={!turns.undo}
        onClick={() => void turn('undo')}
        aria-label={turns.undo ? `Undo: ${turns.undo.label}` : 'Nothing to undo'}
      >
        <Undo2 size={14} aria-hidden /> Undo
      </Button>
      <Button
        disabled={!turns.redo}
        onClick={() => void turn('redo')}
        aria-label={turns.redo ? `Redo: ${turns.redo.label}` : 'Nothing to redo'}
      >
        <Redo2 size={14} aria-hidden /> Redo
      </Button>
    </>
  );
}
