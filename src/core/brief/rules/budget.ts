import { atMost, type Rule } from '../rule';

/** Out of pocket. Where something is bought without a price, what is known already may be too much: it cannot be said to hold. */
export const budget: Rule = {
  id: 'budget',
  name: 'Out of pocket at most',
  asks: 'money',
  ofTally: ({ figures }, { limit }) => {
    const state = atMost(figures.outOfPocket, limit);
    if (!state.holds || figures.boughtUnpriced === 0) return state;
    return { ...state, holds: null, lacks: `prices of ${figures.boughtUnpriced} bought pieces` };
  },
};
