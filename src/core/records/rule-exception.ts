import type { BuildId, RuleExceptionId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { date, id, note, reference } from './fields';

/** A house rule that is broken all the same, with its reason: told wherever the mod is told. */
export const ruleException = defineRecord({
  type: 'ruleException',
  table: 'rule_exceptions',
  fields: {
    id: id<RuleExceptionId>(),
    build: reference<BuildId>('build'),
    rule: id(),
    reason: note(),
    at: date(),
  },
  inModFile: { key: 'ruleExceptions', most: 500, optional: true },
});
export type RuleException = RecordOf<typeof ruleException>;
