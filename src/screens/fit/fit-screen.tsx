'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { BuildSnapshot } from '@/core/workbench';
import type { Tally } from '@/core/ledger';
import { TabPart, Tabs, withKeys } from '@/ui/tabs';
import { BalanceStrip } from '../common/balance-strip';
import { BuildBar } from '../common/build-bar';
import { BuildScreen, useScreenCommands } from '../common/build-screen';
import { WholePart } from '../common/once-whole';
import { useBackground } from '../common/use-background';
import { usePart } from '../common/use-part';
import { PlotTab } from './plot-tab';

// Each part comes when it is shown: a page carries the one that it opens with.
const ClearanceTab = dynamic(() => import('./clearance-tab').then((m) => m.ClearanceTab));
const FloorsTab = dynamic(() => import('./floors-tab').then((m) => m.FloorsTab));
const LevelsTab = dynamic(() => import('./levels-tab').then((m) => m.LevelsTab));
const MassTab = dynamic(() => import('./mass-tab').then((m) => m.MassTab));
const RoomsTab = dynamic(() => import('./rooms-tab').then((m) => m.RoomsTab));
const ScaleTab = dynamic(() => import('./scale-tab').then((m) => m.ScaleTab));
const StrengthTab = dynamic(() => import('./strength-tab').then((m) => m.StrengthTab));
const WallsTab = dynamic(() => import('./walls-tab').then((m) => m.WallsTab));

/** Fit: does it fit, and what does it take? */
export function FitScreen({ snapshot }: { snapshot: BuildSnapshot }) {
  return (
    <BuildScreen snapshot={snapshot}>
      <FitParts />
    </BuildScreen>
  );
}

const PARTS = [
  { name: 'plot', words: 'Size and plot' },
  { name: 'walls', words: 'Walls' },
  { name: 'floors', words: 'Floors' },
  { name: 'rooms', words: 'Rooms' },
  { name: 'clearance', words: 'Clearance' },
  { name: 'levels', words: 'Levels and rings' },
  { name: 'scale', words: 'Scale' },
  { name: 'mass', words: 'Mass' },
  { name: 'strength', words: 'Strength' },
] as const;

function FitParts() {
  const background = useBackground();
  const [part, setPart, keys] = usePart(PARTS, 'plot');
  const [trying, setTrying] = useState<Tally | null>(null);
  useScreenCommands(keys, background.next);
  const choose = (next: typeof part) => {
    setTrying(null);
    setPart(next);
  };
  return (
    <div className="page-box flex flex-col print:block print:h-auto">
      <BuildBar screen="Fit" background={background} />
      <BalanceStrip trying={trying} />
      <Tabs label="Fit" chosen={part} onChoose={choose} tabs={withKeys(PARTS)}>
        <main className="min-h-0 flex-1">
          <TabPart name="plot">
            <PlotTab />
          </TabPart>
          <WholePart name="walls" screen="Fit">
            <WallsTab onTry={setTrying} />
          </WholePart>
          <WholePart name="floors" screen="Fit">
            <FloorsTab onTry={setTrying} />
          </WholePart>
          <WholePart name="rooms" screen="Fit">
            <RoomsTab />
          </WholePart>
          <WholePart name="clearance" screen="Fit">
            <ClearanceTab />
          </WholePart>
          <WholePart name="levels" screen="Fit">
            <LevelsTab onFloor={() => choose('floors')} />
          </WholePart>
          <WholePart name="scale" screen="Fit">
            <ScaleTab />
          </WholePart>
          <WholePart name="mass" screen="Fit">
            <MassTab />
          </WholePart>
          <WholePart name="strength" screen="Fit">
            <StrengthTab />
          </WholePart>
        </main>
      </Tabs>
    </div>
  );
}
