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
export { addPoolModel, changePoolModel, deletePoolModel } from './pool-models';
