export { familyOf, needBy, needOf, sameNeed } from './need';
export type { NeedLot, NeedReport, NeedSource } from './need';
export { pickList } from './pick-list';
export type { PickOrder } from './pick-list';
export { pickOut } from './pick-out';
export { placeholdersOf, swapPlaceholders } from './placeholders';
export { PART_STATES, statesOf, totalsOf } from './part-states';
export type { PartState, StatePart, StateSum } from './part-states';
export { leaveNoted, takeInstead } from './take-instead';
