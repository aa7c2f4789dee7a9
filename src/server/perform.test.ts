import { describe, expect, it } from 'vitest';
import { actionSchema } from '@/core/formats';
import { LIMITS } from '@/core/shared/bounds';
import { deleteEntries, markDone, placeOrder, toBuy } from '@/core/workbench';
import { added, changed, removed, type Entry } from '@/core/ledger';
import { asId, countingIds, type EntryId } from '@/core/shared/ids';
import { between, pick, seededRandom } from '@/core/shared/random';
import { overdrawn, unbalanced } from '@/data/balances';
import { currentRevision } from '@/data/actions';
import { readRecords } from '@/data/records';
import { perform, undoOrRedo } from './perform';
import { NOW, testBuild, type TestBuild } from './testing/workspace';

const figures = (t: TestBuild) => t.open().built.figures({ of: 'build' });
const entries = (t: TestBuild): Entry[] =>
  readRecords(t.handle.db, 'entry', t.build).filter((e) => e.kind !== 'unpack');
const everything = (t: TestBuild) =>
  JSON.stringify(
    t
      .open()
      .recordList()
      .sort((a, b) => (a.record.id < b.record.id ? -1 : 1)),
  );

describe('carrying an action out', () => {
  it('keeps it, gives it a revision, and balances', () => {
    const t = testBuild();
    const before = currentRevision(t.handle.db);
    const done = t.log('-2 plate 2x3 chalk, +3 brick 1x2 ash');
    expect(done).toMatchObject({ ok: true, value: { revision: before + 1 } });
    expect(figures(t)).toMatchObject({
      shipped: 112,
      out: 2,
      in: 3,
      net: 1,
      onModel: 113,
      released: 2,
      extras: 2,
    });
    expect(unbalanced(t.handle.db)).toEqual([]);
  });

  it('counts the same action sent twice once', () => {
    const t = testBuild();
    const first = t.log('-2 plate 2x3 chalk', 'same');
    const action = {
      id: asId<never>('twice'),
      scope: t.build,
      label: 'again',
      diff: added('entry', { ...entries(t)[0]!, id: asId<EntryId>('other'), no: 9 }),
    };
    const second = perform(t.handle, action, NOW);
    expect(second).toMatchObject({ ok: true });
    expect(perform(t.handle, action, NOW)).toEqual(second);
    expect(entries(t)).toHaveLength(2);
    // Another wish under an id that was used is not taken for the one that was carried out.
    expect(perform(t.handle, { ...action, id: asId<never>('same') }, NOW)).toEqual({
      ok: false,
      reason: { refused: 'id used' },
    });
    expect(entries(t)).toHaveLength(2);
    expect(first.ok).toBe(true);
  });

  it('refuses an entry that breaks a law, and writes nothing', () => {
    const t = testBuild();
    t.log('-2 plate 2x3 chalk');
    const [e] = entries(t);
    const revision = currentRevision(t.handle.db);
    const worse = {
      ...e!,
      id: asId<EntryId>('bad'),
      no: 7,
      movements: e!.movements.map((m) => ({ ...m, qty: 100 })),
    };
    expect(t.act({ label: 'x', diff: added('entry', worse) })).toMatchObject({
      ok: false,
      reason: { refused: 'overdrawn' },
    });
    const wrong = {
      ...worse,
      movements: worse.movements.map((m) => ({ ...m, to: m.from, from: m.to, qty: 1 })),
    };
    expect(t.act({ label: 'x', diff: added('entry', wrong) })).toMatchObject({
      ok: false,
      reason: { refused: 'fault' },
    });
    expect([currentRevision(t.handle.db), entries(t).length]).toEqual([revision, 1]);
  });

  it('is refused by the database too, when the core is passed by', () => {
    const t = testBuild();
    t.log('-2 plate 2x3 chalk');
    const row = (qty: number, from: string, to: string) => () =>
      t.handle.sqlite
        .prepare(
          'insert into movements (entry, place, element, grade, qty, from_account, to_account) values (?, 9, ?, ?, ?, ?, ?)',
        )
        .run(entries(t)[0]!.id, 'a|b', 'new', qty, from, to);
    expect(row(0, 'outside', 'spares:x')).toThrow(/CHECK/);
    expect(row(-1, 'outside', 'spares:x')).toThrow(/CHECK/);
    expect(row(1, 'outside', 'outside')).toThrow(/CHECK/);
    expect(row(1, 'outside', null as never)).toThrow(/NOT NULL/);
  });

  it('refuses to delete what something else stands on', () => {
    const t = testBuild();
    t.log('-2 plate 2x3 chalk');
    const modification = t.open().modifications[0]!;
    expect(t.act({ label: 'x', diff: removed('modification', modification) })).toMatchObject({
      ok: false,
      reason: { refused: 'in use' },
    });
    const unpack = readRecords(t.handle.db, 'entry', t.build).find((e) => e.kind === 'unpack')!;
    expect(t.act({ label: 'x', diff: removed('entry', unpack) })).toMatchObject({
      ok: false,
      reason: { refused: 'overdrawn' },
    });
  });
});

describe('undo and redo', () => {
  it('restore every record exactly, over a long random day', () => {
    const t = testBuild();
    const random = seededRandom(8);
    const states = [everything(t)];
    const lines = [
      '-1 plate 2x3 chalk',
      '+2 brick 1x2 ash',
      '~1 arch 1x4 ash > bark @gallery',
      '+3 tile 2x2 slate plan',
      '!1 brick 1x2 ash',
      '%1 brick 1x2 ash',
    ];
    for (let n = 0; n < 30; n++) {
      const held = entries(t);
      const planned = held.filter((e) => e.state === 'planned');
      const chance = random();
      if (chance < 0.2 && held.length > 3) t.act(deleteEntries([held.at(-1)!]));
      else if (chance < 0.4 && planned[0]) {
        const done = markDone(t.open(), [planned[0]], { newId: t.newId, now: '' }, between(random, 1, 3));
        if (done.ok) t.act(done.value);
      } else t.log(pick(random, lines));
      states.push(everything(t));
    }
    for (let i = states.length - 2; i >= 0; i--) {
      expect(undoOrRedo(t.handle, `u${i}`, t.build, 'undo').ok).toBe(true);
      expect(everything(t)).toBe(states[i]);
    }
    for (let i = 1; i < states.length; i++) {
      expect(undoOrRedo(t.handle, `r${i}`, t.build, 'redo').ok).toBe(true);
      expect(everything(t)).toBe(states[i]);
    }
    expect(unbalanced(t.handle.db)).toEqual([]);
  });

  it('count once when the wish is sent twice, and end where there is nothing left', () => {
    const t = testBuild();
    t.log('-1 plate 2x3 chalk');
    undoOrRedo(t.handle, 'once', t.build, 'undo');
    undoOrRedo(t.handle, 'once', t.build, 'undo');
    expect(t.open().modifications).toHaveLength(1);
    expect(undoOrRedo(t.handle, 'x', 'no-such-scope', 'undo')).toMatchObject({
      ok: false,
      reason: { refused: 'nothing to undo' },
    });
    t.log('-1 plate 2x3 chalk');
    expect(undoOrRedo(t.handle, 'y', t.build, 'redo')).toMatchObject({ ok: false });
  });
});

describe('orders', () => {
  it('spend the money when placed, and share the postage to the penny', () => {
    const t = testBuild();
    t.log('+7 tile 2x2 slate plan at 0.11, +3 brick 1x2 gorse plan at 0.05');
    const workbench = t.open();
    const buying = toBuy(workbench.entries);
    expect(
      t.act(
        placeOrder(
          workbench,
          buying,
          { seller: 'S', postage: 199, due: '' },
          { newId: countingIds('o'), now: '' },
        ),
      ).ok,
    ).toBe(true);
    expect(figures(t).outOfPocket).toBe(7 * 11 + 3 * 5 + 199);
    const after = t.open();
    expect(toBuy(after.entries)).toEqual([]);
    const done = markDone(
      after,
      after.entries.filter((e) => e.state === 'planned'),
      { newId: t.newId, now: '' },
    );
    if (!done.ok) throw new Error(JSON.stringify(done.reason));
    t.act(done.value);
    expect(figures(t)).toMatchObject({ outOfPocket: 7 * 11 + 3 * 5 + 199, fromOrder: 10, bought: 0, in: 10 });
    expect(overdrawn(t.handle.db, ['order:o-1'])).toEqual([]);
  });
});

describe('numbers', () => {
  it('the highest there is keeps no later one from having a number', () => {
    const t = testBuild();
    const workbench = t.open();
    const first = workbench.modifications[0]!;
    const add = (no: number, id: string) =>
      t.act({ label: 'x', diff: added('modification', { ...first, id: asId<never>(id), no }) });
    expect(add(LIMITS.no, 'top').ok).toBe(true);
    for (let n = 0; n < 3; n++) expect(add(LIMITS.no, `later-${n}`)).toMatchObject({ ok: true });
    const numbers = t.open().modifications.map((m) => m.no);
    expect(new Set(numbers).size).toBe(numbers.length);
    expect(Math.max(...numbers)).toBe(LIMITS.no);
  });

  it('no number beyond the bound comes in at the door', () => {
    const t = testBuild();
    const first = t.open().modifications[0]!;
    const action = (no: number) => ({
      id: 'a',
      scope: t.build,
      label: 'x',
      diff: added('modification', { ...first, no }),
    });
    expect(actionSchema.safeParse(action(5)).success).toBe(true);
    for (const no of [2 ** 53 - 1, LIMITS.no + 1, 0, 1.5])
      expect([no, actionSchema.safeParse(action(no)).success]).toEqual([no, false]);
  });
});

describe('text that could not be read back as it was written', () => {
  it.each(['half \ud83e', '\udd14', 'zero \0 byte'])('%j does not come in', (note) => {
    const t = testBuild();
    const build = t.open().records.build.get(t.build)!;
    const diff = changed('build', build, { note });
    expect(actionSchema.safeParse({ id: 'a', scope: t.build, label: 'x', diff }).success).toBe(false);
  });

  it('a whole emoji is written, changed and undone', () => {
    const t = testBuild();
    const build = t.open().records.build.get(t.build)!;
    t.act({ label: 'x', diff: changed('build', build, { note: '🧱👩‍🔧' }) });
    expect(undoOrRedo(t.handle, 'u', t.build, 'undo')).toMatchObject({ ok: true });
    expect(t.open().records.build.get(t.build)).toEqual(build);
  });
});
