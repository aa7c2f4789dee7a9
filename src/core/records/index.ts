export type { Assembly } from './assembly';
export type { BoxOffer } from './box-offer';
export type { Brief } from './brief';
export type { Build } from './build';
export { ELSEWHERE, type BuildSources, type Elsewhere } from './build-sources';
export type { ClaimRank } from './claim-rank';
export type { ColourAlias } from './colour-alias';
export type { ColourRule } from './colour-rule';
export type { ColumnMemory } from './column-memory';
export type { Copy } from './copy';
export { HOLDS, STRESSES, type Connection } from './connection';
export { countLineId, type CountLine } from './count-line';
export type { CustomColour } from './custom-colour';
export type { Entry, EntryState, Movement } from './entry';
export { SEEN, type Exposure, type Seen } from './exposure';
export { COLOUR_NAMES, SETTINGS_ID, START_PAGES, SURROUNDS, type Settings } from './settings';
export { FADING_GRADES_ID, type FadingGrades } from './fading-grades';
export { FINDING_KINDS, STAY_ANSWERS, type Finding, type FindingKind, type StayAnswer } from './finding';
export { FLOOR_PATTERNS, type FloorJob, type FloorPattern } from './floor-job';
export { DISPLAYS, type Display, type InspectionCard, type Size } from './inspection-card';
export { STREET, WAY_KINDS, type Interior, type WayKind } from './interior';
export type { KeptAssembly } from './kept-assembly';
export type { LeftMismatch } from './left-mismatch';
export { lotKey } from './lot-key';
export type { MadeIn } from './made-in';
export type { Modification, ModificationPurpose } from './modification';
export { BLANK_ORDER, type Order } from './order';
export { CLAIM_ENDS, CLAIM_KINDS, type ClaimEnd, type ClaimKind, type ParcelClaim } from './parcel-claim';
export type { Phase } from './phase';
export { PLOT_SIDES, type Plot, type PlotSide } from './plot';
export type { PoolModel } from './pool-model';
export type { Price } from './price';
export type { Reading } from './reading';
export type { Ring } from './ring';
export { ROUGH_AMOUNTS, type RoughAmount, type RoughlyKnown } from './roughly-known';
export type { RuleException } from './rule-exception';
export type { Scheme } from './scheme';
export { LIFTED, SEAM_TRIALS, type Seam } from './seam';
export { CLOCK_ID, type SimulatedClock } from './simulated-clock';
export {
  STICKER_CONDITIONS,
  STICKER_WAYS,
  type Sticker,
  type StickerCondition,
  type StickerWay,
} from './sticker';
export { STICKER_ACTS, type StickerAct, type StickerActName } from './sticker-act';
export { SHEET_KINDS, STANDS, type SheetField, type StickerSheet } from './sticker-sheet';
export type { StripJob } from './strip-job';
export { TRACK_SIDES, type Track, type TrackSide } from './track';
export { ATTEMPT_ENDS, ATTEMPT_STATES, type Attempt, type AttemptEnd } from './attempt';
export type { AwaitedPlace } from './awaited-place';
export { LETTER_SIDES, type Letter } from './letter';
export { SPREADS, SYMMETRIES, type Looks } from './looks';
export { FRESH_EYES, type FreshEyes, type PutAside } from './put-aside';
export type { Stage } from './stage';
export type { ZoneTold } from './zone-told';
export {
  PAPERS,
  PRIVATE_THINGS,
  SHEET_PARTS,
  type ModSheet,
  type PrivateThing,
  type SheetPart,
} from './mod-sheet';
export { PATTERN_KINDS, type Pattern } from './pattern';
export type { Street } from './street';
export { STOREY_RULES, STOREY_STATES, type Storey } from './storey';
export type { IdealPart } from './ideal-part';
export { PART_MARKS, type PartMark, type PartMarkName } from './part-mark';
export type { SpentTime } from './spent-time';
export type { Tray } from './tray';
export { WHITENING_COST_ID, type WhiteningCost } from './whitening-cost';
export type { WaitingPart } from './waiting';
export { WALL_ENDS, WALLS_MEET, type WallEnd, type WallJob, type WallsMeet } from './wall-job';
export type { Weighed } from './weighed';
export type { WhatIf } from './what-if';
export type { Whitening } from './whitening';
export type { Zone } from './zone';
export type { ZonePlace } from './zone-place';
export { RECORDS } from './all';
export type { RecordSpec, InModFile } from './define';
export type { Field, Fields, Shape } from './fields';
export { isOfBuild, RECORD_TYPES, recordSpec } from './registry';
export type { RecordType, RecordTypes, TypedRecord } from './registry';
export { OWNER_TYPES, referencesOf, renameReferences, type Reference, type Rename } from './references';
export { recordTypeNow, scopeNow, upgradeRecord, upgradeTyped } from './upgrade';
