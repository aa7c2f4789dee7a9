'use client';

import { useCallback } from 'react';
import { useStore } from 'zustand';
import { DoneToast } from '@/ui/done-toast';
import { unreachedWords } from '../words/refusal';
import { useBuild, type Notice } from './build-store';
import { outboxState } from '../sending/window-outbox';

const MARKS: Readonly<Record<Notice['kind'], string>> = {
  refused: '▲',
  elsewhere: '⇄',
  said: '✓',
  waits: '…',
  done: '✓',
};

/**
 * What was refused, done, undone, or changed in another window: a sentence, with what can be done about it. What was done
 * goes by itself after a while; what went wrong, or happened elsewhere, stays until it is dismissed.
 */
export function NoticeLine() {
  const notice = useBuild((s) => s.notice);
  const { waiting, unreached } = useStore(outboxState);
  return (
    <div role="status" aria-live="polite">
      {unreached && (
        <p className="bg-ink text-sheet flex items-center gap-3 px-4 py-1.5">
          <span aria-hidden>▲</span>
          <bdi className="min-w-0 flex-1">{unreachedWords(unreached, waiting)}</bdi>
        </p>
      )}
      {notice && <OneNotice notice={notice} />}
    </div>
  );
}

function OneNotice({ notice }: { notice: Notice }) {
  const set = useBuild((s) => s.set);
  const perform = useBuild((s) => s.perform);
  const undoOrRedo = useBuild((s) => s.undoOrRedo);
  const undo = useBuild((s) => s.undoRedo.undo);
  const { again } = notice;
  const gone = useCallback(() => set({ notice: null }), [set]);
  const undoIt = notice.undo && notice.undo === undo?.id ? () => void undoOrRedo('undo') : undefined;
  if (notice.kind === 'done') return <DoneToast text={notice.text} onUndo={undoIt} onGone={gone} />;
  return (
    <p className="bg-ink text-sheet flex items-center gap-3 px-4 py-1.5">
      <span aria-hidden>{MARKS[notice.kind]}</span>
      <bdi className="min-w-0 flex-1">{notice.text}</bdi>
      {again && <Act words="Try again" onPress={() => perform(again)} />}
      {undoIt && <Act words="Undo" onPress={undoIt} />}
      <Act words="Dismiss" onPress={gone} />
    </p>
  );
}

const Act = ({ words, onPress }: { words: string; onPress: () => void }) => (
  <button type="button" onClick={onPress} className="min-h-6 underline">
    {words}
  </button>
);
