'use client';

import { useMemo } from 'react';
import { briefOf, keepBrief, rulesNow } from '@/core/brief';
import { MUST_STAY } from '@/core/inspection';
import type { Brief } from '@/core/records';
import type { BuildSnapshot } from '@/core/workbench';
import { count } from '@/ui/numbers';
import { TabPart, Tabs, withKeys } from '@/ui/tabs';
import { BalanceStrip } from '../common/balance-strip';
import { BuildBar } from '../common/build-bar';
import { BuildScreen, useScreenCommands } from '../common/build-screen';
import { useBuild } from '../common/build-store';
import { useBackground } from '../common/use-background';
import { usePart } from '../common/use-part';
import { briefHeadline } from '../words/brief';
import { AttemptsTab } from './attempts-tab';
import { CompromisesTab } from './compromises-tab';
import { HouseRules } from './house-rules';
import { LettersTab } from './letters-tab';
import { MustStay } from './must-stay';
import { TimeTab } from './time-tab';
import { WhatFor } from './what-for';

/** Brief: what was decided before a part is moved, and whether it is kept. */
export function BriefScreen({ snapshot }: { snapshot: BuildSnapshot }) {
  return (
    <BuildScreen snapshot={snapshot}>
      <BriefParts />
    </BuildScreen>
  );
}

const PARTS = [
  { name: 'what', words: 'What for' },
  { name: 'stay', words: 'What must stay' },
  { name: 'rules', words: 'House rules' },
  { name: 'compromises', words: 'Compromises' },
  { name: 'attempts', words: 'Attempts' },
  { name: 'time', words: 'Time' },
  { name: 'asked', words: 'Who was asked' },
] as const;

function BriefParts() {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const background = useBackground();
  const [part, setPart, keys] = usePart(PARTS, 'what');
  useScreenCommands(keys, background.next);
  const { brief, rules } = useMemo(() => {
    void version;
    return { brief: briefOf(workbench), rules: rulesNow(workbench) };
  }, [workbench, version]);
  const stay = [...workbench.records.finding.values()].filter((f) => MUST_STAY.includes(f.kind));
  const keep = (more: Partial<Brief>) => perform(keepBrief(workbench, { ...brief, ...more }));
  const broken = rules.filter((r) => r.state.holds === false).length;
  return (
    <div className="page-box flex flex-col">
      <BuildBar screen="Brief" background={background} />
      <BalanceStrip />
      <Tabs
        label="Brief"
        chosen={part}
        onChoose={setPart}
        tabs={withKeys(PARTS, {
          stay: count(stay.length),
          rules: broken > 0 ? `${count(rules.length)}, ${count(broken)} broken` : count(rules.length),
        })}
      >
        <main className="flex min-h-0 flex-1 flex-col">
          <div className="px-4 pt-3 pb-2">
            <h1 className="text-[21px] leading-tight">{briefHeadline(brief.purpose, rules)}</h1>
            {brief.purpose && (
              <p className="text-soft mt-0.5">
                <bdi>{brief.purpose}</bdi>
              </p>
            )}
          </div>
          <div className="min-h-0 flex-1">
            <TabPart name="what">
              <WhatFor brief={brief} onKeep={keep} />
            </TabPart>
            <TabPart name="stay">
              <MustStay findings={stay} />
            </TabPart>
            <TabPart name="rules">
              <HouseRules brief={brief} now={rules} onKeep={keep} />
            </TabPart>
            <TabPart name="compromises">
              <CompromisesTab />
            </TabPart>
            <TabPart name="attempts">
              <AttemptsTab />
            </TabPart>
            <TabPart name="time">
              <TimeTab />
            </TabPart>
            <TabPart name="asked">
              <LettersTab />
            </TabPart>
          </div>
        </main>
      </Tabs>
    </div>
  );
}
