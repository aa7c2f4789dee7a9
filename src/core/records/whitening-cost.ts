import { defineRecord, type RecordOf } from './define';
import { choice, money, number, somePieces } from './fields';

/** The id of the one record of what whitening costs. */
export const WHITENING_COST_ID = 'whitening';

/** What a bath of whitening takes: there is one record, or none while nobody has said. */
export const whiteningCost = defineRecord({
  type: 'whiteningCost',
  table: 'whitening_costs',
  fields: {
    id: choice([WHITENING_COST_ID]),
    /** Peroxide and whatever else is used up, for one bath. */
    perBath: money(),
    /** Pieces that go into one bath. */
    pieces: somePieces(),
    /** Hours that one bath takes. */
    hours: number(0, 1000),
  },
});
export type WhiteningCost = RecordOf<typeof whiteningCost>;
