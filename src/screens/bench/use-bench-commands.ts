'use client';

import { useContext, useMemo } from 'react';
import { useRouter } from 'next/navigation';
import { modNo } from '@/ui/numbers';
import { saveFile } from '@/ui/save-file';
import { BenchContext, useBench } from '../common/bench-store';
import { useCatchUp } from '../common/use-catch-up';
import { useKeys, type KeyedCommand } from '../common/use-keys';
import type { BenchCommand } from './command-palette';
import type { BenchDialogs } from './dialogs';
import type { useMat } from '../common/use-mat';

/** All commands of the bench: the palette lists them, the keyboard runs them. */
export function useBenchCommands(
  acts: BenchDialogs,
  mat: ReturnType<typeof useMat>,
  listening: boolean,
): readonly BenchCommand[] {
  const store = useContext(BenchContext);
  const router = useRouter();
  const version = useBench((s) => s.version);
  if (!store) throw new Error('useBenchCommands is for the parts of the bench');
  const commands = useMemo((): (BenchCommand & KeyedCommand)[] => {
    void version;
    const now = () => store.getState();
    const step = (by: number) => {
      const { bench, selected, set } = now();
      const list = bench.modifications;
      const at = list.findIndex((m) => m.id === selected);
      const next = list[Math.max(0, Math.min(list.length - 1, at + by))];
      if (next) set({ selected: next.id, marked: new Set() });
    };
    const toggleView = () => {
      const { view, set, bench, selectWhatIf } = now();
      if (bench.whatIf) selectWhatIf(null);
      set({ view: { kind: view.kind === 'built' ? 'planned' : 'built' } });
    };
    const build = now().bench.build;
    const files: [string, string][] = [
      ['worklog CSV', 'worklog.csv'],
      ['inventory as built, CSV', 'inventory-as-built.csv'],
      ['inventory as planned, CSV', 'inventory-as-planned.csv'],
      ['spares CSV', 'spares.csv'],
      ['mod file', 'mod.json'],
    ];
    return [
      { name: 'Log a change', keys: 'L', key: 'l', run: () => focus('call-line') },
      { name: 'Find a part on the model', keys: '/', key: '/', run: () => focus('tray-search') },
      { name: 'Put a part on…', keys: 'A', key: 'a', run: () => acts.open({ dialog: 'act', element: null }) },
      {
        name: 'New modification…',
        keys: 'N',
        key: 'n',
        run: () => acts.open({ dialog: 'modification', modification: null }),
      },
      { name: 'Next modification', keys: 'J', key: 'j', run: () => step(1) },
      { name: 'Previous modification', keys: 'K', key: 'k', run: () => step(-1) },
      { name: 'Undo', keys: 'Ctrl Z', key: 'ctrl+z', run: () => void now().turn('undo') },
      { name: 'Redo', keys: 'Ctrl Shift Z', key: 'ctrl+shift+z', run: () => void now().turn('redo') },
      {
        name: 'Log as planned or as done',
        keys: 'P',
        key: 'p',
        run: () => now().set({ logPlanned: !now().logPlanned }),
      },
      { name: 'As built or as planned', keys: 'V', key: 'v', run: toggleView },
      { name: 'Brightness of the mat', keys: 'M', key: 'm', run: mat.next },
      { name: 'Zones and phases…', keys: 'Z', key: 'z', run: () => acts.open({ dialog: 'zones' }) },
      { name: 'What-ifs…', run: () => acts.open({ dialog: 'whatIfs' }) },
      { name: 'Order all that is to buy…', run: () => acts.open({ dialog: 'order', modification: null }) },
      { name: 'This build: name, note, archive…', run: () => acts.open({ dialog: 'build' }) },
      {
        name: 'All commands',
        keys: 'Ctrl K',
        key: 'ctrl+k',
        everywhere: true,
        run: () => acts.open({ dialog: 'commands' }),
      },
      {
        name: 'Keys and the call line',
        keys: 'F1',
        key: 'F1',
        everywhere: true,
        run: () => acts.open({ dialog: 'keys' }),
      },
      { name: 'Bring another set into this build', run: () => router.push(`/bring-in?build=${build}`) },
      { name: 'Tally and print', run: () => router.push(`/builds/${build}/tally`) },
      { name: 'Shelf', run: () => router.push('/') },
      ...files.map(([words, file]) => ({
        name: `Take away: ${words}`,
        run: () => saveFile(`/api/builds/${build}/files/${file}`),
      })),
      ...now().bench.modifications.map((m) => ({
        name: `Go to ${modNo(m.no)} ${m.title}`,
        run: () => now().set({ selected: m.id, zone: null, marked: new Set() }),
      })),
    ];
  }, [store, acts, mat.next, router, version]);
  useKeys(commands, listening);
  useCatchUp();
  return commands;
}

const focus = (id: string) => document.getElementById(id)?.focus();
