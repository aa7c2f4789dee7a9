export { briefOf, keepBrief, makeException, rulesNow, withdrawException, wouldBreak } from './brief';
export type { RuleNow } from './brief';
export type { Rule, RuleAsks, RuleState } from './rule';
export { RULES } from './rules';
