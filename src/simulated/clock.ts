import { CLOCK_ID, written, type Command, type RecordSet } from '@/core/ledger';

/** Days that the demo's clock was moved on. */
export const daysAhead = (records: RecordSet): number => records.simulatedClock.get(CLOCK_ID)?.daysAhead ?? 0;

/** Moves the demo's clock on by some days more. */
export function moveClock(records: RecordSet, days: number): Command {
  const old = records.simulatedClock.get(CLOCK_ID);
  return {
    label: `move the clock on by ${days} days`,
    diff: written('simulatedClock', old, { id: CLOCK_ID, daysAhead: (old?.daysAhead ?? 0) + days }),
  };
}
