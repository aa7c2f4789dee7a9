import type { Rule } from '../rule';

/** As many pieces on the model as were said, neither more nor fewer. */
export const piecesExactly: Rule = {
  id: 'pieces exactly',
  name: 'Pieces exactly',
  asks: 'pieces',
  ofTally: ({ figures }, { limit }) => ({
    holds: figures.onModel === limit,
    is: figures.onModel,
    where: [],
    breaks: [],
  }),
};
