'use client';

import { useState, type ReactNode } from 'react';
import { keepWallJob, overhangOf, planWalls, type Way } from '@/core/fit';
import type { Tally } from '@/core/ledger';
import type { WallJob } from '@/core/records';
import { Button, Key } from '@/ui/button';
import { pieces } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { useTrying } from '../common/use-trying';
import { useCommands } from '../commands';
import { firmWords, jointCostWords, laidHeadline, overhangWords, runsOutWords } from '../words/fit';
import { JobColumns } from '../common/job-columns';
import { LaidSide } from './laid-side';
import { useBothWays, useCourses, useLaid, usePlan, useStated } from './use-walls';
import { WallCourses } from './wall-courses';
import { WallDrawings } from './wall-drawings';
import { WallForm } from './wall-form';
import { WallOffers } from './wall-offers';
import { WayChoice } from './way-choice';
import { WeakJoints } from './weak-joints';

export interface LaidProps {
  readonly job: WallJob;
  readonly choice: ReactNode;
  readonly onTry: (tally: Tally | null) => void;
}

/** Walls that are stated: laid while one looks, both ways. */
export function WallsStated({ job, choice, onTry }: LaidProps) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const [way, setWay] = useState<Way>('firm');
  const courses = useCourses(job);
  const stated = useStated(job);
  const bad = typeof stated === 'string' ? stated : null;
  const { of, tools, counted, isGuess } = useBothWays(stated);
  const { laying, step } = tools[way];
  const here = of(way);
  const laid = useLaid(job, here, laying?.pieces ?? null);
  const plan = usePlan(job, here, laying?.pieces ?? null);
  useTrying(plan?.work.entries ?? null, onTry);
  const commit = () => {
    if (!here || !laying || laying.pieces.length === 0) return;
    perform(planWalls(workbench, job, here, laying.pieces, source()).work);
  };
  useCommands([
    { name: 'Plan these pieces', key: 'p', run: commit },
    { name: 'The other way of laying', key: 'w', run: () => setWay(way === 'firm' ? 'as it lies' : 'firm') },
  ]);
  const busy = step === 'looking' || step === 'waiting' || step === 'first';
  return (
    <JobColumns
      left={
        <>
          {choice}
          <WallForm job={job} onChange={(next) => perform(keepWallJob(workbench, next))} />
        </>
      }
      side={
        <LaidSide
          lots={plan?.lots ?? []}
          cost={plan?.cost ?? null}
          problems={plan?.work.problems.length ?? 0}
          tools={tools[way]}
        >
          <Button look="main" onClick={commit} disabled={!laying || laying.pieces.length === 0}>
            Plan these {pieces(plan?.lots.reduce((s, l) => s + l.qty, 0) ?? 0)} <Key>P</Key>
          </Button>
          <p className="text-soft mt-2">
            They go into “<bdi>{job.name}</bdi>” in <bdi>{workbench.records.zone.get(job.zone)?.name}</bdi>,
            course by course, and one undo takes them back.
          </p>
        </LaidSide>
      }
    >
      {bad || typeof stated === 'string' || !laid || !laying || !plan || !here ? (
        <h1 className="text-[21px] leading-tight">{bad ?? 'It is being laid…'}</h1>
      ) : (
        <>
          <h1 className="text-[21px] leading-tight">
            {laidHeadline({
              what: 'walls',
              unfilled: laying.unfilled,
              lots: plan.lots,
              cost: plan.cost,
            })}
          </h1>
          <p className="text-background-soft" role="status">
            {firmWords('walls', laying.joints, laying.proven, busy)} {runsOutWords(laid.ends)}{' '}
            {overhangWords(overhangOf(job))}{' '}
            {!isGuess && jointCostWords(tools.firm.laying, tools['as it lies'].laying)}
          </p>
          <WayChoice
            way={way}
            onWay={setWay}
            layings={{ firm: counted('firm'), 'as it lies': counted('as it lies') }}
          />
          <WallDrawings job={job} stated={here} laid={laid} upTo={courses.upTo} />
          <WallCourses job={job} laid={laid} {...courses} />
          <WeakJoints
            job={job}
            problem={stated.firm.problem}
            pieces={laying.pieces}
            joints={laid.joints}
            elementOf={(part) => stated.firm.parts.get(part) ?? here.parts.get(part)}
          />
          <WallOffers job={job} onTake={(next) => perform(keepWallJob(workbench, next))} />
        </>
      )}
    </JobColumns>
  );
}
