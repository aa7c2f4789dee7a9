import { atMost, type Rule } from '../rule';

/** Net pieces: on the model against as shipped. */
export const netAtMost: Rule = {
  id: 'net at most',
  name: 'Net at most',
  asks: 'pieces',
  ofTally: ({ figures }, { limit }) => atMost(figures.net, limit),
};
