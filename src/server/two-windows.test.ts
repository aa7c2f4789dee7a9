import { describe, expect, it } from 'vitest';
import { allThere, boxLots, countLot } from '@/core/inspection';
import { CONSTRAINT_WORDS, refusalWords } from '@/screens/words/refusal';
import { deleteEntries } from '@/core/workbench';
import { added, changed, type Entry } from '@/core/ledger';
import { asId, type EntryId } from '@/core/shared/ids';
import { currentRevision, stepsSince } from '@/data/actions';
import { readRecords } from '@/data/records';
import { NOW, testBuild, type TestBuild } from './testing/workspace';

const entries = (t: TestBuild): Entry[] =>
  readRecords(t.handle.db, 'entry', t.build).filter((e) => e.kind !== 'unpack');

describe('two windows on one build', () => {
  it('do not overwrite each other: the second is refused, and told what changed', () => {
    const t = testBuild();
    t.log('-2 plate 2x3 chalk');
    const [seen] = entries(t);
    const revision = currentRevision(t.handle.db);
    expect(t.act({ label: 'note in window one', diff: changed('entry', seen!, { note: 'one' }) }).ok).toBe(
      true,
    );
    expect(
      t.act({ label: 'note in window two', diff: changed('entry', seen!, { note: 'two' }) }),
    ).toMatchObject({
      ok: false,
      reason: { refused: 'conflict', conflict: { type: 'entry', how: 'changed' } },
    });
    expect(t.act(deleteEntries([seen!]))).toMatchObject({ ok: false, reason: { refused: 'conflict' } });
    expect(entries(t)[0]!.note).toBe('one');
    expect(stepsSince(t.handle.db, revision)?.map((s) => s.label)).toEqual(['note in window one']);
  });

  it('give new entries numbers of their own', () => {
    const t = testBuild();
    t.log('-2 plate 2x3 chalk');
    const [e] = entries(t);
    const twin = { ...e!, id: asId<EntryId>('twin') };
    expect(t.act({ label: 'twin', diff: added('entry', twin) })).toMatchObject({
      ok: true,
      value: { diff: { added: [{ record: { id: 'twin', no: 2 } }] } },
    });
    expect(
      entries(t)
        .map((x) => x.no)
        .sort(),
    ).toEqual([1, 2]);
  });
});

describe('two windows that count the same lot', () => {
  it('the second is told, whichever ids they use', () => {
    const t = testBuild();
    const [lot] = boxLots(t.open(), [...t.open().records.copy.values()][0]!.id);
    const source = (p: string) => ({ newId: () => `${p}-${Math.random()}`, now: NOW.toISOString() });
    const counts = ['one', 'two'].map((p) =>
      countLot(t.open(), lot!, { ...allThere(lot!), there: lot!.expected - 1 }, true, source(p)),
    );
    const [one, two] = counts.map((c) => (c.ok ? c.value : undefined)!);
    expect(t.act(one!)).toMatchObject({ ok: true });
    expect(t.act(two!)).toMatchObject({ ok: false, reason: { refused: 'conflict' } });
    // One with an id of its own, as earlier programs made them, meets the database's own bound.
    const line = two!.diff.added.find((r) => r.type === 'countLine')!;
    const old = {
      added: [{ ...line, record: { ...line.record, id: 'old-id' } } as never],
      changed: [],
      removed: [],
    };
    expect(t.act({ label: 'x', diff: old })).toEqual({
      ok: false,
      reason: {
        refused: 'constraint',
        kind: 'unique',
        of: 'count_lines.copy, count_lines.zone, count_lines.element',
      },
    });
    expect(t.log('-1 brick 1x2 ash')).toMatchObject({ ok: true });
  });

  it('every constraint of the database has its sentence', () => {
    const { sqlite } = testBuild().handle;
    const tables = sqlite
      .prepare("SELECT name, sql FROM sqlite_master WHERE type = 'table' AND name NOT GLOB '__drizzle*'")
      .all() as { name: string; sql: string }[];
    const keys: string[] = [];
    for (const { name, sql } of tables) {
      for (const [, check] of sql.matchAll(/CONSTRAINT "(\w+)" CHECK/g)) keys.push(check!);
      const indexes = sqlite.pragma(`index_list(${name})`) as {
        name: string;
        unique: number;
        origin: string;
      }[];
      for (const i of indexes.filter((x) => x.unique && x.origin === 'c')) {
        const columns = sqlite.pragma(`index_info(${i.name})`) as { name: string }[];
        keys.push(columns.map((c) => `${name}.${c.name}`).join(', '));
      }
    }
    expect(keys.length).toBeGreaterThan(8);
    expect(keys.filter((k) => !(k in CONSTRAINT_WORDS))).toEqual([]);
    for (const k of keys)
      expect(refusalWords({ refused: 'constraint', kind: 'unique', of: k })).toMatch(/^[A-Z].*\.$/);
  });
});
