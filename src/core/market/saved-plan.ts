import type { BuyingPlan } from '../sourcing';
import type { Minor } from '../shared/money';
import type { MarketAnswer, MarketSeller } from './market';
import type { NeedLot } from '../need';
import { PREFERENCES, type Preferences } from './preferences';

/** How a need was asked to be made up, and what came of it: kept for the build, so that a page that is closed loses nothing. */
export interface SavedPlan {
  readonly preferences: Preferences;
  /** Seconds that a solve may take. */
  readonly seconds: number;
  /** Sellers read from price lists, and the postage that the next one gets, in pence. */
  readonly lists: readonly MarketSeller[];
  readonly listPostage: number;
  readonly asked: AskedPlan | null;
}

/** A question that was put to the solver. */
export interface AskedPlan {
  /** The name of its run: the server keeps what a run had found when its page went away. */
  readonly run: string;
  /** As much of the market as shows the plan: `shownMarket`. */
  readonly market: MarketAnswer;
  /** What was needed, and what was posed for it: other shapes may stand in for some. */
  readonly needed: readonly NeedLot[];
  readonly lots: readonly NeedLot[];
  /** Null = not answered yet. */
  readonly plan: BuyingPlan | null;
  /** What the plan's boxes are credited with: it is paid, and comes back as left-over parts. In pence. */
  readonly credit: Minor;
}

/** Preferences as JSON holds them: sets and maps as lists. */
export type KeptPreferences = Omit<Preferences, 'never' | 'leaveOut' | 'prefer' | 'condition'> & {
  readonly never: string[];
  readonly leaveOut: string[];
  readonly prefer: string[];
  readonly condition: [string, 'new' | 'used'][];
};

/** A buying plan as JSON holds it. */
export type KeptPlan = Omit<SavedPlan, 'preferences'> & { readonly preferences: KeptPreferences };

/** Preferences as JSON can hold them. */
export const savePreferences = (p: Preferences): KeptPreferences => ({
  ...p,
  never: [...p.never],
  leaveOut: [...p.leaveOut],
  prefer: [...p.prefer],
  condition: [...p.condition],
});

/** Preferences as they were before they were saved. */
export const readPreferences = (p: KeptPreferences): Preferences => ({
  ...p,
  never: new Set(p.never),
  leaveOut: new Set(p.leaveOut),
  prefer: new Set(p.prefer),
  condition: new Map(p.condition),
});

/** A buying plan as JSON can hold it. */
export const savePlan = (saved: SavedPlan): KeptPlan => ({
  ...saved,
  preferences: savePreferences(saved.preferences),
});

/** A buying plan as it was before it was saved. */
export const loadPlan = (kept: KeptPlan): SavedPlan => ({
  ...kept,
  preferences: readPreferences(kept.preferences),
});

/** What a build has before anything was asked for it. */
export const BLANK_PLAN: SavedPlan = {
  preferences: PREFERENCES,
  seconds: 5,
  lists: [],
  listPostage: 250,
  asked: null,
};
