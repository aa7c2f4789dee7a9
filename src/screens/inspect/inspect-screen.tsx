'use client';

import { useMemo } from 'react';
import type { BuildSnapshot } from '@/core/workbench';
import { completeness, findingState, MUST_STAY, type Completeness } from '@/core/inspection';
import { count, money, pieces, kinds, priced } from '@/ui/numbers';
import { TabPart, Tabs, withKeys } from '@/ui/tabs';
import { BalanceStrip } from '../common/balance-strip';
import { useBuild } from '../common/build-store';
import { BuildBar } from '../common/build-bar';
import { BuildScreen, useScreenCommands } from '../common/build-screen';
import { useBackground } from '../common/use-background';
import { usePart } from '../common/use-part';
import { CheckOff } from './check-off';
import { Findings } from './findings';
import { MissingPanel } from './missing-panel';
import { SizePanel } from '../common/size-panel';

/** Inspect: what is good, what is missing, what is wrong with this copy, before anything is changed. */
export function InspectScreen({ snapshot }: { snapshot: BuildSnapshot }) {
  return (
    <BuildScreen snapshot={snapshot}>
      <Inspect />
    </BuildScreen>
  );
}

const PARTS = [
  { name: 'count', words: 'Check off' },
  { name: 'findings', words: 'Findings' },
  { name: 'size', words: 'Size' },
] as const;

function Inspect() {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const background = useBackground();
  const [part, setPart, keys] = usePart(PARTS, 'count');
  useScreenCommands(keys, background.next);
  const report = useMemo(() => {
    void version;
    return completeness(workbench);
  }, [workbench, version]);
  const findings = [...workbench.records.finding.values()];
  const open = findings.filter((f) => ['open', 'planned'].includes(findingState(f, workbench.entries)));
  const stay = findings.filter((f) => MUST_STAY.includes(f.kind));
  return (
    <div className="page-box flex flex-col">
      <BuildBar screen="Inspect" background={background} />
      <BalanceStrip />
      <Tabs
        label="Inspect"
        chosen={part}
        onChoose={setPart}
        tabs={withKeys(PARTS, {
          count: `${report.counted}/${report.lots}`,
          findings: count(open.length),
        })}
      >
        <main className="flex min-h-0 flex-1 flex-col">
          <div className="px-4 pt-3 pb-2">
            <h1 className="text-[21px] leading-tight">{headline(report, open.length)}</h1>
            <p className="text-soft mt-0.5">{aside(report, stay.length)}</p>
          </div>
          <div className="min-h-0 flex-1">
            <TabPart name="count">
              <div className="grid h-full min-h-0 lg:grid-cols-[1fr_420px]">
                <CheckOff />
                <MissingPanel report={report} />
              </div>
            </TabPart>
            <TabPart name="findings">
              <Findings findings={findings.filter((f) => !MUST_STAY.includes(f.kind))} />
            </TabPart>
            <TabPart name="size">
              <SizePanel />
            </TabPart>
          </div>
        </main>
      </Tabs>
    </div>
  );
}

/** The answer to the screen's question, numbers first. */
function headline(r: Completeness, open: number): string {
  const found = open > 0 ? ` ${count(open)} ${open === 1 ? 'finding is' : 'findings are'} open.` : '';
  if (r.lots === 0) return 'There is no box on this model yet. Import one to inspect it.';
  const lack = r.expected - r.there;
  const share = Math.floor((1000 * r.there) / Math.max(1, r.expected)) / 10;
  if (r.counted === 0 && lack === 0) return `${pieces(r.expected)} in the box, none checked off yet.${found}`;
  const gone = lack === 0 ? 'nothing is missing so far' : `${count(lack)} missing or broken`;
  return `${count(r.there)} of ${pieces(r.expected)} are there (${share} %), ${gone}.${found}`;
}

function aside(r: Completeness, stay: number): string {
  const good = r.replacement;
  const cost =
    good.pieces > 0 ? ` Replacing ${pieces(good.pieces)} costs ${priced(good.cost, good.unpriced)}.` : '';
  const must = stay > 0 ? ` ${count(stay)} things must stay.` : '';
  return `Worth ${money(r.worthThere)} of ${priced(r.worthExpected, r.unpriced)}. ${count(r.counted)} of ${kinds(r.lots)} checked off.${cost}${must}`;
}
