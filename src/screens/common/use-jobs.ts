'use client';

import { useMemo, useState } from 'react';
import type { RecordTypes } from '@/core/records';
import { useBuild } from './build-store';

/** Kinds of records of a build that are looked at one by one. */
type JobType = 'wallJob' | 'floorJob' | 'track' | 'ring' | 'seam' | 'connection' | 'stripJob';

/** What a build has of one kind, and which of them is looked at: the first, until another is chosen. */
export function useJobs<T extends JobType>(type: T) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const [chosen, choose] = useState<string | null>(null);
  const jobs = useMemo(() => {
    void version;
    const all = [...workbench.records[type].values()] as RecordTypes[T][];
    return all.filter((j) => j.build === workbench.build);
  }, [workbench, version, type]);
  return { jobs, job: jobs.find((j) => j.id === chosen) ?? jobs[0], choose };
}
