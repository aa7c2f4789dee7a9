import { describe, expect, it } from 'vitest';
import { grade, modelAccount, placeOf, type Entry } from '../ledger';
import { asId, countingIds, type ModificationId, type OrderId } from '../shared/ids';
import { did, makeWorkbench, notedYellowed, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import {
  addModification,
  elsewhereOf,
  logLine,
  markDone,
  placeOrder,
  readLine,
  setElsewhere,
  toBuy,
  type Workbench,
} from '../workbench';
import { needOf } from './need';
import { PART_STATES, statesOf, totalsOf } from './part-states';

const newId = countingIds('s');
const source = () => ({ newId, now: '2026-01-01T00:00:00Z' });

/** A wall of own pieces, five more in a tray, and a price book. */
function wall(): { w: Workbench; log: (line: string) => Entry[] } {
  const w = makeWorkbench({
    zones: { Wall: ['40 brick 1x2 ash'], Roof: ['20 slope 45 2x2 slate'] },
    stock: ['5 brick 1x2 chalk'],
    prices: ['brick 1x2 chalk 10', 'slope 45 2x2 chalk 20'],
  });
  const made = addModification(w, 'Whiten', zoneId('Wall'), source());
  did(w, made);
  const log = (line: string) => {
    const modification = w.records.modification.get(made.id)!;
    const reading = readLine(w, line, { modification, planned: false });
    if (!reading.ready) throw new Error(`${line}: ${JSON.stringify(reading.clauses)}`);
    const before = new Set(w.entries.map((e) => e.id));
    did(w, logLine(w, reading, line, source()));
    return w.entries.filter((e) => !before.has(e.id));
  };
  return { w, log };
}

const build = { of: 'build' } as const;
const pieces = (w: Workbench, scope: Parameters<typeof statesOf>[1] = build, planned = true) =>
  PART_STATES.map((s) => totalsOf(statesOf(w, scope, planned))[s].pieces);
const from = (e: Entry | undefined) => e?.movements.map((m) => `${m.qty} ${placeOf(m.from)}`).join(', ');

describe('what is in no books', () => {
  it('is one’s own and not counted, as long as nobody said otherwise: done, and nothing paid', () => {
    const { w, log } = wall();
    expect(elsewhereOf(w)).toBeNull();
    const [entry] = log('+8 brick 1x2 chalk');
    expect([entry!.state, from(entry)]).toEqual(['done', '5 stock, 3 own']);
    expect(w.built.figures(build)).toMatchObject({ fromStock: 5, fromOwn: 3, bought: 0, outOfPocket: 0 });
    expect(needOf(w).missing).toBe(0);
  });

  it('is to be bought where the build says so: the line is a plan until the parts are there', () => {
    const { w, log } = wall();
    did(w, setElsewhere(w, 'buy'));
    const [had] = log('+4 brick 1x2 chalk');
    expect([had!.state, from(had)]).toEqual(['done', '4 stock']);
    const [lacks] = log('+4 brick 1x2 chalk');
    expect([lacks!.state, from(lacks)]).toEqual(['planned', '1 stock, 3 outside']);
    expect(needOf(w).missing).toBe(3);
    expect(w.built.figures(build).outOfPocket).toBe(0);
  });

  it('what waited to be bought and is placed was bought, at a price that nobody said: not at the book’s', () => {
    const { w, log } = wall();
    did(w, setElsewhere(w, 'buy'));
    const [waits] = log('+4 slope 45 2x2 chalk');
    expect(waits!.state).toBe('planned');
    const placed = markDone(w, [waits!], source());
    if (!placed.ok) throw new Error(JSON.stringify(placed.reason));
    did(w, placed.value);
    expect(w.built.figures(build)).toMatchObject({ bought: 4, boughtUnpriced: 4, outOfPocket: 0 });
    const [dear] = log('+2 slope 45 2x2 chalk at 0.33 plan');
    const again = markDone(w, [dear!], source());
    if (!again.ok) throw new Error(JSON.stringify(again.reason));
    did(w, again.value);
    expect(w.built.figures(build)).toMatchObject({ bought: 6, outOfPocket: 66 });
  });

  it('is bought where the build says so, at a price that is typed or not known, never at the book’s', () => {
    const { w, log } = wall();
    did(w, setElsewhere(w, 'bought'));
    log('+2 slope 45 2x2 chalk');
    log('+3 slope 45 2x2 chalk at 0.15');
    expect(w.built.figures(build)).toMatchObject({ bought: 5, outOfPocket: 45, boughtUnpriced: 2 });
  });

  it.each([
    ['+2 slope 45 2x2 chalk own', 'done', '2 own', null],
    ['+2 slope 45 2x2 chalk buy', 'planned', '2 outside', 20],
    ['+2 slope 45 2x2 chalk bought', 'done', '2 outside', null],
    ['+2 slope 45 2x2 chalk bought 0.12', 'done', '2 outside', 12],
    ['+2 slope 45 2x2 chalk from "night tram, 1998"', 'done', '2 own', null],
    ['+2 brick 1x2 chalk own', 'done', '2 own', null],
  ])('one word switches it: %s', (line, state, where, paid) => {
    for (const said of ['own', 'buy', 'bought'] as const) {
      const { w, log } = wall();
      did(w, setElsewhere(w, said));
      const [entry] = log(line);
      expect([said, entry!.state, from(entry)]).toEqual([said, state, where]);
      if (paid !== null) expect(entry!.movements[0]!.worth).toBe(paid);
      expect(w.built.figures(build).outOfPocket).toBe(state === 'done' && paid ? 2 * paid : 0);
    }
  });

  it('is no need of a plan that names it: who says that it is there is believed', () => {
    const { w, log } = wall();
    log('+6 slope 45 2x2 chalk own plan');
    expect([needOf(w).missing, pieces(w)]).toEqual([0, [6, 0, 0, 0]]);
  });

  it('names what own parts came out of, and reads it back as it was written', () => {
    const { log } = wall();
    const [entry] = log('+2 slope 45 2x2 chalk from "night tram, 1998"');
    expect(entry!.movements[0]!.from).toBe('own:night tram, 1998');
  });

  it('goes back there, where a person has no trays to put it in', () => {
    const { w, log } = wall();
    log('-2 brick 1x2 ash to uncounted');
    expect(w.built.figures(build)).toMatchObject({ out: 2, sparesLeft: 0 });
  });
});

describe('had, bought, ordered, to buy', () => {
  it('every piece that goes in stands in one of them, for a modification, a zone and the build', () => {
    const { w, log } = wall();
    log('+4 brick 1x2 chalk');
    log('+2 brick 1x2 chalk own');
    log('+3 slope 45 2x2 chalk bought 0.15 @roof');
    log('~6 brick 1x2 ash > chalk plan');
    log('+7 slope 45 2x2 chalk buy @roof');
    // Of the recolouring's six one lies in the tray still.
    expect(pieces(w)).toEqual([4 + 2 + 1, 3, 0, 5 + 7]);
    expect(pieces(w, { of: 'zone', zone: zoneId('Roof') })).toEqual([0, 3, 0, 7]);
    expect(pieces(w, { of: 'zone', zone: zoneId('Wall') })).toEqual([7, 0, 0, 5]);
    expect(pieces(w, { of: 'modification', modification: w.modifications[0]!.id })).toEqual([7, 3, 0, 12]);
    expect(pieces(w, { of: 'modification', modification: asId<ModificationId>('none') })).toEqual([
      0, 0, 0, 0,
    ]);
    expect(pieces(w, build, false)).toEqual([6, 3, 0, 0]);
    const total = totalsOf(statesOf(w, build));
    expect(total.bought).toEqual({ pieces: 3, money: 45, unpriced: 0 });
    expect(total['to buy'].money).toBe(5 * 10 + 7 * 20);
  });

  it('what is ordered waits, and is bought once it is in; a place that is short of what was planned is to buy', () => {
    const { w, log } = wall();
    const planned = log('+6 slope 45 2x2 chalk buy @roof');
    did(w, placeOrder(w, toBuy(planned), { seller: 'S', postage: 0, due: '' }, source()));
    expect(pieces(w)).toEqual([0, 0, 6, 0]);
    expect([...w.records.order.keys()]).toHaveLength(1);
    const order = [...w.records.order.keys()][0] as OrderId;
    expect(totalsOf(statesOf(w, build)).ordered.money).toBe(120);
    const waiting = w.entries.filter((e) => e.order === order && e.state === 'planned');
    const done = markDone(w, waiting, source());
    if (!done.ok) throw new Error(JSON.stringify(done.reason));
    did(w, done.value);
    expect(pieces(w)).toEqual([0, 6, 0, 0]);
    log('+9 brick 1x2 chalk from own parts plan');
    expect(pieces(w)).toEqual([5, 6, 0, 4]);
  });

  it('pieces that are noted as yellowed were neither had nor bought: they were there', () => {
    const { w, log } = wall();
    log('+4 brick 1x2 chalk');
    const before = pieces(w);
    const ash = el('brick 1x2', 'ash');
    notedYellowed(w, zoneId('Wall'), ash, 6);
    expect(new Map(w.built.balances.grades(modelAccount(zoneId('Wall')), ash)).get(grade('yellowed'))).toBe(
      6,
    );
    expect(pieces(w)).toEqual(before);
    expect(pieces(w, { of: 'zone', zone: zoneId('Wall') })).toEqual(before);
  });

  it('a total opens into the entries it came from', () => {
    const { w, log } = wall();
    log('+4 brick 1x2 chalk; +2 slope 45 2x2 chalk bought');
    const parts = statesOf(w, build);
    expect(parts.map((p) => [p.entry.no, p.state, p.pieces, p.unpriced])).toEqual([
      [expect.any(Number), 'had', 4, 0],
      [expect.any(Number), 'bought', 2, 2],
    ]);
  });
});
