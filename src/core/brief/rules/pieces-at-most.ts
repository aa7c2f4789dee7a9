import { atMost, type Rule } from '../rule';

/** No more pieces on the model than so many. */
export const piecesAtMost: Rule = {
  id: 'pieces at most',
  name: 'Pieces at most',
  asks: 'pieces',
  ofTally: ({ figures }, { limit }) => atMost(figures.onModel, limit),
};
