import { assembly } from './assembly';
import { boxOffer } from './box-offer';
import { brief } from './brief';
import { build } from './build';
import { buildSources } from './build-sources';
import { claimRank } from './claim-rank';
import { colourAlias } from './colour-alias';
import { colourRule } from './colour-rule';
import { columnMemory } from './column-memory';
import { copy } from './copy';
import { countLine } from './count-line';
import { customColour } from './custom-colour';
import { entry } from './entry';
import { exposure } from './exposure';
import { fadingGrades } from './fading-grades';
import { settings } from './settings';
import { finding } from './finding';
import { floorJob } from './floor-job';
import { inspectionCard } from './inspection-card';
import { keptAssembly } from './kept-assembly';
import { leftMismatch } from './left-mismatch';
import { madeIn } from './made-in';
import { modification } from './modification';
import { order } from './order';
import { parcelClaim } from './parcel-claim';
import { phase } from './phase';
import { plot } from './plot';
import { poolModel } from './pool-model';
import { price } from './price';
import { reading } from './reading';
import { roughlyKnown } from './roughly-known';
import { ruleException } from './rule-exception';
import { scheme } from './scheme';
import { simulatedClock } from './simulated-clock';
import { tray } from './tray';
import { waiting } from './waiting';
import { wallJob } from './wall-job';
import { whatIf } from './what-if';
import { whitening } from './whitening';
import { whiteningCost } from './whitening-cost';
import { zonePlace } from './zone-place';
import { interior } from './interior';
import { track } from './track';
import { ring } from './ring';
import { seam } from './seam';
import { connection } from './connection';
import { weighed } from './weighed';
import { sticker } from './sticker';
import { stickerAct } from './sticker-act';
import { stickerSheet } from './sticker-sheet';
import { stripJob } from './strip-job';
import { attempt } from './attempt';
import { awaitedPlace } from './awaited-place';
import { letter } from './letter';
import { looks } from './looks';
import { idealPart } from './ideal-part';
import { stage } from './stage';
import { zoneTold } from './zone-told';
import { modSheet } from './mod-sheet';
import { pattern } from './pattern';
import { street } from './street';
import { storey } from './storey';
import { partMark } from './part-mark';
import { putAside } from './put-aside';
import { spentTime } from './spent-time';
import { zone } from './zone';

/**
 * Every kind of record that an action can change. What is referred to stands before what refers to it: rows are written in
 * this order and removed in the reverse.
 */
export const RECORDS = [
  build,
  copy,
  zone,
  phase,
  modification,
  whatIf,
  assembly,
  order,
  parcelClaim,
  tray,
  price,
  boxOffer,
  customColour,
  colourAlias,
  roughlyKnown,
  columnMemory,
  inspectionCard,
  countLine,
  finding,
  reading,
  exposure,
  scheme,
  colourRule,
  leftMismatch,
  whitening,
  whiteningCost,
  madeIn,
  fadingGrades,
  settings,
  simulatedClock,
  buildSources,
  claimRank,
  waiting,
  keptAssembly,
  poolModel,
  wallJob,
  floorJob,
  plot,
  zonePlace,
  interior,
  track,
  ring,
  seam,
  connection,
  weighed,
  brief,
  ruleException,
  stickerSheet,
  sticker,
  stickerAct,
  stripJob,
  letter,
  attempt,
  awaitedPlace,
  spentTime,
  putAside,
  looks,
  partMark,
  idealPart,
  stage,
  zoneTold,
  modSheet,
  pattern,
  street,
  storey,
  entry,
] as const;
