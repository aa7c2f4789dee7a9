import { seamHold } from '../../fit';
import { unbroken, unknown, type Rule } from '../rule';

/** Every seam that was noted holds and lets go. */
export const storeysLiftOff: Rule = {
  id: 'storeys lift off',
  name: 'Each storey lifts off',
  asks: 'nothing',
  ofBooks: (workbench) => {
    const seams = [...workbench.records.seam.values()].filter((s) => s.build === workbench.build);
    if (seams.length === 0) return unknown('the seams, under Fit');
    return unbroken(seams.filter((s) => seamHold(workbench, s).state !== 'good').map((s) => s.name));
  },
};
