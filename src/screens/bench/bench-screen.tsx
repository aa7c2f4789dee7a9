'use client';

import clsx from 'clsx';
import { useCallback, useMemo, useRef, useState } from 'react';
import { editEntry, logLine, readLine, type BuildSnapshot, type Workbench } from '@/core/bench';
import { PaletteProvider } from '@/ui/palette-context';
import { ActDialog } from './act-dialog';
import { BalanceBand } from './balance-band';
import { BenchBar } from './bench-bar';
import { BenchContext, makeBenchStore, useBench, useBenchStore } from '../common/bench-store';
import { BuildDialog } from './build-dialog';
import { CallLine } from './call-line';
import { CommandPalette } from './command-palette';
import { Consequences } from './consequences';
import type { OpenDialog } from './dialogs';
import { FigureSheet } from './figure-sheet';
import { ModificationDialog } from './modification-dialog';
import { KeysSheet, OrderDialog, PartDialog } from './small-dialogs';
import { Tray } from './tray';
import { useBenchActs } from './use-bench-acts';
import { useBenchCommands } from './use-bench-commands';
import { useMat } from '../common/use-mat';
import { WhatIfsDialog } from './what-ifs-dialog';
import { Worklog } from './worklog';
import { ZonesDialog } from './zones-dialog';

/** The bench of one build. */
export function BenchScreen({ snapshot }: { snapshot: BuildSnapshot }) {
  const [store] = useState(() => makeBenchStore(snapshot));
  return (
    <BenchContext value={store}>
      <Bench />
    </BenchContext>
  );
}

type Side = 'model' | 'worklog' | 'consequences';

function Bench() {
  const bench = useBench((s) => s.bench);
  const line = useBench((s) => s.line);
  const version = useBench((s) => s.version);
  const selected = useBench((s) => s.selected);
  const editing = useBench((s) => s.editing);
  const logPlanned = useBench((s) => s.logPlanned);
  const perform = useBench((s) => s.perform);
  const set = useBench((s) => s.set);
  const source = useBench((s) => s.source);
  const [dialog, setDialog] = useState<OpenDialog | null>(null);
  const [side, setSide] = useState<Side>('worklog');
  const mat = useMat();
  const modification = selected ? bench.records.modification.get(selected) : undefined;
  const old = editing ? bench.records.entry.get(editing) : undefined;
  const readingOf = useCallback(
    (on: Workbench, text: string) =>
      text.trim() && modification
        ? readLine(on, text, { modification, planned: logPlanned, without: old ? [old] : [] })
        : null,
    [modification, logPlanned, old],
  );
  const reading = useMemo(() => {
    void version;
    return readingOf(bench, line);
  }, [bench, version, line, readingOf]);
  const acts = useBenchActs(setDialog);
  const commands = useBenchCommands(acts, mat, !dialog);
  const leave = () => {
    set({ line: '', editing: null });
    (document.activeElement as HTMLElement | null)?.blur();
  };
  const store = useBenchStore();
  const entering = useRef(false);
  const enter = async () => {
    // A second press while the first still waits for what is at hand is the same wish.
    if (entering.current) return;
    entering.current = true;
    await logTyped().finally(() => (entering.current = false));
  };
  const logTyped = async () => {
    // What is at hand decides where a part comes from: a line is logged when all of that is known, a moment after opening.
    const asRead = bench.isComplete;
    if (!asRead) await store.getState().learn();
    const now = store.getState().bench;
    const said = asRead ? reading : readingOf(now, line);
    if (!said?.ready)
      return set({
        notice: modification ? null : { text: 'Start a modification first: press N.', kind: 'refused' },
      });
    perform(old ? editEntry(old, said, source()) : logLine(now, said, line, source()));
    // What was typed while it waited is the next line, and stays.
    if (store.getState().line === line) set({ line: '', editing: null });
    else set({ editing: null });
  };
  return (
    <PaletteProvider palette={bench.palette}>
      <div className="flex h-dvh flex-col">
        <BenchBar acts={acts} mat={mat} />
        <BalanceBand
          effect={reading?.effect ?? null}
          onOpen={(figure) => setDialog({ dialog: 'figure', figure, scope: { of: 'build' } })}
        />
        <SideTabs side={side} onChange={setSide} />
        <main className="grid min-h-0 flex-1 lg:grid-cols-[292px_1fr_280px]">
          <h1 className="sr-only">Bench of {bench.records.build.get(bench.build)?.name}</h1>
          <div className={clsx('min-h-0', side !== 'model' && 'max-lg:hidden')}>
            <Tray onPick={(element) => setDialog({ dialog: 'act', element })} />
          </div>
          <div className={clsx('min-h-0 min-w-0', side !== 'worklog' && 'max-lg:hidden')}>
            <Worklog dialogs={acts} />
          </div>
          <div
            className={clsx('border-rule min-h-0 lg:border-l', side !== 'consequences' && 'max-lg:hidden')}
          >
            <Consequences dialogs={acts} />
          </div>
        </main>
        <CallLine reading={reading} onEnter={() => void enter()} onCancel={leave} />
      </div>
      <Sheets dialog={dialog} onClose={() => setDialog(null)} acts={acts} commands={commands} />
    </PaletteProvider>
  );
}

/** On narrow screens one of the three columns shows at a time. */
function SideTabs({ side, onChange }: { side: Side; onChange: (side: Side) => void }) {
  const names: [Side, string][] = [
    ['model', 'On the model'],
    ['worklog', 'Worklog'],
    ['consequences', 'Consequences'],
  ];
  return (
    <nav aria-label="Parts of the bench" className="border-rule flex border-b lg:hidden">
      {names.map(([name, words]) => (
        <button
          key={name}
          type="button"
          aria-pressed={side === name}
          onClick={() => onChange(name)}
          className={clsx('min-h-9 flex-1', side === name && 'bg-ink text-sheet font-semibold')}
        >
          {words}
        </button>
      ))}
    </nav>
  );
}

interface SheetsProps {
  readonly dialog: OpenDialog | null;
  readonly onClose: () => void;
  readonly acts: ReturnType<typeof useBenchActs>;
  readonly commands: ReturnType<typeof useBenchCommands>;
}

function Sheets({ dialog, onClose, acts, commands }: SheetsProps) {
  switch (dialog?.dialog) {
    case 'act':
      return <ActDialog element={dialog.element} onClose={onClose} />;
    case 'figure':
      return <FigureSheet figure={dialog.figure} scope={dialog.scope} onClose={onClose} />;
    case 'modification':
      return <ModificationDialog modification={dialog.modification} onClose={onClose} />;
    case 'order':
      return <OrderDialog modification={dialog.modification} onClose={onClose} />;
    case 'part':
      return <PartDialog entry={dialog.entry} dialogs={acts} onClose={onClose} />;
    case 'zones':
      return <ZonesDialog onClose={onClose} />;
    case 'whatIfs':
      return <WhatIfsDialog onClose={onClose} />;
    case 'build':
      return <BuildDialog onClose={onClose} />;
    case 'keys':
      return <KeysSheet onClose={onClose} />;
    case 'commands':
      return <CommandPalette commands={commands} onClose={onClose} />;
    case undefined:
      return null;
  }
}
