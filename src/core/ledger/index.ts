export * from '../places';
export * from '../records';
export { upgradeDiff } from './upgrade-diff';
export { BLANK_ENTRY } from './blank-entry';
export type { Claim } from './claim';
export type { Command, Source } from './command';
export { scopesOf, STOCK_SCOPE } from './action';
export type { Action } from './action';
export {
  added,
  applyDiff,
  changed,
  conflictWith,
  diffOf,
  EMPTY_DIFF,
  emptyRecordSet,
  invertDiff,
  joinDiffs,
  removed,
  sameRecord,
  written,
} from './diff';
export type { Change, Conflict, Diff, RecordSet } from './diff';
export { Balances } from './balances';
export type { BalanceRow } from './balances';
export { freeAt, freeGrades, freeOf, keptAt, NOTHING_KEPT } from './free-pieces';
export type { Kept } from './free-pieces';
export { inView } from './views';
export type { View } from './views';
export { FIGURES, MONEY_FIGURES } from './figures';
export type { Figure, Figures } from './figures';
export { sharedCosts, sharedUnknowns } from './shared-costs';
export { Books } from './books';
export type { BooksContext, Scope } from './books';
export { allIn, costsOf, entriesBehind, needList, priceLookup, takeTally, worthOf } from './tally';
export type { AllIn, Behind, Need, PriceOf, Tally } from './tally';
export { zoneTreeFault } from './zone-tree';
export type { ZoneTreeFault } from './zone-tree';
export { entryFault, overdrafts } from './laws';
export type { EntryFault, Overdraft } from './laws';
export { BLANK_INTENT, DESTINATIONS, SOURCES } from './intent';
export type { DestinationChoice, Intent, Pieces, SourceChoice } from './intent';
export { joinedAct, settleKind } from './same-act';
export { draftEntry, draftMovements } from './draft';
export type { EntryStamp } from './draft';
export type { DraftContext, DraftProblem } from './draft-context';
export { whereabouts } from './whereabouts';
export type { Whereabouts } from './whereabouts';
export {
  intentOf,
  offPieces,
  onPieces,
  openPlaceholders,
  sizeOf,
  splitEntry,
  stepsOf,
  zoneIn,
} from './entry-tools';
export type { OpenPlaceholder } from './entry-tools';
export { cameFrom, originIn, originKey, originName } from './came-from';
export type { CameFrom, Origin } from './came-from';
