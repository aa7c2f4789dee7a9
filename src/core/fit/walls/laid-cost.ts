import type { ElementKey } from '../../parts';
import type { WallJob } from '../../records';
import type { Workbench } from '../../workbench';
import { quickLaying } from '../lay';
import type { Besides } from '../supply';
import { restsOnGuess } from './laid-walls';
import { wallsProblem } from './wall-problem';

/** What walls cost when they are laid at once, as both ways of the comparison are. */
export function laidCost(workbench: Workbench, job: WallJob, besides?: Besides) {
  const stated = wallsProblem(workbench, job, 'firm', besides);
  if (!stated.ok) return null;
  const plan = quickLaying(stated.value.problem).plan({ proven: false, seconds: 0 });
  const taken = new Map<ElementKey, number>();
  for (const p of plan.pieces) {
    const means = stated.value.parts.get(p.part);
    if (means) taken.set(means.element, (taken.get(means.element) ?? 0) + means.each);
  }
  return { ...plan, taken, guessed: restsOnGuess(stated.value, plan.bought) };
}
