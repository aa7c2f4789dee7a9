import { piecesFromElsewhere, poolExceptions } from '../../pool';
import { unbroken, type Rule } from '../rule';

/** Nothing but what came out of the build's own boxes. */
export const onlyTheseBoxes: Rule = {
  id: 'only these boxes',
  name: 'Only these boxes',
  asks: 'nothing',
  ofBooks: (workbench) =>
    unbroken(
      [],
      poolExceptions(workbench).map((e) => e.entry.id),
    ),
  brokenBy: (entry) => piecesFromElsewhere(entry) > 0,
};
