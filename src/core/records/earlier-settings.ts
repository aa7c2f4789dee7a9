import { CLOCK_ID } from './simulated-clock';
import { FADING_GRADES_ID } from './fading-grades';
import type { RecordType } from './registry';

interface OldSetting {
  readonly id: string;
  readonly values: readonly number[];
}

/**
 * What earlier programs kept as a list of numbers under a name, as the record that it is today. Undefined for a name that
 * nothing is kept under any more.
 *
 * settingNow({ id: 'rank:b', values: [2] }) = { type: 'claimRank', record: { id: 'b', rank: 2 } }
 */
export function settingNow(old: OldSetting): { type: RecordType; record: object } | undefined {
  const { id, values } = old;
  const [first = 0] = values;
  if (id === 'fading') return { type: 'fadingGrades', record: { id: FADING_GRADES_ID, from: values } };
  if (id === 'clock')
    return { type: 'simulatedClock', record: { id: CLOCK_ID, daysAhead: Math.max(0, first) } };
  const [kind, build = ''] = id.split(/:(.*)/s);
  if (kind === 'pool')
    return { type: 'buildSources', record: { id: build, build, boxesOnly: first === 1, elsewhere: null } };
  if (kind === 'rank') return { type: 'claimRank', record: { id: build, rank: first } };
  return undefined;
}
