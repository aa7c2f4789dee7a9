'use client';

import { BookOpen } from 'lucide-react';
import { Link } from '@/ui/link';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import { auditColours, type AgedApart, type Register, type RegisterRows } from '@/core/mismatch';
import type { BuildSnapshot } from '@/core/workbench';
import type { Tally } from '@/core/ledger';
import { TabPart, Tabs, withKeys } from '@/ui/tabs';
import { BalanceStrip } from '../common/balance-strip';
import { useBuild } from '../common/build-store';
import { BuildBar } from '../common/build-bar';
import { BuildScreen, useScreenCommands } from '../common/build-screen';
import { WholePart } from '../common/once-whole';
import { useBackground } from '../common/use-background';
import { usePart } from '../common/use-part';
import { thisYear, useRegister } from '../common/use-register';
import { MismatchesTab } from './mismatches-tab';

// Each part comes when it is shown: a page carries the one that it opens with.
const AffordTab = dynamic(() => import('./afford-tab').then((m) => m.AffordTab));
const FadingTab = dynamic(() => import('./fading-tab').then((m) => m.FadingTab));
const RecolourTab = dynamic(() => import('./recolour-tab').then((m) => m.RecolourTab));
const StickersTab = dynamic(() => import('./stickers/stickers-tab').then((m) => m.StickersTab));

/** Colour: what shows most, what each fix costs, what was never made in that colour, and what would do instead. */
export function ColourScreen({ snapshot, register }: { snapshot: BuildSnapshot; register: RegisterRows }) {
  return (
    <BuildScreen snapshot={snapshot}>
      <OnceRegistered came={register} />
    </BuildScreen>
  );
}

const PARTS = [
  { name: 'mismatches', words: 'Mismatches' },
  { name: 'fading', words: 'Fading' },
  { name: 'recolour', words: 'Recolour' },
  { name: 'stickers', words: 'Stickers' },
  { name: 'afford', words: 'Which colour can I afford?' },
] as const;

/** The screen once the register has answered for the build's parts. */
function OnceRegistered({ came }: { came: RegisterRows }) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const background = useBackground();
  const register = useRegister(workbench, version, came);
  if (register) return <ColourParts register={register} />;
  return (
    <div className="page-box flex flex-col">
      <BuildBar screen="Colour" background={background} />
      <BalanceStrip />
      <main className="p-4">
        <h1 className="sr-only">Colour</h1>
        <p role="status" className="text-soft">
          Asking the register which part was made in which colour…
        </p>
      </main>
    </div>
  );
}

function ColourParts({ register }: { register: Register }) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const background = useBackground();
  const [part, setPart, keys] = usePart(PARTS, 'mismatches');
  const [aged, setAged] = useState<AgedApart | null>(null);
  const [trying, setTrying] = useState<Tally | null>(null);
  const audit = useMemo(() => {
    void version;
    return auditColours(workbench, register, thisYear());
  }, [workbench, version, register]);
  useScreenCommands(keys, background.next);
  const choose = (next: typeof part) => {
    setTrying(null);
    setPart(next);
  };
  return (
    <div className="page-box flex flex-col">
      <BuildBar screen="Colour" background={background}>
        <Link
          href="/import?for=register"
          aria-label="Add a list to the register of colours"
          title="Add a list to the register of colours"
          className="hover:bg-wash grid size-7 place-items-center rounded-md"
        >
          <BookOpen size={16} aria-hidden />
        </Link>
      </BuildBar>
      <BalanceStrip trying={trying} />
      <Tabs label="Colour" chosen={part} onChoose={choose} tabs={withKeys(PARTS)}>
        <main className="min-h-0 flex-1">
          <TabPart name="mismatches">
            <MismatchesTab
              audit={audit}
              register={register}
              onTry={setTrying}
              onAged={(a) => {
                setAged(a);
                choose('fading');
              }}
            />
          </TabPart>
          <WholePart name="fading" screen="Colour">
            <FadingTab onTry={setTrying} opensAt={aged} />
          </WholePart>
          <WholePart name="recolour" screen="Colour">
            <RecolourTab register={register} onTry={setTrying} />
          </WholePart>
          <WholePart name="stickers" screen="Colour">
            <StickersTab />
          </WholePart>
          <WholePart name="afford" screen="Colour">
            <AffordTab audit={audit} register={register} />
          </WholePart>
        </main>
      </Tabs>
    </div>
  );
}
