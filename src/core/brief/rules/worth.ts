import { atMost, type Rule } from '../rule';

/** Cost as if all of it were bought: with own parts at their worth. */
export const worth: Rule = {
  id: 'worth',
  name: 'Worth at most, as if all were bought',
  asks: 'money',
  ofTally: ({ figures }, { limit }) => {
    const state = atMost(figures.worthIn, limit);
    if (!state.holds || figures.unpriced === 0) return state;
    return { ...state, holds: null, lacks: `prices of ${figures.unpriced} pieces` };
  },
};
