import type { BuildId } from '@/core/shared/ids';
import type { Handle } from '@/data/database';
import { numbersIn } from '@/data/records';

/** From so many entries on a log is not written into its page, where it would be twice as long, nor counted while others wait. */
const LONG_LOG = 1500;

export const isLongLog = ({ db, file }: Handle, build: BuildId): boolean =>
  file !== ':memory:' && numbersIn(db, 'entry', build).top > LONG_LOG;
