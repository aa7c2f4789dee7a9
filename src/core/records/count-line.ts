import type { ElementKey } from '../parts';
import { asId, type BuildId, type CopyId, type CountLineId, type ZoneId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { date, element, flag, longId, pieces, reference } from './fields';

/**
 * The id of a lot's count. It follows from what is counted, so that two windows that count the same lot mean the same
 * record: countLineId({ copy: 'c', zone: 'z', element: 'plate 1x2|ash' }) = 'c:z:plate 1x2|ash'.
 */
export const countLineId = (lot: {
  readonly copy: CopyId;
  readonly zone: ZoneId;
  readonly element: ElementKey;
}): CountLineId => asId<CountLineId>(`${lot.copy}:${lot.zone}:${lot.element}`);

/** How one lot of a copy was checked off. Missing = expected - there - broken. */
export const countLine = defineRecord({
  type: 'countLine',
  table: 'count_lines',
  fields: {
    id: longId<CountLineId>(),
    build: reference<BuildId>('build'),
    copy: reference<CopyId>('copy'),
    zone: reference<ZoneId>('zone'),
    element: element(),
    expected: pieces(),
    /** Pieces that are there and can be used, worn ones included. */
    there: pieces(),
    broken: pieces(),
    /** Of those there: visibly faded or yellowed. */
    faded: pieces(),
    /** Of those there: the sticker is gone or crazed. */
    bare: pieces(),
    /** False = what is missing is not wanted, and is not needed. */
    wanted: flag(),
    at: date(),
  },
  indexes: [{ name: 'count_lines_lot', on: ['copy', 'zone', 'element'], unique: true }],
  idOf: countLineId,
  holds: {
    says: 'more pieces counted than the box holds',
    test: (c) => c.there + c.broken <= c.expected && c.faded + c.bare <= c.there,
  },
  inModFile: { key: 'countLines', most: 50_000, optional: true },
});
export type CountLine = RecordOf<typeof countLine>;
