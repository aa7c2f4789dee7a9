'use client';

import { formatFixed, formatLength } from '@/core/shared/forms';
import { useMemo } from 'react';
import {
  cutProblemOf,
  cutsOfPlan,
  cutStripes,
  deleteStripJob,
  insteadOf,
  keepStripJob,
  newStripJob,
  type ScrapCuts,
} from '@/core/stickers';
import { faultOf, spareTries, type CutPlan, type CutProblem } from '@/core/stickers/cutting';
import type { StripJob } from '@/core/records';
import { Button } from '@/ui/button';
import { count } from '@/ui/numbers';
import { useBuild } from '../../common/build-store';
import { Caution } from '../../common/caution';
import { JobChoice } from '../../common/job-choice';
import { JobColumns } from '../../common/job-columns';
import { Sum } from '../../common/result';
import { useJobs } from '../../common/use-jobs';
import { differenceWords } from '../../words/colour';
import { areaWords, cutHeadline, insteadWords, WHY_WORDS } from '../../words/stickers';
import { CutSteps } from './cut-steps';
import { InBrick } from './in-brick';
import { ScrapDrawing } from './scrap-drawing';
import { StripsForm } from './strips-form';
import { TemplateButtons } from './template-buttons';
import { useCutting, type CuttingStep } from './use-cutting';
import { SECONDS as CUT_SECONDS } from './use-cutting';
import { TimedProgress } from '@/ui/timed-progress';

const STEP_WORDS: Readonly<Record<CuttingStep, string>> = {
  first: 'From the largest to the smallest, as one would by hand; a better way is looked for.',
  looking: 'A better way is looked for…',
  done: 'The best that was found in the time.',
  stopped: 'Stopped: the best so far.',
  failed: 'The server did not answer: this is the way from the largest to the smallest.',
};

/** Stripes to be cut: which comes from which sheet, by which cuts, what lacks and what would do instead. */
export function StripesPart() {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const { jobs, job, choose } = useJobs('stripJob');
  const begin = () => {
    const made = newStripJob(workbench, source(), workbench.zones[1]?.id ?? workbench.rootZone.id);
    perform(keepStripJob(workbench, made));
    choose(made.id);
  };
  if (!job)
    return (
      <div className="p-4">
        <Sum
          title="Stripes to be cut"
          form={
            <Button look="main" onClick={begin}>
              Say which stripes are wanted
            </Button>
          }
        >
          <p className="text-soft max-w-prose">
            Say how wide, how long, how many and of which colour: they are found in what is left of the
            sticker sheets, with every cut by ruler and blade.
          </p>
        </Sum>
      </div>
    );
  return (
    <Stripes
      key={job.id}
      job={job}
      choice={
        <JobChoice
          label="Stripes"
          jobs={jobs}
          chosen={job}
          onChoose={choose}
          onBegin={begin}
          onDelete={() => perform(deleteStripJob(job))}
        />
      }
    />
  );
}

function Stripes({ job, choice }: { job: StripJob; choice: React.ReactNode }) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const problem = useMemo(() => {
    void version;
    return cutProblemOf(workbench, job);
  }, [workbench, version, job]);
  const { plan, step, stop } = useCutting(problem);
  const cuts = useMemo(() => (plan ? cutsOfPlan(workbench, problem, plan) : []), [workbench, problem, plan]);
  const keep = (more: Partial<StripJob>) => perform(keepStripJob(workbench, { ...job, ...more }));
  return (
    <JobColumns
      left={
        <>
          {choice}
          <StripsForm job={job} onKeep={keep} />
        </>
      }
      side={
        <aside
          aria-label="What to do"
          tabIndex={0}
          className="border-rule min-h-0 border-l p-4 lg:overflow-auto print:border-0"
        >
          {plan && <Lacking job={job} problem={problem} plan={plan} cuts={cuts} />}
          <p className="text-soft my-2" role="status">
            {plan?.proven ? 'Proven: nothing better is possible.' : STEP_WORDS[step]}
          </p>
          {step === 'looking' && <TimedProgress label="Looking for a better cut" seconds={CUT_SECONDS} />}
          <div className="no-print my-2 flex flex-wrap gap-2">
            {step === 'looking' && <Button onClick={stop}>Stop</Button>}
            <Button
              look="main"
              disabled={cuts.length === 0}
              onClick={() => perform(cutStripes(workbench, job, cuts, source()))}
            >
              {`They are cut: keep ${count(plan?.placed.length ?? 0)}`}
            </Button>
            <Button onClick={() => window.print()}>Print</Button>
          </div>
          <TemplateButtons job={job} plan={plan} />
          <Caution of={['blade', 'solvent', 'heat']} />
          <InBrick job={job} />
        </aside>
      }
    >
      {!plan && <h1 className="text-[21px] leading-tight">▲ This cannot be planned: {faultOf(problem)}.</h1>}
      {plan && <h1 className="text-[21px] leading-tight">{cutHeadline(plan)}</h1>}
      {plan?.kept && (
        <p className="text-background-soft mb-2">
          The largest piece that stays whole of what is cut into: {formatLength(plan.kept.w)} by{' '}
          {formatLength(plan.kept.h)}, {areaWords(plan.kept.w * plan.kept.h)}. Colours differ by{' '}
          {formatFixed(plan.deltaE / Math.max(1, plan.placed.length))} ΔE on average.
        </p>
      )}
      <ul className="flex flex-col gap-4">
        {cuts.map((cut) => (
          <li key={cut.scrap.id}>
            <h2 className="text-[16px]">
              {cut.scrap.sheet.name}, {cut.scrap.field.name}
            </h2>
            <ScrapDrawing cut={cut} problem={problem} job={job} />
            <CutSteps cut={cut} />
          </li>
        ))}
      </ul>
    </JobColumns>
  );
}

interface LackingProps {
  readonly job: StripJob;
  readonly problem: CutProblem;
  readonly plan: CutPlan;
  readonly cuts: readonly ScrapCuts[];
}

/** What cannot be cut, why, and what would do; of what can, how many more tries there are. */
function Lacking({ job, problem, plan, cuts }: LackingProps) {
  const workbench = useBuild((s) => s.workbench);
  const opened = new Set(plan.placed.map((p) => p.field));
  const instead = insteadOf(
    workbench,
    job,
    problem,
    plan.unmet.map((u) => u.strip),
    opened,
  );
  const nameOf = (id: string) => job.strips.find((s) => s.id === id)?.name ?? id;
  return (
    <>
      {plan.unmet.length > 0 && <h2 className="text-[16px]">What lacks</h2>}
      <ul>
        {plan.unmet.map((u) => {
          const way = instead.find((i) => i.stripe.id === u.strip);
          return (
            <li key={u.strip} className="border-rule border-b py-2">
              <b>
                {count(u.count)} {nameOf(u.strip)}
              </b>
              : {WHY_WORDS[u.why]}.{' '}
              {way?.other &&
                `Nearest other colour: ${way.other.scrap.field.name} of ${way.other.scrap.sheet.name}, ${differenceWords(way.other.deltaE)}. `}
              {way && insteadWords(way)}
              {way && !way.other && !way.inPieces && 'Nothing else that is left is large enough.'}
            </li>
          );
        })}
      </ul>
      {cuts.length > 0 && <h2 className="mt-3 text-[16px]">Spare tries</h2>}
      <ul>
        {job.strips.map((s) => {
          const from = cuts.filter((c) => c.placed.some((p) => p.strip === s.id));
          if (from.length === 0) return null;
          const n = from.reduce((sum, c) => sum + spareTries(c.rests, s, job.kerf), 0);
          return (
            <li key={s.id} className="border-rule border-b py-1">
              {s.name}: {n === 0 ? 'none, cut it with care' : `at least ${count(n)} more`}
            </li>
          );
        })}
      </ul>
    </>
  );
}
