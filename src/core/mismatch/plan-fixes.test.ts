import { describe, expect, it } from 'vitest';
import type { Entry } from '../ledger';
import type { Workbench } from '../workbench';
import { auditOf, fixOf, put, register, tower } from '../testing/tower';
import { did, doneAndBack, testSource, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import { leaveMismatch, planColour, planFixes, planInstead, planShapes } from './index';
import { leaveLot, recolourIntents, type Recolouring } from './plan-fixes';

const coral = el('slope 45 1x2', 'coral');
const brickRed = el('slope 45 1x2', 'brick-red');
const dove = el('brick 1x4', 'dove');
const ash = el('brick 1x4', 'ash');

const recolouring = (more: Partial<Recolouring>): Recolouring => ({
  zone: zoneId('Foot'),
  from: dove,
  to: ash,
  atHand: 0,
  roughly: 0,
  toBuy: 0,
  each: null,
  estimated: false,
  why: 'mismatch',
  kind: 'recolour',
  ...more,
});
const parts = (r: Partial<Recolouring>) =>
  recolourIntents(recolouring(r)).map((i) => [i.off[0]!.qty, i.on[0]!.qty, i.source, i.price]);

describe('a recolouring as lines', () => {
  it('is one where all of it comes the usual way', () =>
    expect(parts({ atHand: 2, toBuy: 3, each: 9 })).toEqual([[5, 5, null, null]]));
  it('has a line of its own for what is own and uncounted, and for what is bought at a guessed price', () => {
    expect(parts({ atHand: 2, roughly: 1, toBuy: 3, each: 9, estimated: true })).toEqual([
      [2, 2, null, null],
      [1, 1, 'own', null],
      [3, 3, 'outside', 9],
    ]);
    expect(parts({ toBuy: 3, each: 9, estimated: true })).toEqual([[3, 3, 'outside', 9]]);
    expect(parts({ roughly: 2 })).toEqual([[2, 2, 'own', null]]);
    expect(parts({ atHand: 2, estimated: true, each: 9 })).toEqual([[2, 2, null, null]]);
    expect(parts({})).toEqual([]);
  });
  it('says what it is for; a replacement says what the placeholder stood for', () => {
    const [line] = recolourIntents(recolouring({ atHand: 1 }));
    expect(line).toMatchObject({
      kind: 'recolour',
      zone: zoneId('Foot'),
      why: 'mismatch',
      planned: true,
      standsFor: null,
    });
    const [other] = recolourIntents(recolouring({ atHand: 1, kind: 'replacement' }));
    expect(other).toMatchObject({ kind: 'replacement', standsFor: ash });
  });
});

const planned = (bench: Workbench): Entry[] => bench.entries.filter((e) => e.state === 'planned');

describe('fixes that are planned', () => {
  it('come as a modification for each zone, named by it', () => {
    const bench = tower();
    const work = planFixes(bench, auditOf(bench).fixes, testSource());
    expect(work.label).toBe('plan 4 colour fixes');
    doneAndBack(bench, work);
    expect(new Set(bench.modifications.map((m) => m.title))).toEqual(
      new Set(['Foot', 'Tower', 'Hull, starboard'].map((zone) => `Put the colours right, ${zone}`)),
    );
    const inFoot = planned(bench).filter((e) => e.zone === zoneId('Foot'));
    const off = inFoot.flatMap((e) => e.movements.filter((m) => m.from.startsWith('model')));
    expect(new Set(off.map((m) => m.element))).toEqual(new Set([dove, el('brick 1x2', 'slate')]));
    expect(new Set(planned(bench).map((e) => e.why))).toEqual(new Set(['mismatch']));
    for (const f of auditOf(bench).fixes) expect(f.planned).toBe(f.mismatch.qty);
  });

  it('replace a placeholder as such', () => {
    const bench = put(tower(), 'placeholder', el('brick 1x2', 'amber'), 5, 'Tower', {
      standsFor: el('brick 1x2', 'chalk'),
    });
    const fix = fixOf(bench, el('brick 1x2', 'amber'))!;
    did(bench, planFixes(bench, [fix], testSource()));
    expect(planned(bench)).toMatchObject([{ kind: 'replacement', standsFor: el('brick 1x2', 'chalk') }]);
  });

  it('are in another colour, or in other shapes, where the one that is wanted cannot be had', () => {
    const bench = tower();
    const fix = () => fixOf(bench, coral, register([brickRed]))!;
    const instead = planInstead(bench, fix(), el('slope 45 1x2', 'rust'), testSource('i'));
    expect(instead.label).toBe('plan the nearest colour');
    doneAndBack(bench, instead);
    const [entry] = planned(bench);
    expect(entry).toMatchObject({ kind: 'recolour', zone: zoneId('Tower'), why: 'mismatch' });
    expect(entry!.movements.find((m) => m.to.startsWith('model'))).toMatchObject({
      element: 'slope 45 1x2|rust',
      qty: 6,
    });
    expect(bench.modifications.at(-1)!.title).toBe('Put the colours right, Tower');
    // What is planned already is not planned again.
    expect(planInstead(bench, fix(), el('slope 45 1x2', 'rust'), testSource('j')).entries).toEqual([]);
  });

  it('in shapes: so many of each for every piece', () => {
    const bench = tower();
    const shapes = [
      { element: el('slope 45 1x1', 'brick-red'), qty: 2 },
      { element: el('plate 1x2', 'brick-red'), qty: 1 },
    ];
    const work = planShapes(bench, fixOf(bench, coral)!, shapes, testSource('s'));
    expect(work.label).toBe('plan other shapes');
    did(bench, work);
    const [entry] = planned(bench);
    expect(entry).toMatchObject({ kind: 'swap', zone: zoneId('Tower'), why: 'mismatch' });
    const on = entry!.movements.filter((m) => m.to.startsWith('model')).map((m) => [m.element, m.qty]);
    expect(on).toEqual([
      ['slope 45 1x1|brick-red', 12],
      ['plate 1x2|brick-red', 6],
    ]);
    expect(entry!.movements.filter((m) => m.from.startsWith('model'))).toMatchObject([
      { element: coral, qty: 6 },
    ]);
  });

  it('a near colour for some pieces of a kind is a matter of style', () => {
    const bench = tower();
    const work = planColour(
      bench,
      { zone: zoneId('Foot'), element: ash, to: el('brick 1x4', 'mist'), qty: 3 },
      testSource('c'),
    );
    expect(work.label).toBe('plan the near colour');
    did(bench, work);
    expect(planned(bench)).toMatchObject([{ kind: 'recolour', zone: zoneId('Foot'), why: 'style' }]);
    expect(bench.modifications.at(-1)!.title).toBe('The near colour, Foot');
  });
});

describe('a mismatch that is left as it is', () => {
  it('has its reason, another one in its place, and none once it is taken up again', () => {
    const bench = tower();
    const reason = () => fixOf(bench, coral)!.mismatch.left?.reason;
    const leave = (why: string) => leaveMismatch(bench, fixOf(bench, coral)!.mismatch, why);
    expect(leave('')).toEqual({
      label: 'take a mismatch up again',
      diff: { added: [], changed: [], removed: [] },
    });
    doneAndBack(bench, leave('a chimney'));
    expect(reason()).toBe('a chimney');
    doneAndBack(bench, leave('a hearth'));
    expect([reason(), bench.records.leftMismatch.size]).toEqual(['a hearth', 1]);
    expect(leaveLot(bench, zoneId('Tower'), coral, 'x').label).toBe('leave a mismatch as it is');
    doneAndBack(bench, leave(''));
    expect([reason(), bench.records.leftMismatch.size]).toEqual([undefined, 0]);
  });
});
