'use client';

import dynamic from 'next/dynamic';
import { Printer } from 'lucide-react';
import { useState } from 'react';
import type { BuildSnapshot } from '@/core/workbench';
import { stagesOf } from '@/core/show';
import { Button } from '@/ui/button';
import { count } from '@/ui/numbers';
import { TabPart, Tabs, withKeys } from '@/ui/tabs';
import { BuildBar } from '../common/build-bar';
import { BuildScreen, useScreenCommands } from '../common/build-screen';
import { useBuild } from '../common/build-store';
import { WholePart } from '../common/once-whole';
import { useBackground } from '../common/use-background';
import { usePart } from '../common/use-part';
import { Sums } from './sums';

// Each part comes when it is shown: a page carries the one that it opens with.
const BothTab = dynamic(() => import('./both-tab').then((m) => m.BothTab));
const ChartsTab = dynamic(() => import('./charts-tab').then((m) => m.ChartsTab));
const FromWhichTab = dynamic(() => import('./from-which-tab').then((m) => m.FromWhichTab));
const LeftOverTab = dynamic(() => import('./left-over-tab').then((m) => m.LeftOverTab));
const PatchTab = dynamic(() => import('./patch-tab').then((m) => m.PatchTab));
const SheetTab = dynamic(() => import('./sheet-tab').then((m) => m.SheetTab));
const StagesTab = dynamic(() => import('./stages-tab').then((m) => m.StagesTab));
const TogetherTab = dynamic(() => import('./together-tab').then((m) => m.TogetherTab));
const TourTab = dynamic(() => import('./tour-tab').then((m) => m.TourTab));

/** Tally, the last page of the way: the sums, and the mod as it is told to others and given away. */
export function TallyScreen({ snapshot }: { snapshot: BuildSnapshot }) {
  return (
    <BuildScreen snapshot={snapshot}>
      <TallyParts />
    </BuildScreen>
  );
}

const PARTS = [
  { name: 'sums', words: 'Sums' },
  { name: 'charts', words: 'Charts' },
  { name: 'stages', words: 'Stages' },
  { name: 'tour', words: 'Tour' },
  { name: 'from', words: 'From which' },
  { name: 'left', words: 'Left over' },
  { name: 'both', words: 'Both standing' },
  { name: 'sheet', words: 'Mod sheet' },
  { name: 'patch', words: 'Patch' },
  { name: 'together', words: 'Together' },
] as const;

function TallyParts() {
  const workbench = useBuild((s) => s.workbench);
  useBuild((s) => s.version);
  const background = useBackground();
  const [part, setPart, keys] = usePart(PARTS, 'sums');
  useScreenCommands(keys, background.next);
  const [planned, setPlanned] = useState(false);
  return (
    <div className="page-box flex flex-col print:block print:h-auto">
      <BuildBar screen="Tally" background={background} />
      <Tabs
        label="Tally"
        chosen={part}
        onChoose={setPart}
        tabs={withKeys(PARTS, { stages: count(stagesOf(workbench).length) })}
      >
        <main className="min-h-0 flex-1 overflow-auto px-4 py-3 print:overflow-visible print:p-0">
          <div className="no-print mb-2 flex justify-end gap-2 xl:float-right xl:ml-3">
            <Button aria-pressed={planned} onClick={() => setPlanned(!planned)}>
              {planned ? 'as planned' : 'as built'}
            </Button>
            <Button onClick={() => window.print()}>
              <Printer size={14} aria-hidden /> Print
            </Button>
          </div>
          <TabPart name="sums">
            <Sums workbench={workbench} planned={planned} />
          </TabPart>
          <WholePart name="charts" screen="Tally">
            <ChartsTab planned={planned} />
          </WholePart>
          <WholePart name="stages" screen="Tally">
            <StagesTab planned={planned} />
          </WholePart>
          <WholePart name="tour" screen="Tally">
            <TourTab planned={planned} />
          </WholePart>
          <WholePart name="from" screen="Tally">
            <FromWhichTab planned={planned} />
          </WholePart>
          <WholePart name="left" screen="Tally">
            <LeftOverTab planned={planned} />
          </WholePart>
          <WholePart name="both" screen="Tally">
            <BothTab />
          </WholePart>
          <WholePart name="sheet" screen="Tally">
            <SheetTab planned={planned} />
          </WholePart>
          <WholePart name="patch" screen="Tally">
            <PatchTab planned={planned} />
          </WholePart>
          <WholePart name="together" screen="Tally">
            <TogetherTab />
          </WholePart>
        </main>
      </Tabs>
    </div>
  );
}
