export { stripesInBrick } from './in-brick';
export type { BrickWay } from './in-brick';
export { insteadOf, OVERLAP } from './instead';
export type { Instead } from './instead';
export {
  ACTS_FROM,
  deleteSticker,
  doStickerAct,
  keepSticker,
  logStickerAct,
  newSticker,
  noteStickers,
  sayCondition,
  stickersNow,
  toFind,
} from './on-parts';
export type { ActWish, StickerNow, StickerPlace } from './on-parts';
export {
  deleteSheet,
  FIELD_UNITS,
  fromSheet,
  keepSheet,
  leftOf,
  newSheet,
  resized,
  sheetAreas,
  spoil,
  takenOf,
  toMillimetres,
  wholeField,
} from './sheets';
export type { FieldUnit } from './sheets';
export {
  cutProblemOf,
  cutsOfPlan,
  cutStripes,
  deleteStripJob,
  keepStripJob,
  labOfField,
  newStripJob,
  scrapsOf,
} from './stripes';
export type { Scrap, ScrapCuts, Stripe } from './stripes';
export {
  alignDrawing,
  BLEED,
  PAPERS,
  reprintDrawing,
  rulerDrawing,
  scrapDrawing,
  templateOf,
  windowsOf,
} from './template';
export type { Drawing, Paper, Shape, Window } from './template';
export { waysOf } from './ways';
export type { WayJudged, WayOf, WaySays } from './ways';
export { discsOf, fieldOf, MARK_NAMES } from './photo-marks';
export type { Mark } from './photo-marks';
