'use client';

import { Download } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { Menu } from '@/ui/menu';
import { saveFile } from '@/ui/save-file';
import { useBuild } from '../common/build-store';
import { BuildBar } from '../common/build-bar';
import type { useBackground } from '../common/use-background';
import type { BenchDialogs } from './dialogs';

/** The header of the bench: that of every screen of a build, with files and all commands. */
export function BenchBar({
  acts,
  background,
}: {
  acts: BenchDialogs;
  background: ReturnType<typeof useBackground>;
}) {
  const build = useBuild((s) => s.workbench.build);
  return (
    <BuildBar screen="Bench" background={background}>
      <Files build={build} />
    </BuildBar>
  );
}

function Files({ build }: { build: string }) {
  const router = useRouter();
  const go = (file: string) => () => saveFile(`/api/builds/${build}/files/${file}`);
  return (
    <Menu
      label="Export"
      trigger={
        <button
          type="button"
          aria-label="Export files"
          title="Export"
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
