import { understandLine, type LineProblem, type Understood } from '../log-line';
import {
  draftEntry,
  type DraftProblem,
  type Entry,
  type Figures,
  type Intent,
  type Modification,
  type Scope,
  takeTally,
  type Tally,
} from '../ledger';
import { asId, type EntryId } from '../shared/ids';
import type { Workbench } from './workbench';

/** One clause with the entry it would make, or what stands in its way. */
export interface ReadClause {
  readonly understood: Understood;
  readonly entry: Entry | null;
  readonly problem: DraftProblem | null;
}

/** What the build would come to. */
export interface Effect {
  readonly built: Tally;
  readonly planned: Tally;
  readonly modification: Figures;
  /** What the new entries alone come to. */
  readonly alone: Figures;
}

export interface LineReading {
  readonly clauses: readonly ReadClause[];
  readonly problems: readonly LineProblem[];
  /** True when Enter would log it all. */
  readonly ready: boolean;
  readonly effect: Effect | null;
}

export interface ReadOptions {
  readonly modification: Modification;
  /** Log as planned even where the line does not say so. */
  readonly planned: boolean;
  /** Entries that the line is to take the place of, when an entry is edited. */
  readonly without?: readonly Entry[];
  /** What the figures of the effect are taken of: the build, or the zone that is looked at. */
  readonly scope?: Scope;
}

/** Ids of entries that are only tried, never kept. */
const tryId = (n: number): EntryId => asId<EntryId>(`try-${n}`);

/** Reads a line and works out, on the bench's own books, what Enter would do. Leaves the bench as it was. */
export function readLine(workbench: Workbench, line: string, options: ReadOptions): LineReading {
  const { clauses, problems } = understandLine(line, workbench.callContext());
  const intents = clauses.map((c) => (c.status === 'intent' ? withState(c.intent, options.planned) : null));
  const { drafts, effect } = tryIntents(workbench, intents, options);
  const read = clauses.map((understood, i) => ({
    understood,
    entry: drafts[i]?.entry ?? null,
    problem: drafts[i]?.problem ?? null,
  }));
  const ready =
    problems.length === 0 &&
    read.length > 0 &&
    read.every((c) => c.entry || c.understood.status === 'assembly');
  return { clauses: read, problems, ready, effect };
}

const withState = (intent: Intent, planned: boolean): Intent => ({
  ...intent,
  planned: intent.planned || planned,
});

interface Draft {
  readonly entry: Entry | null;
  readonly problem: DraftProblem | null;
}

/** Drafts intents one after another, each on top of those before it, and measures what they do together. */
export function tryIntents(
  workbench: Workbench,
  intents: readonly (Intent | null)[],
  { modification, without = [], scope = { of: 'build' } }: ReadOptions,
): { drafts: Draft[]; effect: Effect | null } {
  const context = workbench.draftContext();
  const { no, position } = workbench.nextEntry(modification.id);
  const drafts: Draft[] = [];
  const made: Entry[] = [];
  const books = [workbench.built, workbench.planned];
  const taken = books.map((b) => without.filter((e) => b.has(e.id)));
  books.forEach((b, i) => taken[i]?.forEach((e) => b.unpost(e)));
  intents.forEach((intent, i) => {
    if (!intent) return void drafts.push({ entry: null, problem: null });
    const stamp = { id: tryId(i), no: no + i, position: position + i, loggedAt: '', modification };
    const drafted = draftEntry(intent, stamp, context);
    if (!drafted.ok) return void drafts.push({ entry: null, problem: drafted.reason });
    drafts.push({ entry: drafted.value, problem: null });
    made.push(drafted.value);
    if (drafted.value.state === 'done') workbench.built.post(drafted.value);
    workbench.planned.post(drafted.value);
  });
  const effect = made.length > 0 ? measure(workbench, made, modification, scope) : null;
  books.forEach((b, i) => {
    made.forEach((e) => b.unpost(e));
    taken[i]?.forEach((e) => b.post(e));
  });
  return { drafts, effect };
}

function measure(
  workbench: Workbench,
  made: readonly Entry[],
  modification: Modification,
  scope: Scope,
): Effect {
  const alone: Record<string, number> = {};
  for (const e of made)
    for (const [f, n] of Object.entries(workbench.planned.partOf(e, { of: 'build' })))
      alone[f] = (alone[f] ?? 0) + n;
  return {
    built: takeTally(workbench.built, scope, workbench.priceOf),
    planned: takeTally(workbench.planned, scope, workbench.priceOf),
    modification: workbench.planned.figures({ of: 'modification', modification: modification.id }),
    alone: alone as Figures,
  };
}
