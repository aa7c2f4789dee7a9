import { holding, jobState } from '../../fit';
import { unbroken, type Rule } from '../rule';

/** No place that was noted is weak, and no planned wall has a joint over a joint. */
export const strongEnough: Rule = {
  id: 'strong enough',
  name: 'Strong enough for play',
  asks: 'nothing',
  ofBooks: (workbench) => {
    const places = [...workbench.records.connection.values()]
      .filter((c) => c.build === workbench.build && holding(c).because.length > 0)
      .map((c) => c.name);
    const walls = [...workbench.records.wallJob.values()]
      .filter((j) => j.build === workbench.build && j.planned && j.planned.joints.length > 0)
      .filter((j) => jobState(workbench, j) !== 'gone')
      .map((j) => j.name);
    return unbroken([...places, ...walls]);
  },
};
