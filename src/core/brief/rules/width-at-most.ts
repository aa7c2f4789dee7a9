import { plannedSize } from '../../fit';
import { atMost, unknown, type Rule } from '../rule';

/** As wide as it may be along the street, studs. */
export const widthAtMost: Rule = {
  id: 'width at most',
  name: 'Width along the street at most',
  asks: 'studs',
  ofBooks: (workbench, { limit }) => {
    const size = plannedSize(workbench);
    return size ? atMost(size.length, limit) : unknown('the size, under Fit');
  },
};
