'use client';

import { useMemo, useState, type ReactNode } from 'react';
import {
  deleteWallJob,
  keepWallJob,
  laidWalls,
  layWallAnew,
  mirroredWalls,
  overhangOf,
  piecesLaid,
  newWallJob,
  planMend,
  plannedWalls,
  planWalls,
  standingWalls,
  wallsProblem,
  WAYS,
  type StatedWalls,
  type Way,
} from '@/core/fit';
import type { Tally } from '@/core/ledger';
import type { WallJob } from '@/core/records';
import { cutText } from '@/core/shared/text';
import type { Workbench } from '@/core/workbench';
import { Button, Key } from '@/ui/button';
import { pieces } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { useTrying } from '../common/use-trying';
import { useCommands } from '../commands';
import {
  firmWords,
  jointCostWords,
  laidHeadline,
  overhangWords,
  plannedHeadline,
  runsOutWords,
  wallFaultWords,
} from '../words/fit';
import { FitColumns } from './fit-columns';
import { FitEmpty } from './fit-empty';
import { JobChoice } from './job-choice';
import { LaidSide } from './laid-side';
import { PlannedSide } from './planned-side';
import { useJobs } from './use-jobs';
import { useLaying, type LayingTools } from './use-laying';
import { WallCourses } from './wall-courses';
import { WallDrawings } from './wall-drawings';
import { WallForm } from './wall-form';
import { WallOffers } from './wall-offers';
import { WayChoice } from './way-choice';
import { WeakJoints } from './weak-joints';

/** How long each way is looked for, in seconds. What is at hand alone leaves less to choose. */
const SECONDS: Readonly<Record<Way, number>> = { firm: 12, 'as it lies': 5 };

/** Walls: what is wanted on the left, how it is laid in the middle, with what on the right. */
export function WallsTab({ onTry }: { onTry: (tally: Tally | null) => void }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const { jobs, job, choose } = useJobs('wallJob');
  const begin = () => {
    const made = newWallJob(workbench, workbench.zones[1]?.id ?? workbench.rootZone.id, source());
    perform(keepWallJob(workbench, made));
    choose(made.id);
  };
  const copyMirrored = (of: WallJob) => {
    const made = {
      ...newWallJob(workbench, of.zone, source()),
      ...mirroredWalls(of),
      name: cutText(`${of.name}, mirrored`, 120),
    };
    perform(keepWallJob(workbench, made));
    choose(made.id);
  };
  if (!job)
    return (
      <FitEmpty
        title="No wall has been stated yet."
        says="Say how long it is and of which courses: it is laid from what this build has at hand, and what has to be bought is told before the first brick."
        words="State a wall"
        onBegin={begin}
      />
    );
  const Show = job.planned ? WallsPlanned : WallsStated;
  return (
    <Show
      key={job.id}
      job={job}
      onTry={onTry}
      choice={
        <>
          <JobChoice
            label="Walls"
            jobs={jobs}
            chosen={job}
            onChoose={choose}
            onBegin={begin}
            onDelete={() => perform(deleteWallJob(job))}
          />
          <Button onClick={() => copyMirrored(job)}>Copy it mirrored</Button>
        </>
      }
    />
  );
}

/** The problem of each way; a sentence where walls cannot stand as they are wanted. */
function useStated(workbench: Workbench, version: number, job: WallJob) {
  return useMemo(() => {
    void version;
    const [firm, lies] = WAYS.map((way) => wallsProblem(workbench, job, way));
    if (firm!.ok && lies!.ok) return { firm: firm!.value, 'as it lies': lies!.value };
    const bad = [firm!, lies!].find((s) => !s.ok);
    return bad && !bad.ok ? wallFaultWords(bad.reason) : 'These walls cannot be laid.';
  }, [workbench, version, job]);
}

interface LaidProps {
  readonly job: WallJob;
  readonly choice: ReactNode;
  readonly onTry: (tally: Tally | null) => void;
}

/** Goes from course to course by key; null = all of them. */
function useCourses(job: WallJob) {
  const [upTo, setUpTo] = useState<number | null>(null);
  const last = job.courses.length - 1;
  const go = (by: number) =>
    setUpTo((c) => (c === null ? (by > 0 ? 0 : last) : Math.max(0, Math.min(last, c + by))));
  useCommands([
    { name: 'Next course', key: 'ArrowRight', run: () => go(1) },
    { name: 'Course before', key: 'ArrowLeft', run: () => go(-1) },
    { name: 'All courses', key: 'a', run: () => setUpTo(null) },
  ]);
  return { upTo: upTo === null ? null : Math.min(upTo, last), go, all: () => setUpTo(null) };
}

/** Walls that are stated: laid while one looks, both ways. */
function WallsStated({ job, choice, onTry }: LaidProps) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const [way, setWay] = useState<Way>('firm');
  const courses = useCourses(job);
  const stated = useStated(workbench, version, job);
  const bad = typeof stated === 'string' ? stated : null;
  const of = (w: Way) => (typeof stated === 'string' ? null : stated[w]);
  const tools: Readonly<Record<Way, LayingTools>> = {
    firm: useLaying(of('firm')?.problem ?? null, SECONDS.firm),
    'as it lies': useLaying(of('as it lies')?.problem ?? null, SECONDS['as it lies']),
  };
  const { laying, step } = tools[way];
  const here = of(way);
  const counted = (w: Way) => {
    const [l, s] = [tools[w].laying, of(w)];
    return l && s && { joints: l.joints, unfilled: l.unfilled, pieces: piecesLaid(s, l.pieces) };
  };
  const laid = useLaid(job, here, laying?.pieces ?? null);
  const plan = usePlan(workbench, version, job, here, laying?.pieces ?? null);
  useTrying(plan?.work.entries ?? null, onTry);
  /** Money that rests on a part without a price is not told. */
  const isGuess = tools.firm.laying?.pieces.some((p) => of('firm')?.parts.get(p.part)?.supply.guessed);
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
    <FitColumns
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
    </FitColumns>
  );
}

/** Walls as they were planned: to be built from, course by course. */
function WallsPlanned({ job, choice }: LaidProps) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const courses = useCourses(job);
  const stated = useStated(workbench, version, job);
  const laid = plannedWalls(job);
  const source = useBuild((s) => s.source);
  const standing = useMemo(
    () => (typeof stated === 'string' ? null : standingWalls(job, stated.firm)),
    [job, stated],
  );
  if (!laid || typeof stated === 'string') return null;
  return (
    <FitColumns
      left={choice}
      side={
        <PlannedSide job={job} pieces={laid.pieces} onAnew={() => perform(layWallAnew(workbench, job))} />
      }
    >
      <h1 className="text-[21px] leading-tight">{plannedHeadline(workbench, job)}</h1>
      <p className="text-background-soft mb-2">
        {firmWords('walls', laid.joints.length, true, false, false)}
      </p>
      <WallDrawings job={job} stated={stated.firm} laid={laid} upTo={courses.upTo} />
      <WallCourses job={job} laid={laid} {...courses} />
      {standing && (
        <WeakJoints
          job={job}
          problem={standing.problem}
          pieces={standing.pieces}
          joints={laid.joints}
          elementOf={(part) => stated.firm.parts.get(part)}
          onMend={(mend) => perform(planMend(workbench, job, stated.firm, mend, source()))}
        />
      )}
    </FitColumns>
  );
}

type Pieces = Parameters<typeof planWalls>[3];

/** The walls piece by piece, as they are drawn. */
const useLaid = (job: WallJob, stated: StatedWalls | null, laid: Pieces | null) =>
  useMemo(() => (stated && laid ? laidWalls(job, stated, laid) : null), [job, stated, laid]);

/** What the laying would be as planned entries: the same that are booked when it is planned. */
function usePlan(
  workbench: Workbench,
  version: number,
  job: WallJob,
  stated: StatedWalls | null,
  laid: Pieces | null,
) {
  return useMemo(() => {
    void version;
    if (!stated || !laid) return null;
    let n = 0;
    return planWalls(workbench, job, stated, laid, { newId: () => `try-${n++}`, now: '' });
  }, [workbench, version, job, stated, laid]);
}
