'use client';

import { useEffect } from 'react';
import { useStore } from 'zustand';
import { unreachedWords } from '../words/refusal';
import { useBuild, type Notice } from './build-store';
import { outboxState } from '../sending/window-outbox';

/** What was done stays so long, with its undo; what went wrong, or happened elsewhere, until it is dismissed. */
const DONE_MS = 9000;

const MARKS: Readonly<Record<Notice['kind'], string>> = {
  refused: '▲',
  elsewhere: '⇄',
  said: '✓',
  done: '✓',
};

/** What was refused, done, undone, or changed in another window: a sentence, with what can be done about it. */
export function NoticeLine() {
  const notice = useBuild((s) => s.notice);
  const set = useBuild((s) => s.set);
  const { waiting, unreached } = useStore(outboxState);
  useEffect(() => {
    if (notice?.kind !== 'done') return;
    const timer = setTimeout(() => set({ notice: null }), DONE_MS);
    return () => clearTimeout(timer);
  }, [notice, set]);
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
  return (
    <p className="bg-ink text-sheet flex items-center gap-3 px-4 py-1.5">
      <span aria-hidden>{MARKS[notice.kind]}</span>
      <bdi className="min-w-0 flex-1">{notice.text}</bdi>
      {again && <Act words="Try again" onPress={() => perform(again)} />}
      {notice.undo && notice.undo === undo?.id && (
        <Act words="Undo" onPress={() => void undoOrRedo('undo')} />
      )}
      <Act words="Dismiss" onPress={() => set({ notice: null })} />
    </p>
  );
}

const Act = ({ words, onPress }: { words: string; onPress: () => void }) => (
  <button type="button" onClick={onPress} className="min-h-6 underline">
    {words}
  </button>
);
