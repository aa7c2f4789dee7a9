export { recordSetOf, recordsOf, withKnowledge } from './snapshot';
export type { Surroundings, BuildSnapshot, Knowledge, UndoRedo } from './snapshot';
export { openInSlices } from './open-in-slices';
export { paletteOf } from './palette-of';
export { newsLine, recordsOfLine, snapshotLines } from './snapshot-lines';
export type { RecordLine } from './snapshot-lines';
export { caughtUp } from './caught-up';
export type { News } from './caught-up';
export { diffOfBuild } from './diff-of-build';
export { Workbench } from './workbench';
export { readLine } from './read-line';
export type { Effect, LineReading, ReadClause } from './read-line';
export type { Command, Source } from '../ledger';
export { beginWithLine, draftModification } from './begin-with-line';
export { byPlace } from './list-places';
export { piecesOn, shippedLots } from './model-pieces';
export type { ShippedLot } from './model-pieces';
export { deleteEntries, editEntry, logLine, moveEntries } from './entry-commands';
export { markDone, markPlanned } from './placing-commands';
export { kindsToBuy, placeOrder, toBuy } from './order-commands';
export {
  addModification,
  deleteModification,
  keepModification,
  moveModification,
  newModification,
} from './modification-commands';
export { addZone, deleteZone, isZoneInUse, nestZone, renameZone, zonesAround } from './zone-commands';
export { addPhase, deletePhase, phasesOf, renamePhase } from './phase-commands';
export { copiedEntries } from './copied-entries';
export type { CopiedEntries } from './copied-entries';
export { findInLog, LOG_ORDERS, sortLog } from './find-in-log';
export type { FoundInLog, LogOrder } from './find-in-log';
export { elsewhereOf, setElsewhere } from './source-commands';
export { archiveBuild, changeBuild } from './build-commands';
export type { BoxWish } from './build-commands';
export { adoptWhatIf, deleteWhatIf, startWhatIf } from './what-if-commands';
export { transferOf } from './transfer';
export { inBoxes, leftCount, logLeft } from './count-left';
export type { InBoxes, LeftCount } from './count-left';
export { givePrices } from './price-commands';
export type { GivenPrice } from './price-commands';
export { unpricedThings } from './unpriced';
export type { Unpriced, UnpricedBox, UnpricedLot, UnpricedSticker } from './unpriced';
export { hasSide, mirrorOf, repeatEntries } from './repeat';
export type { Again, Repeated } from './repeat';
export { FIGURE_PARTS, figurePart, isFigure, openFigure, USUAL_FIGURE } from './open-figure';
export type { FigureMake, FigurePart } from './open-figure';
export { costOfWork, planWork } from './plan-command';
export type { Plan, PlannedWork, WorkCost } from './plan-command';
export { applySettings, changeSettings, DEFAULT_SETTINGS, namesOf } from './settings';
export type { Settled } from './settings';
