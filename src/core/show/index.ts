export { standingOf } from './standing';
export type { Standing } from './standing';
export {
  cameWent,
  changeStage,
  deleteStage,
  keepStage,
  nameStage,
  sizeAt,
  stageAt,
  stagesOf,
  standsAt,
  unpackedAt,
} from './stages';
export type { CameWent, Moment, StageNow } from './stages';
export { growthOf } from './growth';
export type { GrowthPoint } from './growth';
export { AS_IT_IS, laidOver } from './align';
export type { Matrix, PhotoMark } from './align';
export { notGenuine, originShares } from './from-which';
export type { NotGenuine, OriginShare } from './from-which';
export { bothStanding, leaveOff } from './both-standing';
export type { BothStanding, Double } from './both-standing';
export { inStoreys, keepTold, toldOf, tourOf } from './tour';
export type { TourPart, TourStop, TourStorey } from './tour';
export { colourShifts, growthByDay, piecesByOrigin } from './charts';
export type { ColourShift, GrowthDay, OriginSum } from './charts';
export { LEFT_BY, leftGroups, leftOverOf, needsMet } from './left-over';
export type { LeftBy, LeftGroup, LeftLot, MeetsNeed, NeedOfBuild } from './left-over';
export { LIST_FOR, partsForOthers } from './parts-for-others';
export type { ListFor, PartsListChoice, PartsListRow } from './parts-for-others';
