'use client';

import { deleteWallJob, keepWallJob, mirroredWalls, newWallJob } from '@/core/fit';
import type { Tally } from '@/core/ledger';
import type { WallJob } from '@/core/records';
import { cutText } from '@/core/shared/text';
import { Button } from '@/ui/button';
import { useBuild } from '../common/build-store';
import { FitEmpty } from './fit-empty';
import { JobChoice } from '../common/job-choice';
import { useJobs } from '../common/use-jobs';
import { WallsPlanned } from './walls-planned';
import { WallsStated } from './walls-stated';

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
