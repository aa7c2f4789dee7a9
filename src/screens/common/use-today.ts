'use client';

import { addDays } from '@/core/market';
import { daysAhead } from '@/simulated/clock';
import { useBuild } from './build-store';

/** Today, or a later day when the clock was moved on. */
export function useToday(): string {
  const workbench = useBuild((s) => s.workbench);
  useBuild((s) => s.version);
  return addDays(new Date().toISOString(), daysAhead(workbench.records));
}
