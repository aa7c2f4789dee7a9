import { plannedSize } from '../../fit';
import { unbroken, unknown, type Rule } from '../rule';

/** As wide as it was found: what stands in a row, or on a track, keeps its room. */
export const widthKept: Rule = {
  id: 'width kept',
  name: 'As wide along the street as it was',
  asks: 'nothing',
  ofBooks: (workbench) => {
    const found = workbench.records.inspectionCard.get(workbench.build)?.found ?? null;
    const size = plannedSize(workbench);
    if (!found) return unknown('the size as it was found, under Inspect');
    if (!size) return unknown('the size, under Fit');
    const by = Math.round(10 * (size.length - found.length)) / 10;
    return unbroken(
      by === 0
        ? []
        : [`${Math.abs(by)} ${Math.abs(by) === 1 ? 'stud' : 'studs'} ${by > 0 ? 'more' : 'less'}`],
    );
  },
};
