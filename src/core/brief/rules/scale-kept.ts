import { atScale, plannedSize } from '../../fit';
import { unbroken, unknown, type Rule } from '../rule';

/** What a side may be off, studs: one, since the middle of an even width lies between two studs. */
const MAY_BE_OFF = 1;

/** Its length is what the real one's is at 1:n. The text holds the real length in metres. */
export const scaleKept: Rule = {
  id: 'scale kept',
  name: 'Keeps its scale',
  asks: 'scale',
  ofBooks: (workbench, { limit, text }) => {
    const metres = Number(text.replace(',', '.'));
    const wanted = metres > 0 ? atScale(metres * 1000, limit) : undefined;
    if (!wanted) return unknown('the real length, and the scale');
    const size = plannedSize(workbench);
    if (!size) return unknown('the size, under Fit');
    const off = size.length - wanted.studs;
    const says = `${Math.abs(off)} ${Math.abs(off) === 1 ? 'stud' : 'studs'} ${off > 0 ? 'longer' : 'shorter'} than ${wanted.studs}`;
    return unbroken(Math.abs(off) <= MAY_BE_OFF ? [] : [says]);
  },
};
