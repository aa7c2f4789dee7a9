'use client';

import { addDays, CLOCK_SETTING } from '@/core/supply';
import { useBench } from '../common/bench-store';

/** Today, or a later day when the clock was moved on. */
export function useToday(): string {
  const bench = useBench((s) => s.bench);
  useBench((s) => s.version);
  const ahead = bench.records.setting.get(CLOCK_SETTING)?.values[0] ?? 0;
  return addDays(new Date().toISOString(), ahead);
}
