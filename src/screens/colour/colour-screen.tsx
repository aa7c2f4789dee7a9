'use client';

import { BookOpen } from 'lucide-react';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import { auditColours } from '@/core/audit';
import type { BuildSnapshot } from '@/core/bench';
import type { Tally } from '@/core/ledger';
import { Tabs } from '@/ui/tabs';
import { BalanceStrip } from '../common/balance-strip';
import { useBench } from '../common/bench-store';
import { BuildBar } from '../common/build-bar';
import { BuildScreen, useScreenKeys } from '../common/build-screen';
import { OnceWhole } from '../common/once-whole';
import { useMat } from '../common/use-mat';
import { thisYear, useRegister } from '../common/use-register';
import { AffordTab } from './afford-tab';
import { FadingTab } from './fading-tab';
import { SlipsTab } from './slips-tab';
import { WholeTab } from './whole-tab';

/** Colour: what shows most, what each fix costs, what was never made in that colour, and what would do instead. */
export function ColourScreen({ snapshot }: { snapshot: BuildSnapshot }) {
  return (
    <BuildScreen snapshot={snapshot}>
      <OnceWhole screen="Colour">
        <ColourParts />
      </OnceWhole>
    </BuildScreen>
  );
}

const PARTS = ['slips', 'fading', 'whole', 'afford'] as const;
type Part = (typeof PARTS)[number];

function ColourParts() {
  const bench = useBench((s) => s.bench);
  const version = useBench((s) => s.version);
  const mat = useMat();
  const [part, setPart] = useState<Part>('slips');
  const [trying, setTrying] = useState<Tally | null>(null);
  const register = useRegister(bench, version);
  const audit = useMemo(() => {
    void version;
    return auditColours(bench, register, thisYear());
  }, [bench, version, register]);
  const keys = useMemo(
    () => PARTS.map((p, i) => ({ key: `alt+${i + 1}`, everywhere: true, run: () => setPart(p) })),
    [],
  );
  useScreenKeys(keys, mat.next);
  const choose = (next: Part) => {
    setTrying(null);
    setPart(next);
  };
  return (
    <div className="flex h-dvh flex-col">
      <BuildBar screen="Colour" mat={mat}>
        <Link
          href="/bring-in?for=register"
          aria-label="Add a list to the register of colours"
          title="Add a list to the register of colours"
          className="hover:bg-wash grid size-7 place-items-center rounded-md"
        >
          <BookOpen size={16} aria-hidden />
        </Link>
      </BuildBar>
      <BalanceStrip trying={trying} />
      <Tabs
        label="Parts of colour"
        chosen={part}
        onChoose={choose}
        tabs={[
          { name: 'slips', words: 'Slips', keys: 'Alt 1' },
          { name: 'fading', words: 'Fading', keys: 'Alt 2' },
          { name: 'whole', words: 'Whole colours', keys: 'Alt 3' },
          { name: 'afford', words: 'Which colour can I afford?', keys: 'Alt 4' },
        ]}
      />
      <main className="min-h-0 flex-1">
        {part === 'slips' && <SlipsTab audit={audit} register={register} onTry={setTrying} />}
        {part === 'fading' && <FadingTab onTry={setTrying} />}
        {part === 'whole' && <WholeTab register={register} onTry={setTrying} />}
        {part === 'afford' && <AffordTab audit={audit} register={register} />}
      </main>
    </div>
  );
}
