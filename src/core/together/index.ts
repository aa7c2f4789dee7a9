export { addStorey, changeStorey, deleteStorey, shiftStorey, stackFaults, storeysOf } from './storeys';
export type { StackFault } from './storeys';
export { moveStorey } from './move-storey';
export type { MoveStoreyFault } from './move-storey';
export {
  betweenRevisions,
  deletePattern,
  forgetPatternFault,
  keepPattern,
  notePatternFault,
  patternNow,
  patternOfList,
  patternOfPatch,
  patternsOf,
} from './patterns';
export type { PatternZone } from './patterns';
export { changeStreet, deleteStreet, newStreet, streetNow } from './street';
export type { StreetBuild, StreetNow } from './street';
