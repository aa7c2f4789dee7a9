import type { ElementKey } from '../parts';
import type { AssemblyId, CopyId, ZoneId } from '../shared/ids';
import type { Minor } from '../shared/money';
import type { LoggedKind, Why } from '../places';
import type { Condition } from '../places';

export const SOURCES = ['spares', 'stock', 'donor', 'order', 'outside', 'own'] as const;
export type SourceChoice = (typeof SOURCES)[number];
export const DESTINATIONS = ['spares', 'stock', 'own', 'bin'] as const;
export type DestinationChoice = (typeof DESTINATIONS)[number];

export interface Pieces {
  readonly element: ElementKey;
  readonly qty: number;
}

/**
 * What a person wants logged, before it is known where the pieces come from. The log line reads it, pointing makes
 * it, and `draftEntry` turns it into movements.
 */
export interface Intent {
  readonly kind: LoggedKind;
  /** Pieces leaving the model, or moved. */
  readonly off: readonly Pieces[];
  /** Pieces joining the model. */
  readonly on: readonly Pieces[];
  /** Null = the modification's own zone. */
  readonly zone: ZoneId | null;
  readonly toZone: ZoneId | null;
  /** Where pieces that leave lie, and nowhere else; null = the zone, what is nested in it, then what lies in no zone. */
  readonly offZone?: ZoneId | null;
  /** Null = spares, then the build's boxes, then own parts, then as the build says of what is in no books. */
  readonly source: SourceChoice | null;
  /** Of the build's boxes: which of them; empty = any, in their order. */
  readonly boxes: readonly CopyId[];
  /** Of own parts that are not counted: what they came out of; empty = nobody said. */
  readonly ownFrom: string;
  /** Null = spares. */
  readonly destination: DestinationChoice | null;
  /** Condition of the pieces joining; null = the best at hand. */
  readonly condition: Condition | null;
  readonly price: Minor | null;
  readonly why: Why | null;
  readonly note: string;
  readonly hidden: boolean;
  readonly planned: boolean;
  /** For a placeholder or its replacement: the element that belongs there. */
  readonly standsFor: ElementKey | null;
  readonly assembly: AssemblyId | null;
}

export const BLANK_INTENT: Intent = {
  kind: 'add',
  off: [],
  on: [],
  zone: null,
  toZone: null,
  source: null,
  boxes: [],
  ownFrom: '',
  destination: null,
  condition: null,
  price: null,
  why: null,
  note: '',
  hidden: false,
  planned: false,
  standsFor: null,
  assembly: null,
};
