import type { Entry, Tally } from '../ledger';
import type { EntryId } from '../shared/ids';
import type { Workbench } from '../workbench';

/** What a rule asks for: nothing, a number of something, an amount of money, a day, colours by name, or 1:n and a real length. */
export type RuleAsks = 'nothing' | 'pieces' | 'money' | 'studs' | 'parcels' | 'colours' | 'day' | 'scale';

/** A rule that is on, with its limit or its text. */
export interface RuleSetting {
  readonly limit: number;
  readonly text: string;
}

/** How a rule stands. `holds` null = it cannot be told yet, and `lacks` says what would have to be known. */
export interface RuleState {
  readonly holds: boolean | null;
  /** What it is now, in the unit the rule asks for; null where it is no number. */
  readonly is: number | null;
  readonly lacks?: string;
  /** The chance that it will hold, 0 to 1, where it is about what is to come. */
  readonly chance?: number;
  /** Places, colours or models by name that break it. */
  readonly where: readonly string[];
  /** Entries that break it, the first first. */
  readonly breaks: readonly EntryId[];
}

/**
 * A house rule: a pure function of the books and the records, in a file of its own. What only figures say is a function of
 * the tally, so that a line can be held against it before Enter.
 */
export interface Rule {
  readonly id: string;
  readonly name: string;
  readonly asks: RuleAsks;
  readonly ofTally?: (tally: Tally, setting: RuleSetting) => RuleState;
  readonly ofBooks?: (workbench: Workbench, setting: RuleSetting) => RuleState;
  /** Whether an entry alone would break it: of a rule that is told by the entries that break it. */
  readonly brokenBy?: (entry: Entry, workbench: Workbench, setting: RuleSetting) => boolean;
}

/** A state that is told by a number against its limit. */
export const atMost = (is: number, limit: number): RuleState => ({
  holds: is <= limit,
  is,
  where: [],
  breaks: [],
});

/** A state that cannot be told yet. */
export const unknown = (lacks: string): RuleState => ({
  holds: null,
  is: null,
  lacks,
  where: [],
  breaks: [],
});

/** A state that is told by what breaks it: entries, or names. */
export const unbroken = (where: readonly string[], breaks: readonly EntryId[] = []): RuleState => ({
  holds: where.length === 0 && breaks.length === 0,
  is: null,
  where,
  breaks,
});
