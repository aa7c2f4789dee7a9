import type { WallJob } from '../records';
import { quickLaying } from '../fit/lay';
import { wallsProblem, type Way } from '../fit';
import type { Workbench } from '../workbench';

/** Bricks and plates in two colours, fewer of the longer ones. */
export const STOCK = [1, 2, 3, 4, 6].flatMap((n) => [
  `${20 - n} brick 1x${n} ash`,
  `${10 - n} brick 1x${n} kelp`,
  `6 plate 1x${n} ash`,
]);

/** Walls as a problem; throws where they are none. */
export function stated(bench: Workbench, job: WallJob, way: Way = 'firm') {
  const made = wallsProblem(bench, job, way);
  if (!made.ok) throw new Error(JSON.stringify(made.reason));
  return made.value;
}
/** The same, laid quickly. */
export const laid = (bench: Workbench, job: WallJob, way: Way = 'firm') => {
  const s = stated(bench, job, way);
  return { ...s, plan: quickLaying(s.problem).plan({ proven: false, seconds: 0 }) };
};
