import type { Minor } from '../shared/money';

/** How the need is to be met. */
export interface Preferences {
  readonly maxParcels: number | null;
  readonly used: boolean;
  /** Hidden parts in any colour. */
  readonly hiddenAnyColour: boolean;
  readonly boxes: boolean;
  /** Share of their worth at which a box's left-over parts are credited, 0 to 1. */
  readonly credit: number;
  /** Days until it must be there, and how sure; null = whenever. */
  readonly within: number | null;
  readonly chance: number;
  readonly never: ReadonlySet<string>;
  /** Boxes that are left out, by `boxId`. */
  readonly leaveOut: ReadonlySet<string>;
  /** Sellers that are preferred, and how many pence more a parcel of theirs may cost than one of others. */
  readonly prefer: ReadonlySet<string>;
  readonly favour: Minor;
  /** Only of sellers who promise that their parts are the maker's own. */
  readonly genuine: boolean;
  /** Lots that are to be new, or may only be used, whatever the others are; by `lotId`. */
  readonly condition: ReadonlyMap<string, 'new' | 'used'>;
  /** Other shapes that fill the same place. */
  readonly shapes: boolean;
}

export const PREFERENCES: Preferences = {
  maxParcels: null,
  used: true,
  hiddenAnyColour: true,
  boxes: true,
  credit: 0.3,
  within: null,
  chance: 0.8,
  never: new Set(),
  leaveOut: new Set(),
  prefer: new Set(),
  favour: 100,
  genuine: true,
  condition: new Map(),
  shapes: false,
};
