'use client';

import { Redo2, Undo2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { AppHeader, type ScreenName } from '@/ui/app-header';
import { count } from '@/ui/numbers';
import { useStore } from 'zustand';
import { unreachedWords } from '../words/refusal';
import { useBench } from './bench-store';
import { outboxState } from './window-outbox';
import { MATS, type useMat } from './use-mat';

interface BuildBarProps {
  readonly screen: ScreenName;
  readonly mat: ReturnType<typeof useMat>;
  readonly children?: ReactNode;
}

/** The header of a build's screens: where you are, undo and redo, the mat, and what was last said. */
export function BuildBar({ screen, mat, children }: BuildBarProps) {
  const bench = useBench((s) => s.bench);
  const turns = useBench((s) => s.turns);
  const turn = useBench((s) => s.turn);
  const build = bench.records.build.get(bench.build);
  const copies = [...bench.records.copy.values()].filter((c) => c.role === 'base');
  const shipped = bench.built.figures({ of: 'build' }).shipped;
  const first = copies[0];
  const says = `${copies.length > 1 ? `${copies.length} copies` : `${first?.condition ?? 'no'} copy`}, ${count(shipped)} pieces`;
  return (
    <>
      <AppHeader build={{ id: bench.build, name: build?.name ?? '', says }} screen={screen}>
        <div className="flex items-center gap-0.5">
          <IconButton
            label={turns.undo ? `Undo: ${turns.undo.label}` : 'Nothing to undo'}
            disabled={!turns.undo}
            onClick={() => void turn('undo')}
          >
            <Undo2 size={16} aria-hidden />
          </IconButton>
          <IconButton
            label={turns.redo ? `Redo: ${turns.redo.label}` : 'Nothing to redo'}
            disabled={!turns.redo}
            onClick={() => void turn('redo')}
          >
            <Redo2 size={16} aria-hidden />
          </IconButton>
          <MatControl mat={mat} />
          {children}
        </div>
      </AppHeader>
      <NoticeLine />
    </>
  );
}

function IconButton({
  label,
  disabled,
  onClick,
  children,
}: {
  label: string;
  disabled?: boolean;
  onClick: () => void;
  children: React.ReactNode;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      disabled={disabled}
      onClick={onClick}
      className="hover:bg-wash disabled:text-edge grid size-7 place-items-center rounded-md disabled:hover:bg-transparent"
    >
      {children}
    </button>
  );
}

const MAT_GREYS = { light: '#ececec', middle: '#c9c9c9', dark: '#4a4a4a' } as const;

function MatControl({ mat }: { mat: ReturnType<typeof useMat> }) {
  return (
    <div
      role="radiogroup"
      aria-label="Brightness of the mat"
      className="flex items-center px-1 max-sm:hidden"
    >
      {MATS.map((m) => (
        <button
          key={m}
          type="button"
          role="radio"
          aria-checked={mat.mat === m}
          aria-label={`${m} mat`}
          title={`${m} mat`}
          onClick={() => mat.setMat(m)}
          className="grid size-6 place-items-center"
        >
          <span
            style={{ background: MAT_GREYS[m] }}
            className={`size-3.5 rounded-xs border ${mat.mat === m ? 'border-ink outline-ink outline-2' : 'border-edge'}`}
          />
        </button>
      ))}
    </div>
  );
}

/** What was refused, undone, or changed in another window: a sentence that stays until it is read. */
function NoticeLine() {
  const notice = useBench((s) => s.notice);
  const set = useBench((s) => s.set);
  const perform = useBench((s) => s.perform);
  const { waiting, unreached } = useStore(outboxState);
  return (
    <div role="status" aria-live="polite">
      {unreached && (
        <p className="bg-ink text-sheet flex items-center gap-3 px-4 py-1.5">
          <span aria-hidden>▲</span>
          <bdi className="min-w-0 flex-1">{unreachedWords(unreached, waiting)}</bdi>
        </p>
      )}
      {notice && (
        <p className="bg-ink text-sheet flex items-center gap-3 px-4 py-1.5">
          <span aria-hidden>{notice.kind === 'refused' ? '▲' : notice.kind === 'elsewhere' ? '⇄' : '✓'}</span>
          <bdi className="min-w-0 flex-1">{notice.text}</bdi>
          {notice.again && (
            <button
              type="button"
              onClick={() => notice.again && perform(notice.again)}
              className="min-h-6 underline"
            >
              Try again
            </button>
          )}
          <button type="button" onClick={() => set({ notice: null })} className="min-h-6 underline">
            Dismiss
          </button>
        </p>
      )}
    </div>
  );
}
