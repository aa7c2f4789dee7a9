import { describe, expect, it } from 'vitest';
import { added, grade, placeOf, stepsOf, type Entry } from '../ledger';
import { asId, countingIds } from '../shared/ids';
import { el, MODIFICATIONS, randomLog } from '../testing/world';
import { balancesOf, snapshotOf } from '../testing/world-snapshot';
import { logLine, markDone, readLine, Workbench } from './index';

const source = () => ({ newId: countingIds('n'), now: '2026-11-24' });
const m1 = MODIFICATIONS[0]!;

it.each([1, 2, 3])('places part of a plan, and the two parts make the whole (seed %i)', (seed) => {
  const w = new Workbench(snapshotOf(randomLog(seed, 120).entries));
  const line = '+46 tile 2x2 bark plan at 0.04';
  w.apply(logLine(w, readLine(w, line, { modification: m1, planned: false }), line, source()).diff);
  const entry = w.entries.find((e) => e.id === 'n-1')!;
  const before = w.planned.figures({ of: 'build' });
  const done = markDone(w, [entry], { newId: () => 'rest', now: '' }, 31);
  if (!done.ok) throw new Error(JSON.stringify(done.reason));
  w.apply(done.value.diff);
  expect(w.planned.figures({ of: 'build' })).toEqual(before);
  const parts = w.entries.filter((e) => e.splitFrom === entry.id);
  expect(parts.map((e) => [e.state, stepsOf(e)]).sort()).toEqual([
    ['done', 31],
    ['planned', 15],
  ]);
});

describe('placing', () => {
  it('takes what was to be bought from own parts when it is there by then', () => {
    const log = randomLog(1, 0);
    const w = new Workbench(snapshotOf(log.entries));
    const line = '+4 tile 2x2 lagoon plan';
    w.apply(logLine(w, readLine(w, line, { modification: m1, planned: false }), line, source()).diff);
    const stock = { ...w.entries.find((e) => e.kind === 'add-stock')!, id: asId<Entry['id']>('more') };
    const lagoon = {
      ...stock.movements[0]!,
      element: el('tile 2x2', 'lagoon'),
      grade: grade('used'),
      qty: 3,
    };
    w.apply(added('entry', { ...stock, movements: [lagoon] }));
    const done = markDone(w, [w.entries.find((e) => e.id === 'n-1')!], source());
    if (!done.ok) throw new Error(JSON.stringify(done.reason));
    w.apply(done.value.diff);
    const placed = w.entries.find((e) => e.id === 'n-1')!;
    expect(placed.movements.map((m) => [placeOf(m.from), m.qty])).toEqual([
      ['stock', 3],
      ['own', 1],
    ]);
  });

  it('says what is in the way, and places nothing', () => {
    const w = new Workbench(snapshotOf(randomLog(1, 0).entries));
    const line = '+400 tile 2x2 lagoon plan from own parts';
    w.apply(logLine(w, readLine(w, line, { modification: m1, planned: false }), line, source()).diff);
    const before = balancesOf(w);
    expect(markDone(w, [w.entries.find((e) => e.id === 'n-1')!], source())).toMatchObject({
      ok: false,
      reason: { reason: 'not at hand' },
    });
    expect(balancesOf(w)).toEqual(before);
  });
});
