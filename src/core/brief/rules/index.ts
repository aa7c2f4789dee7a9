import type { Rule } from '../rule';
import { leaveAge, matchAge, renewAge } from './age';
import { budget } from './budget';
import { genuineParts } from './genuine-parts';
import { netAtMost } from './net-at-most';
import { noneCutOrPainted } from './none-cut-or-painted';
import { noneOfTheseColours } from './none-of-these-colours';
import { onlyTheseBoxes } from './only-these-boxes';
import { ownPartsFirst } from './own-parts-first';
import { parcelsAtMost } from './parcels-at-most';
import { piecesAtMost } from './pieces-at-most';
import { piecesExactly } from './pieces-exactly';
import { readyBy } from './ready-by';
import { noStickers, originalStickers } from './stickers';
import { scaleKept } from './scale-kept';
import { storeysLiftOff } from './storeys-lift-off';
import { strongEnough } from './strong-enough';
import { widthAtMost } from './width-at-most';
import { widthKept } from './width-kept';
import { withinThePlot } from './within-the-plot';
import { worth } from './worth';

/** All house rules, in the order in which they are shown. A new one is a file and a line here. */
export const RULES: readonly Rule[] = [
  genuineParts,
  noneCutOrPainted,
  onlyTheseBoxes,
  ownPartsFirst,
  piecesAtMost,
  piecesExactly,
  netAtMost,
  budget,
  worth,
  parcelsAtMost,
  readyBy,
  withinThePlot,
  widthAtMost,
  widthKept,
  scaleKept,
  strongEnough,
  storeysLiftOff,
  noneOfTheseColours,
  noStickers,
  originalStickers,
  leaveAge,
  matchAge,
  renewAge,
];
