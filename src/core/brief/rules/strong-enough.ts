import { holding, jobState } from '../../fit';
import { unbroken, unknown, type Rule } from '../rule';

/** No place that was noted is weak, and no planned wall has a joint over a joint. */
export const strongEnough: Rule = {
  id: 'strong enough',
  name: 'Strong enough for play',
  asks: 'nothing',
  ofBooks: (workbench) => {
    const places = [...workbench.records.connection.values()].filter((c) => c.build === workbench.build);
    const walls = [...workbench.records.wallJob.values()].filter(
      (j) => j.build === workbench.build && j.planned && jobState(workbench, j) !== 'gone',
    );
    if (places.length + walls.length === 0) return unknown('what holds by little, under Fit');
    const weak = places.filter((c) => holding(c).because.length > 0);
    const loose = walls.filter((j) => j.planned!.joints.length > 0);
    return unbroken([...weak, ...loose].map((x) => x.name));
  },
};
