'use client';

import { useContext, useMemo } from 'react';
import { useRouter } from 'next/navigation';
import { BUILD_LIST_NAMES, BUILD_LIST_TITLES } from '@/core/lists/titles';
import { modNo } from '@/ui/numbers';
import { saveFile } from '@/ui/save-file';
import { BuildContext, useBuild } from '../common/build-store';
import { useCatchUp } from '../common/use-catch-up';
import { useCommands, type Command } from '../commands';
import type { BenchDialogs } from './dialogs';
import type { useBackground } from '../common/use-background';

/** All commands of the bench: the palette lists them, the keyboard runs them. */
export function useBenchCommands(
  acts: BenchDialogs,
  background: ReturnType<typeof useBackground>,
  listening: boolean,
): void {
  const store = useContext(BuildContext);
  const router = useRouter();
  const version = useBuild((s) => s.version);
  if (!store) throw new Error('useBenchCommands is for the parts of the bench');
  const commands = useMemo((): Command[] => {
    void version;
    const now = () => store.getState();
    const step = (by: number) => {
      const { workbench, selected, set } = now();
      const list = workbench.modifications;
      const at = list.findIndex((m) => m.id === selected);
      const next = list[Math.max(0, Math.min(list.length - 1, at + by))];
      if (!next) return;
      set({ selected: next.id, marked: new Set() });
      // What is chosen has the focus: its entries are one Tab away.
      focus(`modification-${next.id}`);
    };
    const toggleView = () => {
      const { view, set, workbench, selectWhatIf } = now();
      if (workbench.whatIf) selectWhatIf(null);
      set({ view: { kind: view.kind === 'built' ? 'planned' : 'built' } });
    };
    const build = now().workbench.build;
    return [
      { name: 'Log a change', key: 'l', run: () => focus('log-line') },
      { name: 'Find a part on the model', key: '/', run: () => focus('tray-search') },
      { name: 'Find in the worklog', run: () => focus('find-in-list') },
      { name: 'Put a part on…', key: 'a', run: () => acts.open({ dialog: 'act', element: null }) },
      {
        name: 'New modification…',

        key: 'n',
        run: () => acts.open({ dialog: 'modification', modification: null }),
      },
      { name: 'Next modification', key: 'j', run: () => step(1) },
      { name: 'Previous modification', key: 'k', run: () => step(-1) },
      { name: 'Undo', key: 'ctrl+z', run: () => void now().undoOrRedo('undo') },
      { name: 'Redo', key: 'ctrl+shift+z', run: () => void now().undoOrRedo('redo') },
      { name: 'Redo', key: 'ctrl+y', run: () => void now().undoOrRedo('redo') },
      {
        name: 'Log as planned or as done',

        key: 'p',
        run: () => now().set({ logPlanned: !now().logPlanned }),
      },
      { name: 'As built or as planned', key: 'v', run: toggleView },
      { name: 'Brightness of the background', key: 'm', run: background.next },
      { name: 'What came from which box…', key: 'b', run: () => acts.open({ dialog: 'cameFrom' }) },
      { name: 'Where parts come from…', key: 'w', run: () => acts.open({ dialog: 'sources' }) },
      { name: 'Price what has no price…', key: 'u', run: () => acts.open({ dialog: 'unpriced' }) },
      { name: 'Count what is left in the boxes…', run: () => acts.open({ dialog: 'countLeft' }) },
      { name: 'Zones and phases…', key: 'z', run: () => acts.open({ dialog: 'zones' }) },
      { name: 'What-ifs…', run: () => acts.open({ dialog: 'whatIfs' }) },
      { name: 'Order all that is to buy…', run: () => acts.open({ dialog: 'order', modification: null }) },
      { name: 'This build: name, note, boxes, archive…', run: () => acts.open({ dialog: 'build' }) },
      { name: 'Import another set into this build', run: () => router.push(`/import?build=${build}`) },
      ...BUILD_LIST_NAMES.flatMap((list) => [
        ...(['csv', 'xlsx'] as const).map((form) => ({
          name: `Export: ${BUILD_LIST_TITLES[list]}, ${form.toUpperCase()}`,
          run: () => saveFile(`/api/builds/${build}/files/${list}.${form}`),
        })),
        {
          name: `Print: ${BUILD_LIST_TITLES[list]}`,
          run: () => router.push(`/builds/${build}/print/${list}`),
        },
      ]),
      { name: 'Export: mod file', run: () => saveFile(`/api/builds/${build}/files/mod.json`) },
      ...now().workbench.modifications.map((m) => ({
        name: `Go to ${modNo(m.no)} ${m.title}`,
        run: () => now().set({ selected: m.id, zone: null, marked: new Set() }),
      })),
    ];
  }, [store, acts, background.next, router, version]);
  useCommands(commands, listening);
  useCatchUp();
}

const focus = (id: string) => document.getElementById(id)?.focus();
