import { atMost, type Rule } from '../rule';

/** Orders that were placed for the build, and not cancelled. */
export const parcelsAtMost: Rule = {
  id: 'parcels at most',
  name: 'Parcels at most',
  asks: 'parcels',
  ofBooks: (workbench, { limit }) => {
    const placed = new Set(
      workbench.entries.flatMap((e) => (e.kind === 'order' && e.order ? [e.order] : [])),
    );
    return atMost(placed.size, limit);
  },
};
