'use client';

import { useMemo } from 'react';
import { layWallAnew, plannedWalls, planMend, standingWalls } from '@/core/fit';
import { useBuild } from '../common/build-store';
import { firmWords, plannedHeadline } from '../words/fit';
import { JobColumns } from '../common/job-columns';
import { PlannedSide } from './planned-side';
import { useCourses, useStated } from './use-walls';
import { WallCourses } from './wall-courses';
import { WallDrawings } from './wall-drawings';
import type { LaidProps } from './walls-stated';
import { WeakJoints } from './weak-joints';

/** Walls as they were planned: to be built from, course by course. */
export function WallsPlanned({ job, choice }: LaidProps) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const courses = useCourses(job);
  const stated = useStated(job);
  const laid = plannedWalls(job);
  const source = useBuild((s) => s.source);
  const standing = useMemo(
    () => (typeof stated === 'string' ? null : standingWalls(job, stated.firm)),
    [job, stated],
  );
  if (!laid || typeof stated === 'string') return null;
  return (
    <JobColumns
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
    </JobColumns>
  );
}
