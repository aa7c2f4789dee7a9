import {
  added,
  joinDiffs,
  removed,
  takeTally,
  written,
  type Command,
  type Entry,
  type Source,
  type Tally,
} from '../ledger';
import type { Brief, RuleException } from '../records';
import { asId, type RuleExceptionId } from '../shared/ids';
import type { Workbench } from '../workbench';
import type { Rule, RuleState } from './rule';
import { RULES } from './rules';

/** What was decided of a build; at first nothing, and no rule is on by itself. */
export const briefOf = (workbench: Workbench): Brief =>
  workbench.records.brief.get(workbench.build) ?? {
    id: workbench.build,
    build: workbench.build,
    purpose: '',
    wishes: [],
    ideas: [],
    rules: [],
  };

/** Keeps the brief as it is said now. An exception of a rule that is off goes with it. */
export function keepBrief(workbench: Workbench, brief: Brief): Command {
  const on = new Set(brief.rules.map((r) => r.rule));
  const gone = exceptionsOf(workbench).filter((e) => !on.has(e.rule));
  return {
    label: 'change the brief',
    diff: joinDiffs(
      written('brief', workbench.records.brief.get(workbench.build), brief),
      removed('ruleException', ...gone),
    ),
  };
}

/** A rule that is on, how it stands, and the exception that was made of it. */
export interface RuleNow {
  readonly rule: Rule;
  readonly setting: Brief['rules'][number];
  readonly state: RuleState;
  readonly exception: RuleException | null;
}

/** The rules that are on as things are planned, in their order; those that only figures say by a tally, where one is given. */
export function rulesNow(workbench: Workbench, tally?: Tally): RuleNow[] {
  const { rules } = briefOf(workbench);
  if (rules.length === 0) return [];
  const exceptions = new Map(exceptionsOf(workbench).map((e) => [e.rule, e]));
  const planned = tally ?? takeTally(workbench.planned, { of: 'build' }, workbench.priceOf);
  return RULES.flatMap((rule): RuleNow[] => {
    const setting = rules.find((r) => r.rule === rule.id);
    const state = setting && (rule.ofTally?.(planned, setting) ?? rule.ofBooks?.(workbench, setting));
    return state ? [{ rule, setting, state, exception: exceptions.get(rule.id) ?? null }] : [];
  });
}

/**
 * Rules that what is tried would break, told before Enter: those that an entry alone breaks each time, by its entries; the
 * others, by the tally or by the books with it, where they hold, or are not known to be broken, as things are planned.
 *
 * @param now  the rules that are on, where they have been asked already
 */
export function wouldBreak(
  workbench: Workbench,
  tally: Tally,
  entries: readonly Entry[] = [],
  now: readonly RuleNow[] = rulesNow(workbench),
): Rule[] {
  if (now.length === 0) return [];
  const onBooks = now.filter(({ rule, state }) => rule.ofBooks && !rule.brokenBy && state.holds !== false);
  const breaksBooks = new Set(
    onBooks.length === 0 || entries.length === 0
      ? []
      : workbench.asIf(entries, () =>
          onBooks
            .filter(({ rule, setting }) => rule.ofBooks!(workbench, setting).holds === false)
            .map((n) => n.rule),
        ),
  );
  return now
    .filter(({ rule, setting, state }) => {
      if (rule.brokenBy) return entries.some((e) => rule.brokenBy!(e, workbench, setting));
      if (!rule.ofTally) return breaksBooks.has(rule);
      return state.holds !== false && rule.ofTally(tally, setting).holds === false;
    })
    .map((n) => n.rule);
}

const exceptionsOf = (workbench: Workbench): RuleException[] =>
  [...workbench.records.ruleException.values()].filter((e) => e.build === workbench.build);

/** Lets a rule be broken all the same, with its reason. */
export function makeException(workbench: Workbench, rule: Rule, reason: string, source: Source): Command {
  const old = exceptionsOf(workbench).filter((e) => e.rule === rule.id);
  return {
    label: `make an exception: ${rule.name}`,
    diff: joinDiffs(
      removed('ruleException', ...old),
      added('ruleException', {
        id: asId<RuleExceptionId>(source.newId()),
        build: workbench.build,
        rule: rule.id,
        reason,
        at: source.now,
      }),
    ),
  };
}

export const withdrawException = (exception: RuleException): Command => ({
  label: 'take an exception back',
  diff: removed('ruleException', exception),
});
