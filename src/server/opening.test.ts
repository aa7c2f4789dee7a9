import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readLine, Workbench } from '@/core/workbench';
import { FIGURES } from '@/core/ledger';
import { needOf } from '@/core/need';
import { el } from '@/core/testing/world';
import { takeSurroundings, takeKnowledge, takeOpening, takeSnapshot } from './snapshot';
import { importStock } from './import-rows';
import { NOW, testBuild, type TestBuild } from './testing/workspace';

const OWN = [
  el('tile 2x2', 'ash'),
  el('plate 2x3', 'chalk'),
  el('brick 1x2', 'slate'),
  el('plate 1x1', 'bark'),
];

/** A build beside own parts, of which it uses some and others not. */
function besideStock(lines: readonly string[]): TestBuild {
  const t = testBuild();
  const lots = OWN.map((element) => ({
    element,
    qty: 8,
    condition: null,
    tray: '',
    place: '',
    worth: null,
  }));
  importStock(
    { request: 'add-stock', tray: 'A1', lots, colours: { made: [], matched: [] }, memory: null },
    { handle: t.handle, newId: t.newId, now: NOW },
  );
  for (const line of lines) t.log(line);
  return t;
}

const whole = (t: TestBuild) => new Workbench(takeSnapshot(t.handle, t.build)!);
const opened = (t: TestBuild) => new Workbench(takeOpening(t.handle, t.build)!);

const figures = (workbench: Workbench) =>
  FIGURES.map((f) => [
    f,
    workbench.built.figures({ of: 'build' })[f],
    workbench.planned.figures({ of: 'build' })[f],
  ]);

const line = fc.constantFrom(
  '-2 plate 2x3 chalk',
  '-1 brick 1x2 ash plan',
  '+1 tile 2x2 ash from own parts',
  '+2 tile 2x2 ash from own parts plan',
  '+3 tile 2x2 slate plan',
  '+1 brick 1x2 slate at 0.12',
  '?2 tile 2x2 ash for bark at 0.10',
  '?1 brick 1x2 slate for ash from own parts',
);

describe('what a page opens with', () => {
  it('gives the build’s figures and its need as the whole snapshot does', () => {
    fc.assert(
      fc.property(fc.array(line, { maxLength: 5 }), (lines) => {
        const t = besideStock(lines);
        expect(figures(opened(t))).toEqual(figures(whole(t)));
        expect(needOf(opened(t)).missing).toBe(needOf(whole(t)).missing);
      }),
      { numRuns: 25 },
    );
  });

  it('is the whole once it has learned what the workspace knows and has', () => {
    fc.assert(
      fc.property(fc.array(line, { maxLength: 5 }), (lines) => {
        const t = besideStock(lines);
        const [here, there] = [whole(t), opened(t)];
        expect([here.isComplete, there.isComplete]).toEqual([true, false]);
        there.takeKnowledge(takeKnowledge(t.handle), takeSurroundings(t.handle, t.build));
        expect(there.isComplete).toBe(true);
        expect(figures(there)).toEqual(figures(here));
        expect(needOf(there)).toEqual(needOf(here));
        for (const books of ['built', 'planned'] as const)
          expect(new Set(there[books].balances.rows().map((r) => JSON.stringify(r)))).toEqual(
            new Set(here[books].balances.rows().map((r) => JSON.stringify(r))),
          );
        for (const e of OWN)
          expect([e, there.callContext().atHand(e)]).toEqual([e, here.callContext().atHand(e)]);
      }),
      { numRuns: 25 },
    );
  });

  it('knows nothing of own parts that it has not, until it has learned', () => {
    const t = besideStock([]);
    const there = opened(t);
    const unused = OWN[3]!;
    expect(there.callContext().atHand(unused)).toBe(false);
    const modification = there.modifications[0]!;
    there.takeKnowledge(takeKnowledge(t.handle), takeSurroundings(t.handle, t.build));
    expect(there.callContext().atHand(unused)).toBe(true);
    const reading = readLine(there, '+8 plate 1x1 bark from own parts', { modification, planned: false });
    expect(reading.ready).toBe(true);
  });
});
