import { describe, expect, it } from 'vitest';
import { asId, type PhaseId, type ZoneId } from '../shared/ids';
import { BUILD, entry, MODIFICATIONS, ZONES } from '../testing/world';
import {
  added,
  applyDiff,
  changed,
  conflictWith,
  diffOf,
  EMPTY_DIFF,
  emptyRecordSet,
  invertDiff,
  joinDiffs,
  removed,
  sameRecord,
} from './index';

const start = applyDiff(
  emptyRecordSet(),
  joinDiffs(added('zone', ...ZONES), added('modification', ...MODIFICATIONS)),
);
const [zone] = ZONES;

describe('a diff', () => {
  it('undone twice is itself', () => {
    const diff = joinDiffs(
      removed('zone', ZONES[3]!),
      changed('zone', zone!, { name: 'All of it' }),
      added('entry', entry('e', 'add', [])),
    );
    expect(invertDiff(invertDiff(diff))).toEqual(diff);
    expect(applyDiff(applyDiff(start, diff), invertDiff(diff))).toEqual(start);
  });

  it('leaves the records it was applied to, and the maps it does not touch, as they were', () => {
    const before = [...start.zone];
    const after = applyDiff(start, changed('zone', zone!, { name: 'Other' }));
    expect([...start.zone]).toEqual(before);
    expect(after.zone.get(zone!.id)?.name).toBe('Other');
    expect(after.modification).toBe(start.modification);
  });

  it('that is empty changes nothing', () => expect(applyDiff(start, EMPTY_DIFF)).toEqual(start));

  it('is told by record type', () => {
    const diff = joinDiffs(
      added('zone', { ...zone!, id: asId<ZoneId>('zz') }),
      changed('zone', zone!, { name: 'x' }),
      added('entry', entry('e', 'add', [])),
    );
    expect(diffOf(diff, 'zone').added.map((z) => z.id)).toEqual(['zz']);
    expect(diffOf(diff, 'zone').changed[0]?.to.name).toBe('x');
    expect(diffOf(diff, 'entry').added).toHaveLength(1);
    expect(diffOf(diff, 'phase')).toEqual({ added: [], changed: [], removed: [] });
  });
});

describe('what stands in the way of a diff', () => {
  it.each([
    ['already there', added('zone', zone!)],
    [
      'gone',
      removed('zone', {
        ...zone!,
        id: asId<ZoneId>('none'),
      }),
    ],
    ['changed', removed('zone', { ...zone!, name: 'as it was' })],
    ['changed', changed('zone', { ...zone!, position: 99 }, { name: 'x' })],
    [
      'gone',
      changed('phase', { id: asId<PhaseId>('p'), build: BUILD, name: 'p', position: 1 }, { name: 'x' }),
    ],
  ] as const)('%s', (how, diff) => {
    expect(conflictWith(start, diff)).toMatchObject({ how });
    expect(() => applyDiff(start, diff)).toThrow(how);
  });

  it('nothing does when the records are as it knows them, in whatever order their fields stand', () => {
    const turned = Object.fromEntries(Object.entries(zone!).reverse()) as unknown as NonNullable<typeof zone>;
    expect(conflictWith(start, changed('zone', turned, { name: 'x' }))).toBeUndefined();
  });
});

describe('records are the same', () => {
  it.each([
    [{ a: 1, b: [1, { c: null }] }, { b: [1, { c: null }], a: 1 }, true],
    [{ a: 1 }, { a: 1, b: undefined }, false],
    [{ a: [1, 2] }, { a: [2, 1] }, false],
    [{ a: null }, { a: {} }, false],
    [{ a: NaN }, { a: NaN }, true],
    [1, '1', false],
  ])('%j and %j: %s', (a, b, same) => expect(sameRecord(a, b)).toBe(same));
});
