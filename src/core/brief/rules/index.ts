import type { Rule } from '../rule';
import { budget } from './budget';
import { netAtMost } from './net-at-most';
import { noneOfTheseColours } from './none-of-these-colours';
import { onlyTheseBoxes } from './only-these-boxes';
import { parcelsAtMost } from './parcels-at-most';
import { piecesAtMost } from './pieces-at-most';
import { piecesExactly } from './pieces-exactly';
import { storeysLiftOff } from './storeys-lift-off';
import { strongEnough } from './strong-enough';
import { widthAtMost } from './width-at-most';
import { withinThePlot } from './within-the-plot';
import { worth } from './worth';

/** All house rules, in the order in which they are shown. A new one is a file and a line here. */
export const RULES: readonly Rule[] = [
  onlyTheseBoxes,
  piecesAtMost,
  piecesExactly,
  netAtMost,
  budget,
  worth,
  parcelsAtMost,
  withinThePlot,
  widthAtMost,
  strongEnough,
  storeysLiftOff,
  noneOfTheseColours,
];
