import { describe, expect, it } from 'vitest';
import {
  BLANK_ORDER,
  changed,
  goneAccount,
  removed,
  stockAccount,
  STOCK_SCOPE,
  added,
  type Diff,
} from '@/core/ledger';
import { asId, type ActionId, type PoolModelId, type WaitingId } from '@/core/shared/ids';
import { keepWhole, mergeTrays, moveStock, openLoans, takeFrom, type StockLot } from '@/core/stock';
import { el } from '@/core/testing/world';
import { unbalanced } from '@/data/balances';
import { readRecord, readRecords } from '@/data/records';
import { needsOfAll } from './needs';
import { perform, undoOrRedo } from './perform';
import { takeSnapshot, takeStockSnapshot } from './snapshot';
import { importStock } from './import-rows';
import { NOW, testBuild } from './testing/workspace';

const ash = el('tile 2x2', 'ash');
const nothing = { colours: { made: [], matched: [] }, memory: null };

/** Two builds and six tiles, of which each build plans to take four. */
function sharing() {
  const one = testBuild();
  importStock(
    {
      request: 'add-stock',
      tray: 'A1',
      lots: [{ element: ash, qty: 6, condition: null, tray: '', place: '', worth: null }],
      ...nothing,
    },
    { handle: one.handle, newId: one.newId, now: NOW },
  );
  const two = testBuild(one.handle, 'u');
  one.log('+4 tile 2x2 ash from own parts plan');
  two.log('+4 tile 2x2 ash from own parts plan');
  let n = 0;
  const act = (diff: Diff, id = `act-${++n}`) =>
    perform(one.handle, { id: asId<ActionId>(id), scope: STOCK_SCOPE, label: 'act', diff }, NOW);
  const source = { newId: () => `made-${++n}`, now: NOW.toISOString() };
  const stock = () => takeStockSnapshot(one.handle);
  const lots = (): StockLot[] => stock().rows;
  return { one, two, act, source, stock, lots, handle: one.handle };
}

describe('own parts shared by builds', () => {
  it('the first has them first; a rank turns it round; the needs add up to what is lacking', () => {
    const { one, two, act, handle } = sharing();
    const missing = () => needsOfAll(handle).map((n) => [n.build, n.missing]);
    expect(missing()).toEqual([
      [one.build, 0],
      [two.build, 2],
    ]);
    expect(takeSnapshot(handle, two.build)?.claims).toMatchObject([{ build: one.build, qty: 4 }]);
    expect(act(added('claimRank', { id: two.build, rank: -1 })).ok).toBe(true);
    expect(missing()).toEqual([
      [two.build, 0],
      [one.build, 2],
    ]);
    expect(needsOfAll(handle).reduce((s, n) => s + n.missing, 0)).toBe(4 + 4 - 6);
  });

  it('a lot moved takes the plans along; merging does away with the tray, and undo brings it back', () => {
    const { act, source, stock, lots, handle } = sharing();
    const before = needsOfAll(handle).map((n) => n.missing);
    const b1 = { id: asId<never>('b1'), name: 'B1', place: '', position: 2 };
    act(added('tray', b1));
    const moved = moveStock([{ ...lots()[0]!, qty: 5 }], b1, stock().plans, source);
    expect(act(moved.diff).ok).toBe(true);
    expect(needsOfAll(handle).map((n) => n.missing)).toEqual(before);
    const [a1] = stock().trays.filter((t) => t.name === 'A1');
    expect(act(mergeTrays(a1!, b1, lots(), stock().plans, source).diff)).toMatchObject({ ok: true });
    expect(stock().rows).toMatchObject([{ account: stockAccount(b1.id), qty: 6 }]);
    expect(readRecord(handle.db, 'tray', a1!.id)).toBeUndefined();
    expect(undoOrRedo(handle, 'u', STOCK_SCOPE, 'undo')).toMatchObject({ ok: true });
    expect(readRecord(handle.db, 'tray', a1!.id)).toMatchObject({ name: 'A1' });
    expect(needsOfAll(handle).map((n) => n.missing)).toEqual(before);
    expect(unbalanced(handle.db)).toEqual([]);
  });

  it('no more can be lent or had back than there is, and a loan sent twice counts once', () => {
    const { act, source, stock, lots, handle } = sharing();
    const loan = takeFrom([{ ...lots()[0]!, qty: 4 }], 'lent', 'Wren', null, source);
    expect(act(loan.diff, 'once').ok).toBe(true);
    expect(act(loan.diff, 'once').ok).toBe(true);
    expect(openLoans(stock().loans)).toMatchObject([{ note: 'Wren', movements: [{ qty: 4 }] }]);
    expect(stock().rows).toMatchObject([{ qty: 2 }]);
    const more = takeFrom([{ ...stock().rows[0]!, qty: 3 }], 'lent', 'Finch', null, source);
    expect(act(more.diff)).toMatchObject({ ok: false, reason: { refused: 'overdrawn' } });
    const [open] = openLoans(stock().loans);
    const back = {
      ...open!,
      id: asId<never>('back'),
      line: open!.id,
      movements: open!.movements.map((m) => ({ ...m, qty: 5, from: goneAccount('lent'), to: m.from })),
    };
    expect(act(added('entry', back))).toMatchObject({ ok: false, reason: { refused: 'overdrawn' } });
    expect(unbalanced(handle.db)).toEqual([]);
  });

  it('an order placed twice buys once', () => {
    const { one } = sharing();
    one.log('+3 tile 2x2 bark plan');
    const placed = () => one.open().entries.filter((e) => e.kind === 'order').length;
    const order = {
      id: asId<never>('order'),
      build: one.build,
      seller: 'Gull',
      ...BLANK_ORDER,
      postage: 200,
      due: '2026-12-01',
      placedAt: NOW.toISOString(),
    };
    const entry = one.open().entries.find((e) => e.movements.some((m) => m.from === 'outside'))!;
    const bought = {
      ...entry,
      id: asId<never>('bought'),
      kind: 'order' as const,
      state: 'done' as const,
      order: order.id,
      no: 90,
      movements: entry.movements.map((m) => ({ ...m, to: `order:${order.id}` as never })),
    };
    const command = {
      label: 'order',
      diff: {
        ...added('order', order),
        added: [...added('order', order).added, ...added('entry', bought).added],
      },
    };
    expect(one.act(command, 'the same').ok).toBe(true);
    expect(one.act(command, 'the same').ok).toBe(true);
    expect(placed()).toBe(1);
    // The same pieces under another name are a conflict, not a second parcel.
    expect(one.act(command, 'another').ok).toBe(false);
    expect(placed()).toBe(1);
  });

  it('keeps what is waited for, kept whole and planned from a pool, changes it and lets it go', () => {
    const { one, act, source, stock, handle } = sharing();
    const waiting = { id: asId<WaitingId>('w'), element: ash, qty: 2, note: '', at: NOW.toISOString() };
    expect(act(added('waiting', waiting)).ok).toBe(true);
    expect(stock().waitingParts).toEqual([waiting]);
    const account = stock().rows[0]!.account;
    const kept = keepWhole('Table', account, [{ element: ash, qty: 5 }], source);
    expect(act(kept.diff).ok).toBe(true);
    expect(needsOfAll(handle)[0]).toMatchObject({ missing: 3 });
    const model = {
      id: asId<PoolModelId>('m'),
      build: one.build,
      name: 'Hut',
      musts: [{ part: asId<never>('brick 1x2'), colour: null, qty: 4 }],
      colours: [],
      shares: false,
      ...{ place: 1, colour: null, sectionOf: null, isBuilt: false },
    };
    expect(act(added('poolModel', model)).ok).toBe(true);
    expect(act(changed('poolModel', model, { shares: true })).ok).toBe(true);
    expect(readRecords(handle.db, 'poolModel', one.build)).toEqual([{ ...model, shares: true }]);
    expect(act(removed('waiting', waiting)).ok).toBe(true);
    expect(act(removed('keptAssembly', stock().kept[0]!)).ok).toBe(true);
    expect([stock().waitingParts, stock().kept]).toEqual([[], []]);
  });
});
