import { describe, expect, it } from 'vitest';
import { addZone, logLine, readLine } from '@/core/workbench';
import {
  added,
  changed,
  grade,
  placeOf,
  removed,
  STOCK_SCOPE,
  stockAccount,
  zoneOf,
  type Diff,
  type Tray,
} from '@/core/ledger';
import { asId, type ActionId, type TrayId, type ZoneId } from '@/core/shared/ids';
import { between, pick, seededRandom } from '@/core/shared/random';
import { addStock, mergeTrays, takeFrom } from '@/core/stock';
import { el } from '@/core/testing/world';
import { leftInClosed } from '@/data/accounts';
import { stockBalances, unbalanced } from '@/data/balances';
import { booksFault } from '@/data/check-books';
import { stockPlans } from '@/data/own-parts';
import { readRecords } from '@/data/records';
import { perform, undoOrRedo } from './perform';
import { NOW, testBuild } from './testing/workspace';

const ash = el('brick 1x2', 'ash');
const tray = (id: string): Tray => ({ id: asId<TrayId>(id), name: id, place: '', position: 1 });

function stocked() {
  const t = testBuild();
  let n = 0;
  const source = () => ({ newId: () => `s-${++n}`, now: NOW.toISOString() });
  const act = (diff: Diff, scope: string = STOCK_SCOPE) =>
    perform(t.handle, { id: asId<ActionId>(`a-${++n}`), scope, label: 'act', diff }, NOW);
  return { ...t, source, act };
}

describe('a place goes only when nothing lies in it', () => {
  it('a tray that came with a count stays when pieces of a build were put there since', () => {
    const { act, handle, source, log, build } = stocked();
    const made = addStock({ element: ash, grade: grade('used'), qty: 4, worth: null }, asId('new'), source());
    act({ ...made.diff, added: [...added('tray', tray('new')).added, ...made.diff.added] });
    log('-3 brick 1x2 ash to own parts');
    const pieces = () => stockBalances(handle.db).reduce((s, r) => s + r.qty, 0);
    expect(pieces()).toBe(7);
    expect(undoOrRedo(handle, 'u', STOCK_SCOPE, 'undo')).toMatchObject({
      ok: false,
      reason: { refused: 'not empty' },
    });
    expect(readRecords(handle.db, 'tray').map((x) => x.id)).toContain('new');
    expect(pieces()).toBe(7);
    // With the build's own entry taken back first, the tray can go too.
    expect(undoOrRedo(handle, 'v', build, 'undo')).toMatchObject({ ok: true });
    expect(undoOrRedo(handle, 'w', STOCK_SCOPE, 'undo')).toMatchObject({ ok: true });
    expect([pieces(), readRecords(handle.db, 'tray')]).toEqual([0, []]);
    expect(booksFault(handle.db)).toBeUndefined();
  });

  it('nor while something is planned there', () => {
    const { act, log, handle } = stocked();
    act(added('tray', tray('t')));
    log('+2 brick 1x2 ash from own parts plan');
    expect(act(removed('tray', tray('t')))).toMatchObject({
      ok: false,
      reason: { refused: 'not empty', row: { account: stockAccount(asId('t')), qty: 0 } },
    });
    expect(readRecords(handle.db, 'tray')).toHaveLength(1);
  });
});

describe('two windows', () => {
  it('log into a zone that the other has just removed: refused, and told that it is gone', () => {
    const { open, act, build, handle, source } = stocked();
    const workbench = open();
    const shed = addZone(workbench, 'Shed', workbench.rootZone.id, source());
    act(shed.diff, build);
    const second = open();
    const zone = second.zones.find((z) => z.name === 'Shed')!;
    const reading = readLine(second, '+1 brick 1x2 ash @shed', {
      modification: second.modifications[0]!,
      planned: false,
    });
    const late = logLine(second, reading as never, 'x', source());
    expect(act(removed('zone', zone), build)).toMatchObject({ ok: true });
    expect(act(late.diff, build)).toEqual({
      ok: false,
      reason: { refused: 'place gone', account: `model:${zone.id}` },
    });
    expect(unbalanced(handle.db)).toEqual([]);
  });

  it('log into a modification that the other has just deleted: told that it is gone, not that it is somebody else\u2019s', () => {
    const { open, act, build, source } = stocked();
    const workbench = open();
    const [modification] = workbench.modifications;
    const reading = readLine(workbench, '-1 brick 1x2 ash', { modification: modification!, planned: false });
    const late = logLine(workbench, reading as never, 'x', source());
    expect(act(removed('modification', modification!), build)).toMatchObject({ ok: true });
    expect(act(late.diff, build)).toEqual({ ok: false, reason: { refused: 'belongs to nothing' } });
    const phase = { id: asId<never>('p'), build: asId<never>('no such build'), name: 'p', position: 1 };
    expect(act(added('phase', phase), build)).toEqual({
      ok: false,
      reason: { refused: 'belongs to nothing' },
    });
  });

  it('a zone is emptied and goes in one step, is undone and done again', () => {
    const { open, act, build, handle, log } = stocked();
    const porch = open().zones.find((z) => z.name === 'Porch')!;
    log('-1 plate 2x3 chalk @porch');
    const [unpack] = open().entries.filter((e) => e.kind === 'unpack');
    const root = open().rootZone;
    const turned = unpack!.movements.map((m) =>
      m.to === `model:${porch.id}` ? { ...m, to: `model:${root.id}` as never } : m,
    );
    const [logged] = open().entries.filter((e) => e.kind === 'remove');
    const moved = logged!.movements.map((m) => ({ ...m, from: `model:${root.id}` as never }));
    const modifications = open().modifications.filter((m) => m.zone === porch.id);
    const diff: Diff = {
      added: [],
      removed: removed('zone', porch).removed,
      changed: [
        ...changed('entry', unpack!, { movements: turned }).changed,
        ...changed('entry', logged!, { movements: moved }).changed,
        ...modifications.flatMap((m) => changed('modification', m, { zone: root.id }).changed),
      ],
    };
    expect(act(diff, build)).toMatchObject({ ok: true });
    expect(undoOrRedo(handle, 'z1', build, 'undo')).toMatchObject({ ok: true });
    expect(undoOrRedo(handle, 'z2', build, 'redo')).toMatchObject({ ok: true });
    expect(booksFault(handle.db)).toBeUndefined();
  });

  it('nest zones into a circle: the second is refused', () => {
    const { open, act, build } = stocked();
    const [porch, gallery] = ['Porch', 'Gallery'].map((n) => open().zones.find((z) => z.name === n)!);
    expect(act(changed('zone', porch!, { parent: gallery!.id }), build)).toMatchObject({ ok: true });
    expect(act(changed('zone', gallery!, { parent: porch!.id }), build)).toMatchObject({
      ok: false,
      reason: { refused: 'zones', fault: { fault: 'circle' } },
    });
  });

  it('no zone takes the root away or hangs below another build\u2019s', () => {
    const { open, act, build, handle, newId } = stocked();
    const other = testBuild(handle, 'o');
    const [root] = [open().rootZone];
    const porch = open().zones.find((z) => z.name === 'Porch')!;
    expect(act(changed('zone', porch, { parent: null }), build)).toMatchObject({
      reason: { refused: 'zones' },
    });
    expect(act(changed('zone', porch, { parent: other.open().rootZone.id }), build)).toMatchObject({
      reason: { refused: 'zones', fault: { fault: 'parent is not there' } },
    });
    expect(act(changed('zone', root, { parent: porch.id }), build)).toMatchObject({
      reason: { refused: 'zones' },
    });
    const stray = { ...porch, id: asId<ZoneId>(newId()), parent: asId<ZoneId>('nowhere') };
    expect(act(added('zone', stray), build).ok).toBe(false);
  });

  it('an entry of one build cannot move pieces of another', () => {
    const { open, act, build, handle, log } = stocked();
    log('-1 brick 1x2 ash');
    const other = testBuild(handle, 'o').open();
    const [entry] = open().entries.filter((e) => e.modification !== null);
    const strange = {
      ...entry!,
      id: asId<never>('strange'),
      movements: entry!.movements.map((m) => ({ ...m, from: `model:${other.rootZone.id}` as never })),
    };
    expect(act(added('entry', strange), build)).toMatchObject({
      ok: false,
      reason: { refused: 'another build' },
    });
  });
});

describe('what is on the model is the sum of its zones, always', () => {
  it.each([1, 2, 3])('over random work, trays made, merged and gone among it (seed %i)', (seed) => {
    const random = seededRandom(seed);
    const { open, act, log, build, handle, source } = stocked();
    act(added('tray', tray('t0')));
    for (let n = 1; n < 60; n++) {
      const trays = readRecords(handle.db, 'tray');
      const lots = stockBalances(handle.db);
      const roll = random();
      // Undo may take back what the work needs to go on: then there is a tray again first.
      if (roll < 0.15 || trays.length === 0) act(added('tray', tray(`t${n}`)));
      else if (roll < 0.3) {
        const lot = { element: ash, grade: grade('used'), qty: between(random, 1, 5), worth: null };
        act(addStock(lot, pick(random, trays).id, source()).diff);
      } else if (roll < 0.4 && trays.length > 1)
        act(mergeTrays(trays[0]!, trays[1]!, lots, stockPlans(handle.db), source()).diff);
      else if (roll < 0.5) act(removed('tray', pick(random, trays)));
      else if (roll < 0.6 && lots[0])
        act(takeFrom([{ ...lots[0], qty: 1 }], 'lent', 'Wren', null, source()).diff);
      else if (roll < 0.7 && open().modifications.length + n > 12)
        undoOrRedo(handle, `u${n}`, pick(random, [STOCK_SCOPE, build]), 'undo');
      else if (roll < 0.75) undoOrRedo(handle, `r${n}`, pick(random, [STOCK_SCOPE, build]), 'redo');
      else if (roll < 0.8) act(addZone(open(), `Z${n}`, open().rootZone.id, source()).diff, build);
      else if (roll < 0.85) act(removed('zone', pick(random, open().zones)), build);
      else if (open().modifications.length > 0)
        log(
          pick(random, [
            '-1 brick 1x2 ash',
            '-2 plate 2x3 chalk to own parts',
            '+1 brick 1x2 ash',
            '+1 tile 2x2 slate plan',
          ]),
        );
      if (readRecords(handle.db, 'build').length === 0) return;
      const { built, zones } = open();
      const rows = built.balances.rows((a) => placeOf(a) === 'model');
      const named = rows.filter((r) => zones.some((z) => z.id === zoneOf(r.account)));
      const sum = (list: typeof rows) => list.reduce((s, r) => s + r.qty, 0);
      expect(sum(named)).toBe(sum(rows));
      expect(sum(rows)).toBe(built.figures({ of: 'build' }).onModel);
      const inTrays = stockBalances(handle.db).filter((r) =>
        readRecords(handle.db, 'tray').some((x) => r.account === stockAccount(x.id)),
      );
      expect(inTrays).toEqual(stockBalances(handle.db));
    }
    expect(leftInClosed(handle.db)).toBeUndefined();
    expect(booksFault(handle.db)).toBeUndefined();
  });
});
