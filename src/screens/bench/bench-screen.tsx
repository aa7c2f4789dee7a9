'use client';

import { ToggleGroup } from 'radix-ui';
import clsx from 'clsx';
import { memo, useCallback, useEffect, useMemo, useState } from 'react';
import type { Entry, Figure } from '@/core/ledger';
import { draftModification, type BuildSnapshot, type LineReading } from '@/core/workbench';
import type { ElementKey } from '@/core/parts';
import { PaletteProvider } from '@/ui/palette-context';
import { ActDialog } from './act-dialog';
import { AgainDialog } from './again-dialog';
import { BalanceBand } from './balance-band';
import { BuildBar } from '../common/build-bar';
import { BuildContext, useBuild } from '../common/build-store';
import { useOpenedStore } from '../common/build-screen';
import { BuildDialog } from './build-dialog';
import { CameFromDialog } from './came-from-dialog';
import { Column } from './column';
import { LogLine } from './log-line';
import { CountLeftDialog } from './count-left-dialog';
import { Consequences } from './consequences';
import type { OpenDialog } from './dialogs';
import { FigureSheet } from './figure-sheet';
import { IdealDialog } from './ideal-dialog';
import { ModificationDialog } from './modification-dialog';
import { OrderDialog } from './order-dialog';
import { PartDialog } from './small-dialogs';
import { SourcesDialog } from './sources-dialog';
import { StateSheet } from './state-sheet';
import { Tray } from './tray';
import type { PickedFrom } from './tray-places';
import { UnpricedDialog } from './unpriced-dialog';
import { useBenchActs } from './use-bench-acts';
import { useBenchAddress } from './use-bench-address';
import { useBenchCommands } from './use-bench-commands';
import { scopeOf } from './scope';
import { readTyped, useEnter } from './use-enter';
import { useBackground } from '../common/use-background';
import { WhatIfsDialog } from './what-ifs-dialog';
import { Worklog } from './worklog';
import { ZonesDialog } from './zones-dialog';

/** The bench of one build. */
export function BenchScreen({ snapshot }: { snapshot: BuildSnapshot }) {
  const store = useOpenedStore(snapshot);
  return (
    <BuildContext value={store}>
      <Bench />
    </BuildContext>
  );
}

type Side = 'model' | 'worklog' | 'consequences';

function Bench() {
  const workbench = useBuild((s) => s.workbench);
  const line = useBuild((s) => s.line);
  const version = useBuild((s) => s.version);
  const selected = useBuild((s) => s.selected);
  const editing = useBuild((s) => s.editing);
  const logPlanned = useBuild((s) => s.logPlanned);
  const set = useBuild((s) => s.set);
  const source = useBuild((s) => s.source);
  const [dialog, setDialog] = useState<OpenDialog | null>(null);
  const [side, setSide] = useState<Side>('worklog');
  const background = useBackground();
  const zone = useBuild((s) => s.zone);
  const chosen = selected ? workbench.records.modification.get(selected) : undefined;
  // Where none is chosen the line is read for one that it would begin.
  const draft = useMemo(() => {
    void version;
    return chosen ? null : draftModification(workbench, zone, source());
  }, [workbench, version, chosen, zone, source]);
  const modification = chosen ?? draft;
  const old = editing ? workbench.records.entry.get(editing) : undefined;
  const reading = useMemo(() => {
    void version;
    return readTyped(workbench, { line, logPlanned, zone }, modification ?? null, old);
  }, [workbench, version, line, logPlanned, zone, modification, old]);
  const acts = useBenchActs(setDialog);
  useBenchAddress(dialog, setDialog);
  const pick = useCallback(
    (element: ElementKey, from?: PickedFrom) =>
      setDialog({ dialog: 'act', element, ...(from ? { from } : {}) }),
    [],
  );
  const entries = useMemo(() => entriesOf(reading), [reading]);
  const openFigure = useCallback(
    (figure: Figure) => setDialog({ dialog: 'figure', figure, scope: scopeOf(zone) }),
    [zone],
  );
  const countLeft = useCallback(() => setDialog({ dialog: 'countLeft' }), []);
  useBenchCommands(acts, background, !dialog);
  const leave = () => {
    set({ line: '', editing: null });
    (document.activeElement as HTMLElement | null)?.blur();
  };
  useFocusInLine();
  const enter = useEnter(reading, draft);
  return (
    <PaletteProvider palette={workbench.palette}>
      <div className="page-box flex flex-col">
        <BuildBar screen="Bench" background={background} />
        <BalanceBand effect={reading?.effect ?? null} entries={entries} onOpen={openFigure} />
        <SideTabs side={side} onChange={setSide} />
        <main className="grid min-h-0 flex-1 lg:grid-cols-[292px_1fr_280px]">
          <h1 className="sr-only">Bench of {workbench.records.build.get(workbench.build)?.name}</h1>
          <Column shows={side === 'model'}>
            <Tray onPick={pick} onCountLeft={countLeft} />
          </Column>
          <Column shows={side === 'worklog'}>
            <Worklog dialogs={acts} />
          </Column>
          <Column shows={side === 'consequences'} className="border-rule lg:border-l">
            <Consequences dialogs={acts} />
          </Column>
        </main>
        <LogLine
          reading={reading}
          onEnter={enter}
          onCancel={leave}
          onSources={() => setDialog({ dialog: 'sources' })}
        />
      </div>
      <Sheets dialog={dialog} onClose={() => setDialog(null)} acts={acts} />
    </PaletteProvider>
  );
}

const NONE: readonly Entry[] = [];

/** The entries that a line would make: the same empty list until it makes one, so that nothing is drawn for it. */
function entriesOf(reading: LineReading | null): readonly Entry[] {
  const made = reading?.clauses.flatMap((c) => c.entry ?? []) ?? NONE;
  return made.length > 0 ? made : NONE;
}

/**
 * Who opens a build with a keyboard at hand types: the line has the focus, unless something else was asked for. The page stays
 * where it is: a link that is being pressed as the page wakes up would be gone from under the pointer.
 */
function useFocusInLine() {
  useEffect(() => {
    if (matchMedia('(pointer: fine)').matches && document.activeElement === document.body)
      document.getElementById('log-line')?.focus({ preventScroll: true });
  }, []);
}

/** On narrow screens one of the three columns shows at a time. */
const SideTabs = memo(function SideTabs({ side, onChange }: { side: Side; onChange: (side: Side) => void }) {
  const names: [Side, string][] = [
    ['model', 'On the model'],
    ['worklog', 'Worklog'],
    ['consequences', 'Consequences'],
  ];
  return (
    <nav aria-label="Bench" className="lg:hidden">
      <ToggleGroup.Root
        type="single"
        aria-label="Columns of the bench"
        value={side}
        onValueChange={(name) => name && onChange(name as Side)}
        className="border-rule flex border-b"
      >
        {names.map(([name, words]) => (
          <ToggleGroup.Item
            key={name}
            value={name}
            className={clsx('min-h-9 flex-1', side === name && 'bg-ink text-sheet font-semibold')}
          >
            {words}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
    </nav>
  );
});

interface SheetsProps {
  readonly dialog: OpenDialog | null;
  readonly onClose: () => void;
  readonly acts: ReturnType<typeof useBenchActs>;
}

function Sheets({ dialog, onClose, acts }: SheetsProps) {
  switch (dialog?.dialog) {
    case 'act':
      return <ActDialog element={dialog.element} from={dialog.from} onClose={onClose} />;
    case 'figure':
      return <FigureSheet figure={dialog.figure} scope={dialog.scope} onClose={onClose} />;
    case 'modification':
      return <ModificationDialog modification={dialog.modification} onClose={onClose} />;
    case 'order':
      return <OrderDialog modification={dialog.modification} onClose={onClose} />;
    case 'part':
      return <PartDialog entry={dialog.entry} dialogs={acts} onClose={onClose} />;
    case 'state':
      return <StateSheet state={dialog.state} scope={dialog.scope} onClose={onClose} />;
    case 'sources':
      return <SourcesDialog onClose={onClose} />;
    case 'ideal':
      return <IdealDialog entry={dialog.entry} onClose={onClose} />;
    case 'again':
      return <AgainDialog entries={dialog.entries} onClose={onClose} />;
    case 'unpriced':
      return <UnpricedDialog onClose={onClose} />;
    case 'countLeft':
      return <CountLeftDialog onClose={onClose} />;
    case 'cameFrom':
      return <CameFromDialog onClose={onClose} />;
    case 'zones':
      return <ZonesDialog onClose={onClose} />;
    case 'whatIfs':
      return <WhatIfsDialog onClose={onClose} />;
    case 'build':
      return <BuildDialog onClose={onClose} />;
    case undefined:
      return null;
  }
}
