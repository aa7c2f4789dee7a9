import { describe, expect, it } from 'vitest';
import { added, changed, EMPTY_DIFF, invertDiff } from '../ledger';
import { asId, countingIds, type WhatIfId } from '../shared/ids';
import { BUILD, el, MODIFICATIONS, randomLog, ZONES } from '../testing/world';
import { balancesOf, snapshotOf } from '../testing/world-snapshot';
import {
  adoptWhatIf,
  deleteModification,
  deleteWhatIf,
  editEntry,
  kindsToBuy,
  logLine,
  markDone,
  placeOrder,
  readLine,
  recordsOf,
  recordSetOf,
  toBuy,
  Workbench,
} from './index';

const source = () => ({ newId: countingIds('n'), now: '2026-11-24' });
const m1 = MODIFICATIONS[0]!;
describe.each([1, 2, 3])('the bench (seed %i)', (seed) => {
  const log = randomLog(seed, 120);
  const open = () => new Workbench(snapshotOf(log.entries));

  it('sends its records as a list and gets them back', () => {
    const w = open();
    expect(recordsOf(recordSetOf(w.recordList()))).toEqual(w.recordList());
  });

  it('gives the same lists of zones and modifications until one of them changes', () => {
    const w = open();
    const { zones, modifications } = w;
    w.apply(changed('entry', w.entries[0]!, { note: 'n' }));
    expect(w.zones).toBe(zones);
    expect(w.modifications).toBe(modifications);
    w.apply(changed('zone', zones[1]!, { name: 'Cellar' }));
    w.apply(changed('modification', modifications[0]!, { title: 'Dig' }));
    expect(w.zones.map((z) => z.name)).toContain('Cellar');
    expect(w.modifications.map((m) => m.title)).toContain('Dig');
    expect(zones.map((z) => z.name)).not.toContain('Cellar');
  });

  it('reads a line and leaves its books as they were', () => {
    const w = open();
    const before = balancesOf(w);
    for (const line of [
      '+3 plate 2x3 chalk, -1 brick 1x2 ash',
      '~1 arch 1x4 ash > bark plan',
      '-2000 brick 1x2 ash',
      'nonsense',
      '+1 zz',
    ])
      readLine(w, line, { modification: m1, planned: false });
    expect(balancesOf(w)).toEqual(before);
  });

  it('says before Enter exactly what the books say after it', () => {
    const w = open();
    const line = '+3 plate 2x3 chalk; +2 tile 2x2 bark plan; +1 brick 1x2 gorse at 0.40';
    const reading = readLine(w, line, { modification: m1, planned: false });
    expect(reading.ready).toBe(true);
    w.apply(logLine(w, reading, line, source()).diff);
    expect(w.built.figures({ of: 'build' })).toEqual(reading.effect?.built.figures);
    expect(w.planned.figures({ of: 'build' })).toEqual(reading.effect?.planned.figures);
    expect(w.planned.figures({ of: 'modification', modification: m1.id })).toEqual(
      reading.effect?.modification,
    );
  });

  it('keeps its books entry by entry as if opened anew', () => {
    const w = open();
    const line = '+3 plate 2x3 chalk; +5 tile 2x2 bark plan at 0.04';
    w.apply(logLine(w, readLine(w, line, { modification: m1, planned: false }), line, source()).diff);
    const first = w.entries.find((e) => e.id === 'n-1')!;
    const edit = '+7 plate 2x3 bark at 0.09';
    w.apply(
      editEntry(first, readLine(w, edit, { modification: m1, planned: false, without: [first] }), source())
        .diff,
    );
    const done = markDone(w, [w.entries.find((e) => e.id === 'n-2')!], { newId: () => 'rest', now: '' }, 2);
    if (!done.ok) throw new Error(JSON.stringify(done.reason));
    w.apply(done.value.diff);
    w.apply(deleteModification(w, w.modifications[3]!).diff);
    const fresh = new Workbench({ ...snapshotOf([]), records: w.recordList() });
    expect(balancesOf(w)).toEqual(balancesOf(fresh));
    for (const scope of [{ of: 'build' } as const, { of: 'modification', modification: m1.id } as const])
      expect(w.planned.figures(scope)).toEqual(fresh.planned.figures(scope));
  });

  it('orders what is to buy without changing what the plan costs but for the postage', () => {
    const w = open();
    const line = '+4 tile 2x2 lagoon plan at 0.25; +3 brick 1x2 lagoon plan at 0.10';
    w.apply(logLine(w, readLine(w, line, { modification: m1, planned: false }), line, source()).diff);
    const buying = toBuy(w.entries.filter((e) => e.id.startsWith('n-')));
    const before = w.planned.figures({ of: 'modification', modification: m1.id });
    w.apply(
      placeOrder(w, buying, { seller: 'S', postage: 123, due: '' }, { newId: countingIds('o'), now: '' })
        .diff,
    );
    const after = w.planned.figures({ of: 'modification', modification: m1.id });
    expect(after.outOfPocket - before.outOfPocket).toBe(123);
    expect(after.in).toBe(before.in);
    expect(w.planned.balances.total('order:o-1' as never)).toBe(0);
  });

  it('orders at the prices that were paid, on the day it was done, and says where one is not known', () => {
    const w = open();
    const line =
      '+4 tile 2x2 lagoon plan at 0.25; +2 tile 2x2 lagoon plan at 0.20; +3 brick 1x2 lagoon plan at 0.10';
    w.apply(logLine(w, readLine(w, line, { modification: m1, planned: false }), line, source()).diff);
    const buying = toBuy(w.entries.filter((e) => e.id.startsWith('n-')));
    const kinds = kindsToBuy(buying);
    // Planned at two prices, a kind has none that could be shown for all of it.
    expect(kinds.map(({ lot }) => [lot.element, lot.qty, lot.worth])).toEqual([
      [el('tile 2x2', 'lagoon'), 6, null],
      [el('brick 1x2', 'lagoon'), 3, 10],
    ]);
    const before = w.planned.figures({ of: 'modification', modification: m1.id });
    const order = (prices: (readonly [string, number | null])[]) =>
      placeOrder(
        w,
        buying,
        { seller: 'Aunt Hester', postage: 50, due: '', placedAt: '2026-11-02', prices: new Map(prices) },
        { newId: countingIds('o'), now: '2026-11-24' },
      );
    const spent = (prices: (readonly [string, number | null])[]) => {
      const { diff } = order(prices);
      w.apply(diff);
      const f = w.planned.figures({ of: 'modification', modification: m1.id });
      const order1 = w.records.order.get('o-1');
      w.apply(invertDiff(diff));
      expect(order1).toMatchObject({ seller: 'Aunt Hester', placedAt: '2026-11-02', due: '' });
      return [f.outOfPocket - before.outOfPocket, f.boughtUnpriced - before.boughtUnpriced];
    };
    expect(spent([])).toEqual([50, 0]);
    expect(spent([[kinds[0]!.key, 30]])).toEqual([50 + 6 * 30 - 4 * 25 - 2 * 20, 0]);
    expect(spent([[kinds[1]!.key, null]])).toEqual([50 - 30, 3]);
    expect(w.planned.figures({ of: 'modification', modification: m1.id })).toEqual(before);
  });

  it('keeps a what-if apart until it is adopted, and forgets a dropped one', () => {
    const w = open();
    const whatIf = { id: asId<WhatIfId>('w1'), build: BUILD, name: 'Red roof', note: '' };
    w.apply(added('whatIf', whatIf));
    const inIt = new Workbench({ ...snapshotOf([]), records: w.recordList() }, whatIf.id);
    const line = '+9 tile 2x2 bark';
    inIt.apply(logLine(inIt, readLine(inIt, line, { modification: m1, planned: true }), line, source()).diff);
    const plain = () => new Workbench({ ...snapshotOf([]), records: inIt.recordList() });
    const plan = open().planned.figures({ of: 'build' }).in;
    expect([plain().planned.figures({ of: 'build' }).in, inIt.planned.figures({ of: 'build' }).in]).toEqual([
      plan,
      plan + 9,
    ]);
    const [adopting, dropping] = [plain(), plain()];
    adopting.apply(adoptWhatIf(adopting, whatIf).diff);
    dropping.apply(deleteWhatIf(dropping, whatIf).diff);
    expect(adopting.planned.figures({ of: 'build' }).in).toBe(plan + 9);
    expect(dropping.planned.figures({ of: 'build' })).toEqual(open().planned.figures({ of: 'build' }));
    expect(dropping.entries.length).toBe(log.entries.length);
  });
});

it('a diff that changes what others changed cannot be applied', () => {
  const w = new Workbench(snapshotOf([]));
  const zone = ZONES[1]!;
  w.apply(changed('zone', zone, { name: 'Stoop' }));
  expect(() => w.apply(changed('zone', zone, { name: 'Step' }))).toThrow(/changed/);
  expect(() => w.apply(EMPTY_DIFF)).not.toThrow();
});
