'use client';

import { Download } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { Key } from '@/ui/button';
import { Menu } from '@/ui/menu';
import { saveFile } from '@/ui/save-file';
import { useBench } from '../common/bench-store';
import { BuildBar } from '../common/build-bar';
import type { useMat } from '../common/use-mat';
import type { BenchDialogs } from './dialogs';

/** The header of the bench: that of every screen of a build, with files and all commands. */
export function BenchBar({ acts, mat }: { acts: BenchDialogs; mat: ReturnType<typeof useMat> }) {
  const build = useBench((s) => s.bench.build);
  return (
    <BuildBar screen="Bench" mat={mat}>
      <Files build={build} />
      <button
        type="button"
        onClick={() => acts.open({ dialog: 'commands' })}
        aria-label="All commands"
        className="ml-1 max-sm:hidden"
      >
        <Key>Ctrl K</Key>
      </button>
    </BuildBar>
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
