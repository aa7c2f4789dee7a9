import type { BuildId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { flag, id, list, name, note, number, object, reference, short } from './fields';

/** What was decided before a part was moved: what for, what is wished, whose ideas, which house rules hold. Its id is the build's. */
export const brief = defineRecord({
  type: 'brief',
  table: 'briefs',
  fields: {
    id: id<BuildId>(),
    build: reference<BuildId>('build'),
    purpose: note(),
    /** In their order. */
    wishes: list(object({ what: name(), done: flag() }), 100),
    /** Credits: what was taken from whom, and where it was seen. */
    ideas: list(object({ what: name(), whose: short(), where: short() }), 100),
    /** The rules that are on, by their ids, with their limits. */
    rules: list(object({ rule: id(), limit: number(0, 1e10), text: note() }), 60),
  },
  idOf: (b) => b.build,
  inModFile: { key: 'briefs', most: 1, optional: true },
});
export type Brief = RecordOf<typeof brief>;
