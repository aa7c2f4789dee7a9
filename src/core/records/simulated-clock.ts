import { defineRecord, type RecordOf } from './define';
import { choice, whole } from './fields';

/** The id of the one record of the simulated clock. */
export const CLOCK_ID = 'clock';

/** How many days the demo's clock was moved on. There is one, or none. */
export const simulatedClock = defineRecord({
  type: 'simulatedClock',
  table: 'simulated_clock',
  fields: { id: choice([CLOCK_ID]), daysAhead: whole(0, 100_000) },
});
export type SimulatedClock = RecordOf<typeof simulatedClock>;
