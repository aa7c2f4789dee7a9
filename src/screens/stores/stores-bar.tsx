'use client';

import { Redo2, Undo2 } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { paletteOf, recordSetOf, type Command, type Turns } from '@/core/bench';
import { STORES_SCOPE, type Diff } from '@/core/ledger';
import { asId, type ActionId } from '@/core/shared/ids';
import type { StoresSnapshot } from '@/server/snapshot';
import { Button } from '@/ui/button';
import { sendAction, sendTurn } from '../common/server-client';
import { refusalWords } from '../words/refusal';

/** The colours that the workspace's parts are drawn in. */
export function useStoresPalette({ customColours }: StoresSnapshot) {
  return useMemo(
    () => paletteOf(recordSetOf(customColours.map((record) => ({ type: 'customColour', record })))),
    [customColours],
  );
}

/** Doing and undoing what belongs to the stores: sends, says what came of it, and shows the books as they are then. */
export function useStoresActs() {
  const router = useRouter();
  const [says, setSays] = useState('');
  const perform = async (label: string, diff: Diff) => {
    const done = await sendAction(
      { id: asId<ActionId>(crypto.randomUUID()), scope: STORES_SCOPE, label, diff },
      setSays,
    );
    setSays(done.ok ? '' : refusalWords(done.reason));
    router.refresh();
  };
  const turn = async (direction: 'undo' | 'redo') => {
    const done = await sendTurn({ request: crypto.randomUUID(), scope: STORES_SCOPE, direction });
    setSays(
      done.ok
        ? `${direction === 'undo' ? 'Undone' : 'Done again'}: ${done.value.label}`
        : refusalWords(done.reason),
    );
    router.refresh();
  };
  return {
    says,
    perform,
    turn,
    command: ({ label, diff }: Command) => void perform(label.slice(0, 500), diff),
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
        aria-label={turns.undo ? `Undo: ${turns.undo}` : 'Nothing to undo'}
      >
        <Undo2 size={14} aria-hidden /> Undo
      </Button>
      <Button
        disabled={!turns.redo}
        onClick={() => void turn('redo')}
        aria-label={turns.redo ? `Redo: ${turns.redo}` : 'Nothing to redo'}
      >
        <Redo2 size={14} aria-hidden /> Redo
      </Button>
    </>
  );
}
