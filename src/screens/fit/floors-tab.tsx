'use client';

import { useMemo, useState, type ReactNode } from 'react';
import {
  deleteFloorJob,
  floorProblem,
  keepFloorJob,
  laidFloor,
  mirroredFloor,
  layFloorAnew,
  newFloorJob,
  plannedFloor,
  planFloor,
  type Way,
} from '@/core/fit';
import type { Tally } from '@/core/ledger';
import type { FloorJob } from '@/core/records';
import { cutText } from '@/core/shared/text';
import { Button, Key } from '@/ui/button';
import { pieces } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { useTrying } from '../common/use-trying';
import { useCommands } from '../commands';
import { firmWords, floorFaultWords, laidHeadline, plannedHeadline, shareWords } from '../words/fit';
import { JobColumns } from '../common/job-columns';
import { FitEmpty } from './fit-empty';
import { FloorForm } from './floor-form';
import { FloorPlan } from './floor-plan';
import { JobChoice } from '../common/job-choice';
import { LaidSide } from './laid-side';
import { PlannedSide } from './planned-side';
import { useJobs } from '../common/use-jobs';
import { useLaying } from './use-laying';
import { WayChoice } from './way-choice';

const SECONDS = 12;

/** Floors, pavings and bases: what is wanted, how it lies from above, with what. */
export function FloorsTab({ onTry }: { onTry: (tally: Tally | null) => void }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const { jobs, job, choose } = useJobs('floorJob');
  const begin = () => {
    const made = newFloorJob(workbench, workbench.zones[1]?.id ?? workbench.rootZone.id, source());
    perform(keepFloorJob(workbench, made));
    choose(made.id);
  };
  const copyMirrored = (of: FloorJob) => {
    const made = {
      ...newFloorJob(workbench, of.zone, source()),
      ...mirroredFloor(of),
      name: cutText(`${of.name}, mirrored`, 120),
    };
    perform(keepFloorJob(workbench, made));
    choose(made.id);
  };
  if (!job)
    return (
      <FitEmpty
        title="No floor has been stated yet."
        says="Say how large it is, of which colours, and what is kept free: it is laid from what this build has at hand. A base is a floor of plates in two layers whose seams cross."
        words="State a floor"
        onBegin={begin}
      />
    );
  const Show = job.planned ? FloorPlanned : FloorStated;
  return (
    <Show
      key={job.id}
      job={job}
      onTry={onTry}
      choice={
        <>
          <JobChoice
            label="Floors"
            jobs={jobs}
            chosen={job}
            onChoose={choose}
            onBegin={begin}
            onDelete={() => perform(deleteFloorJob(job))}
          />
          <Button onClick={() => copyMirrored(job)}>Copy it mirrored</Button>
        </>
      }
    />
  );
}

interface FloorProps {
  readonly job: FloorJob;
  readonly choice: ReactNode;
  readonly onTry: (tally: Tally | null) => void;
}

/** A layer of the floor: stated, laid, and laid better while one looks. Null in place of a layer that is not wanted. */
function useLayer(
  job: FloorJob,
  way: Way,
  layer: number,
  under: ReturnType<typeof laidFloor>['pieces'] | null,
) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const made = useMemo(() => {
    void version;
    return under ? floorProblem(workbench, job, way, under) : null;
  }, [workbench, version, job, way, under]);
  const stated = made?.ok ? made.value : null;
  const tools = useLaying(stated?.problem ?? null, SECONDS);
  const { laying } = tools;
  const laid = useMemo(
    () => (stated && laying ? laidFloor(job, stated, laying.pieces, layer) : null),
    [job, stated, laying, layer],
  );
  return { fault: made && !made.ok ? floorFaultWords(made.reason) : null, tools, laid };
}

const NOTHING_UNDER: ReturnType<typeof laidFloor>['pieces'] = [];

function FloorStated({ job, choice, onTry }: FloorProps) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const [way, setWay] = useState<Way>('firm');
  const [layer, setLayer] = useState(0);
  const first = useLayer(job, way, 0, NOTHING_UNDER);
  const second = useLayer(job, way, 1, job.layers > 1 ? (first.laid?.pieces ?? null) : null);
  const layers = useMemo(() => [first.laid, second.laid].flatMap((l) => l ?? []), [first.laid, second.laid]);
  const plan = useMemo(() => {
    void version;
    let n = 0;
    return layers.length > 0
      ? planFloor(workbench, job, layers, { newId: () => `try-${n++}`, now: '' })
      : null;
  }, [workbench, version, job, layers]);
  useTrying(plan?.work.entries ?? null, onTry);
  const laidPieces = layers.reduce((s, l) => s + l.pieces.length, 0);
  const commit = () => {
    if (laidPieces > 0) perform(planFloor(workbench, job, layers, source()).work);
  };
  useCommands([
    { name: 'Plan these pieces', key: 'p', run: commit },
    { name: 'The other way of laying', key: 'w', run: () => setWay(way === 'firm' ? 'as it lies' : 'firm') },
  ]);
  const shown = layer === 1 && second.laid ? second : first;
  const joints = layers.reduce((s, l) => s + l.joints.length, 0);
  const busy = [first, second].some((l) => ['first', 'looking', 'waiting'].includes(l.tools.step) && l.laid);
  // Of a mix the shapes alone are proven, and of two layers each for what lies below it: neither says so of the whole.
  const isWhole = job.layers === 1 && job.colours.length === 1;
  const proven = isWhole && (first.tools.laying?.proven ?? false);
  return (
    <JobColumns
      left={
        <>
          {choice}
          <FloorForm job={job} onChange={(next) => perform(keepFloorJob(workbench, next))} />
        </>
      }
      side={
        <LaidSide
          lots={plan?.lots ?? []}
          cost={plan?.cost ?? null}
          problems={plan?.work.problems.length ?? 0}
          tools={shown.tools}
          isWhole={isWhole}
        >
          <Button look="main" onClick={commit} disabled={laidPieces === 0}>
            Plan these {pieces(laidPieces)} <Key>P</Key>
          </Button>
        </LaidSide>
      }
    >
      {first.fault || !first.laid || !plan ? (
        <h1 className="text-[21px] leading-tight">{first.fault ?? 'It is being laid…'}</h1>
      ) : (
        <>
          <h1 className="text-[21px] leading-tight">
            {laidHeadline({
              what: 'floor',
              unfilled: layers.reduce((s, l) => s + l.empty.length, 0),
              lots: plan.lots,
              cost: plan.cost,
            })}
          </h1>
          <p className="text-background-soft" role="status">
            {firmWords('floor', joints, proven, busy)} {shareWords(job, first.laid.shares)}
          </p>
          <WayChoice way={way} onWay={setWay} />
          {job.layers > 1 && <LayerChoice layer={layer} onLayer={setLayer} />}
          <FloorPlan job={job} laid={shown.laid!} layer={layer === 1 && second.laid ? 1 : 0} />
        </>
      )}
    </JobColumns>
  );
}

function FloorPlanned({ job, choice }: FloorProps) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const [layer, setLayer] = useState(0);
  const laid = plannedFloor(job);
  if (!laid) return null;
  return (
    <JobColumns
      left={choice}
      side={
        <PlannedSide job={job} pieces={laid.pieces} onAnew={() => perform(layFloorAnew(workbench, job))} />
      }
    >
      <h1 className="text-[21px] leading-tight">{plannedHeadline(workbench, job)}</h1>
      <p className="text-background-soft mb-2">
        {firmWords('floor', laid.joints.length, true, false, false)}
      </p>
      {job.layers > 1 && <LayerChoice layer={layer} onLayer={setLayer} />}
      <FloorPlan job={job} laid={laid} layer={layer} />
      <Button className="no-print" onClick={() => window.print()}>
        Print the plan
      </Button>
    </JobColumns>
  );
}

const LayerChoice = ({ layer, onLayer }: { layer: number; onLayer: (layer: number) => void }) => (
  <div role="group" aria-label="Layer" className="no-print mb-2 flex gap-2">
    {['Lower layer', 'Upper layer'].map((words, i) => (
      <Button
        key={words}
        aria-pressed={layer === i}
        look={layer === i ? 'main' : 'plain'}
        onClick={() => onLayer(i)}
      >
        {words}
      </Button>
    ))}
  </div>
);
