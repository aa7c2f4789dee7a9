/** A string that says which kind of record it names, so that a zone's id cannot go where a build's is due. */
export type Id<K extends string> = string & { readonly __kind: K };

export type BuildId = Id<'build'>;
export type CopyId = Id<'copy'>;
export type ZoneId = Id<'zone'>;
export type PhaseId = Id<'phase'>;
export type ModificationId = Id<'modification'>;
export type EntryId = Id<'entry'>;
export type WhatIfId = Id<'whatIf'>;
export type AssemblyId = Id<'assembly'>;
export type OrderId = Id<'order'>;
export type TrayId = Id<'tray'>;
export type ColourId = Id<'colour'>;
export type PartId = Id<'part'>;
export type ActionId = Id<'action'>;
export type CountLineId = Id<'countLine'>;
export type FindingId = Id<'finding'>;
export type ReadingId = Id<'reading'>;
export type ColourRuleId = Id<'colourRule'>;
export type BoxOfferId = Id<'boxOffer'>;
export type ParcelClaimId = Id<'parcelClaim'>;
export type ExposureId = Id<'exposure'>;
export type WhiteningId = Id<'whitening'>;
export type WaitingId = Id<'waiting'>;
export type KeptAssemblyId = Id<'keptAssembly'>;
export type PoolModelId = Id<'poolModel'>;
export type WallJobId = Id<'wallJob'>;
export type FloorJobId = Id<'floorJob'>;
export type RuleExceptionId = Id<'ruleException'>;
export type TrackId = Id<'track'>;
export type RingId = Id<'ring'>;
export type SeamId = Id<'seam'>;
export type ConnectionId = Id<'connection'>;
export type StickerSheetId = Id<'stickerSheet'>;
export type StickerId = Id<'sticker'>;
export type StripJobId = Id<'stripJob'>;
export type LetterId = Id<'letter'>;
export type AttemptId = Id<'attempt'>;
export type AwaitedPlaceId = Id<'awaitedPlace'>;
export type SpentTimeId = Id<'spentTime'>;
export type PutAsideId = Id<'putAside'>;
export type StageId = Id<'stage'>;
export type PatternId = Id<'pattern'>;
export type StreetId = Id<'street'>;
export type StoreyId = Id<'storey'>;

/** The one place that brands a string. Precondition: `text` came from a record of that kind or from an `IdSource`. */
export const asId = <T extends Id<string>>(text: string): T => text as T;

/** Gives a new id at each call. Comes in as an argument, so that tests and seeds repeat exactly. */
export type IdSource = () => string;

/** Ids `prefix-1`, `prefix-2`, ... for seeds and tests. */
export const countingIds = (prefix: string): IdSource => {
  let n = 0;
  return () => `${prefix}-${++n}`;
};
