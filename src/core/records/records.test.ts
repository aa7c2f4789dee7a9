import { describe, expect, it } from 'vitest';
import { asId, type ZoneId } from '../shared/ids';
import { el, BUILD } from '../testing/world';
import { settingNow } from './earlier-settings';
import type { Field } from './fields';
import {
  isOfBuild,
  lotKey,
  OWNER_TYPES,
  RECORDS,
  RECORD_TYPES,
  recordSpec,
  recordTypeNow,
  referencesOf,
  renameReferences,
  scopeNow,
  upgradeRecord,
  upgradeTyped,
} from './index';

/** The types of record that a kind of record must name, its accounts' owners among them. */
function namedBy({ shape }: Field<unknown>): string[] {
  switch (shape.kind) {
    case 'reference':
      return shape.loose ? [] : [shape.to];
    case 'account':
      return Object.values(OWNER_TYPES);
    case 'list':
      return namedBy(shape.of);
    case 'object':
      return Object.values(shape.fields).flatMap(namedBy);
    default:
      return [];
  }
}

const entry = {
  id: 'e1',
  build: BUILD,
  modification: 'm1',
  movements: [
    {
      from: 'shipped:c1',
      to: 'model:z1',
      element: el('brick 1x2', 'ash'),
      grade: 'new',
      qty: 2,
      worth: null,
    },
    { from: 'stock:t1', to: 'outside', element: el('brick 1x2', 'ash'), grade: 'new', qty: 1, worth: null },
  ],
};
const fields = recordSpec('entry').fields;

describe('the registry', () => {
  it('has each type, table and list of the mod file once', () => {
    for (const names of [
      RECORDS.map((s) => s.type),
      RECORDS.map((s) => s.table),
      RECORDS.flatMap((s) => ('inModFile' in s && s.inModFile ? [s.inModFile.key] : [])),
    ])
      expect(new Set(names).size).toBe(names.length);
  });

  it('puts what is named before what names it, so that rows can be written in its order', () => {
    // An entry may name itself, and a zone the zone round it; nothing else is written after what names it.
    const order = new Map<string, number>(RECORD_TYPES.map((t, i) => [t, i]));
    for (const { type, fields: f } of RECORDS as readonly { type: string; fields: object }[])
      for (const to of Object.values(f as Record<string, Field<unknown>>).flatMap(namedBy)) {
        expect(order.has(to), `${type} names ${to}`).toBe(true);
        expect(order.get(to)! <= order.get(type)!, `${to} stands before ${type}`).toBe(true);
      }
  });

  it('no earlier name is a name of today, or of two kinds', () => {
    const earlier = RECORDS.flatMap((s) => ('earlier' in s ? [...(s.earlier?.types ?? [])] : []));
    expect(new Set(earlier).size).toBe(earlier.length);
    expect(earlier.filter((t) => (RECORD_TYPES as readonly string[]).includes(t))).toEqual([]);
    for (const t of RECORD_TYPES) expect(recordTypeNow(t)).toBe(t);
  });

  it('knows what belongs to one build, and asks after unknown kinds loudly', () => {
    expect(['zone', 'entry', 'finding', 'poolModel'].map((t) => isOfBuild(t as never))).toEqual(
      Array(4).fill(true),
    );
    expect(['tray', 'price', 'build', 'waiting'].map((t) => isOfBuild(t as never))).toEqual(
      Array(4).fill(false),
    );
    expect(() => recordSpec('saucer' as never)).toThrow('saucer');
  });
});

describe('references', () => {
  it('are the records that it names, and the owners of its accounts', () => {
    const named = [...referencesOf(fields, entry)].map((r) => `${r.to} ${r.id}`);
    expect(named.sort()).toEqual(['build b1', 'copy c1', 'modification m1', 'tray t1', 'zone z1']);
  });

  it('are renamed wherever they stand, its own id left alone', () => {
    const renamed = renameReferences(fields, entry, (type, id) => `${type}-${id}`);
    expect(renamed).toMatchObject({ id: 'e1', build: 'build-b1', modification: 'modification-m1' });
    expect(renamed.movements.map((m) => [m.from, m.to])).toEqual([
      ['shipped:copy-c1', 'model:zone-z1'],
      ['stock:tray-t1', 'outside'],
    ]);
    expect(renameReferences(fields, renamed, (_, id) => id.split('-')[1]!)).toEqual(entry);
  });

  it('of a lot make one key, however it is asked for', () => {
    const key = lotKey(asId<ZoneId>('z1'), el('brick 1x2', 'ash'));
    const of = { id: key, build: BUILD, zone: 'z1', element: el('brick 1x2', 'ash') };
    expect(recordSpec('exposure').idOf!(of as never)).toBe(key);
    expect(recordSpec('leftMismatch').idOf!(of as never)).toBe(key);
  });
});

describe('what an earlier program kept', () => {
  it('is brought to the names of today, and what is of today is left as it is', () => {
    const old = { ...entry, movements: [{ ...entry.movements[1]!, from: 'stores:t1' }] };
    const now = upgradeRecord('entry', old);
    expect(now.movements[0]!.from).toBe('stock:t1');
    expect(upgradeRecord('entry', now)).toEqual(now);
    expect(recordTypeNow('leftSlip')).toBe('leftMismatch');
    expect([scopeNow('stores'), scopeNow('build:b1')]).toEqual(['stock', 'build:b1']);
  });

  it('as a list of numbers is a record of its own kind', () => {
    const now = (id: string, ...values: number[]) => settingNow({ id, values });
    expect(now('fading', 2, 5, 9)).toEqual({
      type: 'fadingGrades',
      record: { id: 'fading', from: [2, 5, 9] },
    });
    expect(now('clock', -3)).toMatchObject({ type: 'simulatedClock', record: { daysAhead: 0 } });
    expect(now('clock', 12)).toMatchObject({ record: { daysAhead: 12 } });
    expect(now('pool:b1', 1)).toEqual({
      type: 'buildSources',
      record: { id: 'b1', build: 'b1', boxesOnly: true, elsewhere: null },
    });
    expect(now('pool:b1', 0)).toMatchObject({ record: { boxesOnly: false } });
    expect(now('rank:b:1', 2)).toEqual({ type: 'claimRank', record: { id: 'b:1', rank: 2 } });
    expect(now('lamp', 1)).toBeUndefined();
  });

  it('in a change is brought to today on both of its sides', () => {
    const change = {
      type: 'setting',
      from: { id: 'rank:b1', values: [1] },
      to: { id: 'rank:b1', values: [4] },
    };
    expect(upgradeTyped(change, ['from', 'to'])).toEqual({
      type: 'claimRank',
      from: { id: 'b1', rank: 1 },
      to: { id: 'b1', rank: 4 },
    });
    expect(
      upgradeTyped({ type: 'setting', record: { id: 'lamp', values: [1] } }, ['record']),
    ).toBeUndefined();
  });
});
