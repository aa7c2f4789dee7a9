'use client';

import { Download, Redo2, Undo2 } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { AppHeader } from '@/ui/app-header';
import { Key } from '@/ui/button';
import { Menu } from '@/ui/menu';
import { count } from '@/ui/numbers';
import { saveFile } from '@/ui/save-file';
import { useBench } from './bench-store';
import type { BenchDialogs } from './dialogs';
import { MATS, type useMat } from '../common/use-mat';

/** The header of the bench: where you are, undo and redo, the mat, files, and what was last said. */
export function BenchBar({ acts, mat }: { acts: BenchDialogs; mat: ReturnType<typeof useMat> }) {
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
      <AppHeader build={{ id: bench.build, name: build?.name ?? '', says }} screen="Bench">
        <div className="flex items-center gap-0.5">
          <IconButton
            label={turns.undo ? `Undo: ${turns.undo}` : 'Nothing to undo'}
            disabled={!turns.undo}
            onClick={() => void turn('undo')}
          >
            <Undo2 size={16} aria-hidden />
          </IconButton>
          <IconButton
            label={turns.redo ? `Redo: ${turns.redo}` : 'Nothing to redo'}
            disabled={!turns.redo}
            onClick={() => void turn('redo')}
          >
            <Redo2 size={16} aria-hidden />
          </IconButton>
          <MatControl mat={mat} />
          <Files build={bench.build} />
        </div>
        <button
          type="button"
          onClick={() => acts.open({ dialog: 'commands' })}
          aria-label="All commands"
          className="max-sm:hidden"
        >
          <Key>Ctrl K</Key>
        </button>
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

function Files({ build }: { build: string }) {
  const router = useRouter();
  const go = (file: string) => () => saveFile(`/api/builds/${build}/files/${file}`);
  return (
    <Menu
      label="Take away"
      trigger={
        <button
          type="button"
          aria-label="Take away files"
          title="Take away"
          className="hover:bg-wash grid size-7 place-items-center rounded-md"
        >
          <Download size={16} aria-hidden />
        </button>
      }
      items={[
        { label: 'Worklog, CSV', onSelect: go('worklog.csv') },
        { label: 'Inventory as built, CSV', onSelect: go('inventory-as-built.csv') },
        { label: 'Inventory as planned, CSV', onSelect: go('inventory-as-planned.csv') },
        { label: 'Spares, CSV', onSelect: go('spares.csv') },
        { label: 'Mod file, JSON', onSelect: go('mod.json') },
        { label: 'Tally, to print', onSelect: () => router.push(`/builds/${build}/tally`) },
      ]}
    />
  );
}

/** What was refused, undone, or changed in another window: a sentence that stays until it is read. */
function NoticeLine() {
  const notice = useBench((s) => s.notice);
  const set = useBench((s) => s.set);
  return (
    <div role="status" aria-live="polite">
      {notice && (
        <p className="bg-ink text-sheet flex items-center gap-3 px-4 py-1.5">
          <span aria-hidden>{notice.kind === 'refused' ? '▲' : notice.kind === 'elsewhere' ? '⇄' : '✓'}</span>
          <bdi className="min-w-0 flex-1">{notice.text}</bdi>
          <button type="button" onClick={() => set({ notice: null })} className="min-h-6 underline">
            Read
          </button>
        </p>
      )}
    </div>
  );
}
