'use client';

import { useMemo, useState } from 'react';
import type { BuildSnapshot } from '@/core/bench';
import { completeness, findingState, MUST_STAY, type Completeness } from '@/core/survey';
import { count, money, pieces } from '@/ui/numbers';
import { Tabs } from '@/ui/tabs';
import { BalanceStrip } from '../common/balance-strip';
import { useBench } from '../common/bench-store';
import { BuildBar } from '../common/build-bar';
import { BuildScreen, useScreenKeys } from '../common/build-screen';
import { useMat } from '../common/use-mat';
import { CountIn } from './count-in';
import { Findings } from './findings';
import { MissingPanel } from './missing-panel';
import { MustStay } from './must-stay';
import { SizePanel } from './size-panel';

/** Look over: what is good, what is missing, what is wrong with this copy, before anything is changed. */
export function LookOverScreen({ snapshot }: { snapshot: BuildSnapshot }) {
  return (
    <BuildScreen snapshot={snapshot}>
      <LookOver />
    </BuildScreen>
  );
}

type Part = 'count' | 'findings' | 'stay' | 'size';

function LookOver() {
  const bench = useBench((s) => s.bench);
  const version = useBench((s) => s.version);
  const mat = useMat();
  const [part, setPart] = useState<Part>('count');
  const keys = useMemo(
    () =>
      (['count', 'findings', 'stay', 'size'] as const).map((p, i) => ({
        key: `alt+${i + 1}`,
        everywhere: true,
        run: () => setPart(p),
      })),
    [],
  );
  useScreenKeys(keys, mat.next);
  const report = useMemo(() => {
    void version;
    return completeness(bench);
  }, [bench, version]);
  const findings = [...bench.records.finding.values()];
  const open = findings.filter((f) => ['open', 'planned'].includes(findingState(f, bench.entries)));
  const stay = findings.filter((f) => MUST_STAY.includes(f.kind));
  return (
    <div className="flex h-dvh flex-col">
      <BuildBar screen="Look over" mat={mat} />
      <BalanceStrip />
      <Tabs
        label="Parts of looking over"
        chosen={part}
        onChoose={setPart}
        tabs={[
          { name: 'count', words: 'Count it in', keys: 'Alt 1', aside: `${report.counted}/${report.lots}` },
          { name: 'findings', words: 'Findings', keys: 'Alt 2', aside: count(open.length) },
          { name: 'stay', words: 'What must stay', keys: 'Alt 3', aside: count(stay.length) },
          { name: 'size', words: 'Size', keys: 'Alt 4' },
        ]}
      />
      <main className="flex min-h-0 flex-1 flex-col">
        <div className="px-4 pt-3 pb-2">
          <h1 className="text-[21px] leading-tight">{headline(report, open.length)}</h1>
          <p className="text-soft mt-0.5">{aside(report, stay.length)}</p>
        </div>
        <div className="min-h-0 flex-1">
          {part === 'count' && (
            <div className="grid h-full min-h-0 max-lg:overflow-auto lg:grid-cols-[1fr_420px]">
              <CountIn />
              <MissingPanel report={report} />
            </div>
          )}
          {part === 'findings' && <Findings findings={findings.filter((f) => !MUST_STAY.includes(f.kind))} />}
          {part === 'stay' && <MustStay findings={stay} />}
          {part === 'size' && <SizePanel />}
        </div>
      </main>
    </div>
  );
}

/** The answer to the screen's question, numbers first. */
function headline(r: Completeness, open: number): string {
  const found = open > 0 ? ` ${count(open)} ${open === 1 ? 'finding is' : 'findings are'} open.` : '';
  if (r.lots === 0) return 'There is no box on this model yet. Bring one in to look it over.';
  const lack = r.expected - r.there;
  const share = Math.floor((1000 * r.there) / Math.max(1, r.expected)) / 10;
  if (r.counted === 0 && lack === 0) return `${pieces(r.expected)} in the box, none counted yet.${found}`;
  const gone = lack === 0 ? 'nothing is missing so far' : `${count(lack)} missing or broken`;
  return `${count(r.there)} of ${pieces(r.expected)} are there (${share} %), ${gone}.${found}`;
}

function aside(r: Completeness, stay: number): string {
  const good = r.makingGood;
  const cost =
    good.pieces > 0
      ? ` Making ${pieces(good.pieces)} good costs ${money(good.cost)}${good.unpriced > 0 ? `, and ${count(good.unpriced)} have no price` : ''}.`
      : '';
  const must = stay > 0 ? ` ${count(stay)} things must stay.` : '';
  return `Worth ${money(r.worthThere)} of ${money(r.worthExpected)}. ${count(r.counted)} of ${count(r.lots)} lots counted.${cost}${must}`;
}
