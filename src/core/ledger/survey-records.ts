import type { ElementKey } from '../parts';
import type {
  BuildId,
  ColourId,
  CopyId,
  CountLineId,
  ExposureId,
  FindingId,
  ModificationId,
  ReadingId,
  WhiteningId,
  ZoneId,
} from '../shared/ids';
import type { AccountKey } from './accounts';

/** How one lot of a copy was counted in. Missing = expected - there - broken. */
export interface CountLine {
  readonly id: CountLineId;
  readonly build: BuildId;
  readonly copy: CopyId;
  readonly zone: ZoneId;
  readonly element: ElementKey;
  readonly expected: number;
  /** Pieces that are there and can be used, worn ones included. */
  readonly there: number;
  readonly broken: number;
  /** Of those there: visibly faded or yellowed. */
  readonly faded: number;
  /** Of those there: the sticker is gone or crazed. */
  readonly bare: number;
  /** False = what is missing is not wanted, and is not needed. */
  readonly wanted: boolean;
  readonly at: string;
}

export const FINDING_KINDS = [
  'missing',
  'broken',
  'faded',
  'slip',
  'gap',
  'weak',
  'open',
  'wish',
  'keep',
  'function',
] as const;
export type FindingKind = (typeof FINDING_KINDS)[number];

/** Something seen when looking a set over. `keep` and `function` must stay: they are asked for again at the end. */
export interface Finding {
  readonly id: FindingId;
  readonly build: BuildId;
  readonly kind: FindingKind;
  readonly zone: ZoneId;
  readonly lots: readonly { readonly element: ElementKey; readonly qty: number }[];
  /** For a slip, gap or open side: what belongs there. */
  readonly to: ElementKey | null;
  readonly note: string;
  /** 1 = hardly, 2 = somewhat, 3 = very much. */
  readonly matters: number;
  /** Name of a kept photo. */
  readonly photo: string | null;
  readonly modification: ModificationId | null;
  /** For what must stay: the answer at the end. */
  readonly answer: 'there' | 'lost' | null;
  /** Closed by hand, with nothing done. */
  readonly dropped: boolean;
  readonly at: string;
}

export const DISPLAYS = ['all round', 'one side', 'hung', 'behind glass'] as const;
export type Display = (typeof DISPLAYS)[number];

/** Length and width in studs, height in bricks; parts of them allowed. */
export interface Size {
  readonly length: number;
  readonly width: number;
  readonly height: number;
}

/** What is known of a build as a whole. Its id is the build's. */
export interface SurveyCard {
  readonly id: BuildId;
  readonly build: BuildId;
  readonly display: Display;
  /** Zones turned away from whoever looks. */
  readonly away: readonly ZoneId[];
  readonly found: Size | null;
  readonly built: Size | null;
}

/** A colour measured on some pieces. Their grade in the books names its batch. Lab under D65. */
export interface Reading {
  readonly id: ReadingId;
  /** Where the pieces were when they were read. */
  readonly account: AccountKey;
  readonly element: ElementKey;
  /** Names the pieces' batch in grades: "R12". */
  readonly batch: string;
  readonly qty: number;
  readonly l: number;
  readonly a: number;
  readonly b: number;
  readonly white: 'D65';
  /** Standard error of the mean, as a ΔE00. */
  readonly spread: number;
  /** Single readings, or pixels, that it is the mean of. */
  readonly count: number;
  readonly how: 'meter' | 'photo';
  /** How it was made, for whoever doubts it: instrument and calibration, or the photo's light. */
  readonly made: string;
  readonly measure: 'CIEDE2000';
  /** False = it stands, but nothing is worked out from it. */
  readonly trusted: boolean;
  /** Why it is not trusted, when it is not. */
  readonly doubt: string;
  readonly at: string;
}

export const SEEN = ['all', 'some sides', 'one side', 'top', 'hidden'] as const;
export type Seen = (typeof SEEN)[number];

/** How much of a lot is seen, where a person corrected what was proposed. */
export interface Exposure {
  readonly id: ExposureId;
  readonly build: BuildId;
  readonly zone: ZoneId;
  readonly element: ElementKey;
  readonly seen: Seen;
  /** Of its pieces, how many nobody sees. */
  readonly hidden: number;
}

/** The colours a zone is meant to have, most first. Its id is the zone's. */
export interface Scheme {
  readonly id: ZoneId;
  readonly build: BuildId;
  readonly zone: ZoneId;
  readonly colours: readonly ColourId[];
}

/** From an imported list: when an element was made. Its id is the element's. Null = open. */
export interface MadeIn {
  readonly id: string;
  readonly element: ElementKey;
  readonly from: number | null;
  readonly to: number | null;
}

/** Pieces whitened: what they read before and after, and for how long. */
export interface Whitening {
  readonly id: WhiteningId;
  readonly build: BuildId;
  readonly account: AccountKey;
  readonly element: ElementKey;
  readonly qty: number;
  /** Batches of the readings before and after. */
  readonly before: string;
  readonly after: string | null;
  readonly startedAt: string;
  readonly endedAt: string | null;
  readonly note: string;
}

/** A slip that was looked at and is left as it is, and why. */
export interface LeftSlip {
  /** `zone|element`. */
  readonly id: string;
  readonly build: BuildId;
  readonly zone: ZoneId;
  readonly element: ElementKey;
  readonly reason: string;
}

/** A number or a few that the workspace was set to: thresholds of fading and the like. */
export interface Setting {
  readonly id: string;
  readonly values: readonly number[];
}
