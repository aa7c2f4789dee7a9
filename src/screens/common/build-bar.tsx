'use client';

import { Download, Redo2, Undo2 } from 'lucide-react';
import dynamic from 'next/dynamic';
import { RadioGroup } from 'radix-ui';
import { memo, useState, type ReactNode } from 'react';
import type { ScreenName } from '@/ui/app-header';
import { copiesWords } from '../words/build';
import { useBuild } from './build-store';
import { BarOf } from './held-bar';
import { NoticeLine } from './notice-line';
import { BACKGROUNDS, type Background, type useBackground } from './use-background';

const FilesDialog = dynamic(() => import('../lists/files-dialog').then((m) => m.FilesDialog));

interface BuildBarProps {
  readonly screen: ScreenName;
  readonly background: ReturnType<typeof useBackground>;
  readonly children?: ReactNode;
}

/**
 * The header of a build's screens: where you are, undo and redo, the background, and what was last said. It goes by what is
 * logged, and not by what is typed meanwhile.
 */
export const BuildBar = memo(function BuildBar({ screen, background, children }: BuildBarProps) {
  useBuild((s) => s.version);
  const workbench = useBuild((s) => s.workbench);
  const undoRedo = useBuild((s) => s.undoRedo);
  const undoOrRedo = useBuild((s) => s.undoOrRedo);
  const build = workbench.records.build.get(workbench.build);
  const copies = [...workbench.records.copy.values()].filter((c) => c.role === 'base');
  const shipped = workbench.built.figures({ of: 'build' }).shipped;
  const says = copiesWords(
    copies.map((c) => c.condition),
    shipped,
  );
  return (
    <>
      <BarOf build={{ id: workbench.build, name: build?.name ?? '', says }} screen={screen}>
        <div className="flex items-center gap-0.5">
          <IconButton
            label={undoRedo.undo ? `Undo: ${undoRedo.undo.label}` : 'Nothing to undo'}
            disabled={!undoRedo.undo}
            onClick={() => void undoOrRedo('undo')}
          >
            <Undo2 size={16} aria-hidden />
          </IconButton>
          <IconButton
            label={undoRedo.redo ? `Redo: ${undoRedo.redo.label}` : 'Nothing to redo'}
            disabled={!undoRedo.redo}
            onClick={() => void undoOrRedo('redo')}
          >
            <Redo2 size={16} aria-hidden />
          </IconButton>
          <FilesButton build={workbench.build} />
          <BackgroundControl background={background} />
          {children}
        </div>
      </BarOf>
      <NoticeLine />
    </>
  );
});

function FilesButton({ build }: { build: string }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <IconButton label="Files and prints" onClick={() => setOpen(true)}>
        <Download size={16} aria-hidden />
      </IconButton>
      {open && <FilesDialog build={build} onClose={() => setOpen(false)} />}
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

const BACKGROUND_GREYS = { light: '#ececec', middle: '#c9c9c9', dark: '#4a4a4a' } as const;

function BackgroundControl({ background }: { background: ReturnType<typeof useBackground> }) {
  return (
    <RadioGroup.Root
      aria-label="Brightness of the background"
      orientation="horizontal"
      value={background.background}
      onValueChange={(b) => background.setBackground(b as Background)}
      className="flex items-center px-1 max-sm:hidden"
    >
      {BACKGROUNDS.map((m) => (
        <RadioGroup.Item
          key={m}
          value={m}
          aria-label={`${m} background`}
          title={`${m} background`}
          className="grid size-6 place-items-center"
        >
          <span
            style={{ background: BACKGROUND_GREYS[m] }}
            className={`size-3.5 rounded-xs border ${background.background === m ? 'border-ink outline-ink outline-2' : 'border-edge'}`}
          />
        </RadioGroup.Item>
      ))}
    </RadioGroup.Root>
  );
}
