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
    const holds = seams.map((s) => ({ seam: s, ...seamHold(workbench, s) }));
    const off = holds.filter((h) => h.state !== 'good').map((h) => h.seam.name);
    // Of what weighs nobody knows what, a good number of studs says little.
    const open = holds.some((h) => h.mass === null && h.seam.tried === null);
    return off.length === 0 && open ? unknown('which zones lift off, under Fit') : unbroken(off);
  },
};
