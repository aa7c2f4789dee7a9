export { coverModel } from './cover';
export type { Cover, CoverBox, CoverModel } from './cover';
export {
  bindToBoxes,
  coloursOfPart,
  fitPool,
  isBoundToBoxes,
  piecesFromElsewhere,
  poolExceptions,
  poolHolds,
} from './pool';
export type { PoolBox, PoolWant } from './pool';
export { sayIdeal, twoLists } from './ideal-parts';
export type { StandsFor, TwoLists } from './ideal-parts';
export {
  addPoolModel,
  changePoolModel,
  deletePoolModel,
  placeAfter,
  poolModelsOf,
  shiftPoolModel,
} from './pool-models';
export { builtOf, shareInOrder, withSections } from './share-in-order';
export type { Decides, ModelShare } from './share-in-order';
