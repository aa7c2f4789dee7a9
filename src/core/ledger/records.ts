import type { ElementKey } from '../parts';
import type {
  AssemblyId,
  BuildId,
  ColourId,
  CopyId,
  CountLineId,
  EntryId,
  ModificationId,
  OrderId,
  PhaseId,
  TrayId,
  WhatIfId,
  ZoneId,
} from '../shared/ids';
import type { Minor } from '../shared/money';
import type { AccountKey } from './accounts';
import type { EntryKind, Why } from './entry-kinds';
import type { Grade } from './grades';
import type {
  CountLine,
  Exposure,
  Finding,
  LeftSlip,
  MadeIn,
  Reading,
  Scheme,
  Setting,
  SurveyCard,
  Whitening,
} from './survey-records';
import type { KeptAssembly, PoolModel, Watch } from './supply-records';

/** Pieces of one element and grade going from one place to another. Both ends are always there. */
export interface Movement {
  readonly element: ElementKey;
  readonly grade: Grade;
  /** Pieces, > 0. */
  readonly qty: number;
  readonly from: AccountKey;
  readonly to: AccountKey;
  /** Worth of one piece in minor units when it moved; what was paid when it comes from outside. Null = not known. */
  readonly worth: Minor | null;
}

export type EntryState = 'planned' | 'done';

/** One logged line. `build` is null for entries of the stores. */
export interface Entry {
  readonly id: EntryId;
  readonly build: BuildId | null;
  readonly modification: ModificationId | null;
  readonly kind: EntryKind;
  readonly state: EntryState;
  /** Serial number in its build's log, given when logged; "as of entry N" counts these. */
  readonly no: number;
  /** Place within its modification. */
  readonly position: number;
  readonly why: Why | null;
  readonly note: string;
  readonly hidden: boolean;
  /** For a stand-in: the element it stands for. */
  readonly standsFor: ElementKey | null;
  readonly whatIf: WhatIfId | null;
  readonly assembly: AssemblyId | null;
  readonly order: OrderId | null;
  /** The entry this one was split from when part of it was placed, so that both can be told as one line. */
  readonly line: EntryId | null;
  /** The count of a box's lot that posted this, so that counting again takes it back. */
  readonly counted: CountLineId | null;
  readonly loggedAt: string;
  readonly movements: readonly Movement[];
}

export interface Build {
  readonly id: BuildId;
  readonly name: string;
  readonly note: string;
  readonly createdAt: string;
  readonly archived: boolean;
}

/** One physical box: on the model of a build, or being broken up for it. */
export interface Copy {
  readonly id: CopyId;
  readonly build: BuildId;
  readonly setName: string;
  readonly setCode: string;
  readonly condition: 'new' | 'second-hand';
  readonly role: 'base' | 'donor';
  readonly price: Minor;
}

/** A named area of the model. The root zone has no parent and holds what was not placed in another. */
export interface Zone {
  readonly id: ZoneId;
  readonly build: BuildId;
  readonly parent: ZoneId | null;
  readonly name: string;
  readonly position: number;
}

export interface Phase {
  readonly id: PhaseId;
  readonly build: BuildId;
  readonly name: string;
  readonly position: number;
}

export const MODIFICATION_PURPOSES = ['count'] as const;
export type ModificationPurpose = (typeof MODIFICATION_PURPOSES)[number];

export interface Modification {
  readonly id: ModificationId;
  readonly build: BuildId;
  readonly no: number;
  readonly title: string;
  readonly zone: ZoneId;
  readonly phase: PhaseId | null;
  readonly why: string;
  readonly note: string;
  readonly position: number;
  /** What Evarn keeps in it: `count` = what counting a box in found. Null = it is the person's own. */
  readonly purpose: ModificationPurpose | null;
}

/** A named alternative list of planned entries. */
export interface WhatIf {
  readonly id: WhatIfId;
  readonly build: BuildId;
  readonly name: string;
  readonly note: string;
}

/** A named group of parts that moves as one. */
export interface Assembly {
  readonly id: AssemblyId;
  readonly build: BuildId;
  readonly name: string;
  readonly lots: readonly { readonly element: ElementKey; readonly qty: number }[];
}

/** Pieces bought from one seller in one parcel. */
export interface Order {
  readonly id: OrderId;
  readonly build: BuildId;
  readonly seller: string;
  readonly postage: Minor;
  readonly due: string;
  readonly placedAt: string;
}

export interface Tray {
  readonly id: TrayId;
  readonly name: string;
  readonly place: string;
  readonly position: number;
}

/** What a piece costs. Null = not known. */
export interface Price {
  readonly id: string;
  readonly element: ElementKey;
  readonly newPrice: Minor | null;
  readonly usedPrice: Minor | null;
}

/** A colour that the workspace added to the palette. */
export interface CustomColour {
  readonly id: ColourId;
  readonly name: string;
  readonly hex: string;
  readonly family: string;
  readonly finish: string;
}

/** A colour name of a foreign list and the palette colour the person chose for it. */
export interface ColourAlias {
  readonly id: string;
  readonly colour: ColourId;
}

/** Which column means what, remembered for tables with the same heading. */
export interface ColumnMemory {
  readonly id: string;
  readonly roles: readonly string[];
}

/** Every kind of record that an action can change. */
export interface RecordTypes {
  build: Build;
  copy: Copy;
  zone: Zone;
  phase: Phase;
  modification: Modification;
  whatIf: WhatIf;
  assembly: Assembly;
  order: Order;
  tray: Tray;
  price: Price;
  customColour: CustomColour;
  colourAlias: ColourAlias;
  columnMemory: ColumnMemory;
  surveyCard: SurveyCard;
  countLine: CountLine;
  finding: Finding;
  reading: Reading;
  exposure: Exposure;
  scheme: Scheme;
  leftSlip: LeftSlip;
  whitening: Whitening;
  madeIn: MadeIn;
  setting: Setting;
  watch: Watch;
  kept: KeptAssembly;
  poolModel: PoolModel;
  entry: Entry;
}

export type RecordType = keyof RecordTypes;

/** A record with the name of its type. */
export type TypedRecord = {
  [T in RecordType]: { readonly type: T; readonly record: RecordTypes[T] };
}[RecordType];

/** Parents stand before children, so that rows can be written in this order and removed in the reverse. */
export const RECORD_TYPES: readonly RecordType[] = [
  'build',
  'copy',
  'zone',
  'phase',
  'modification',
  'whatIf',
  'assembly',
  'order',
  'tray',
  'price',
  'customColour',
  'colourAlias',
  'columnMemory',
  'surveyCard',
  'countLine',
  'finding',
  'reading',
  'exposure',
  'scheme',
  'leftSlip',
  'whitening',
  'madeIn',
  'setting',
  'watch',
  'kept',
  'poolModel',
  'entry',
];
