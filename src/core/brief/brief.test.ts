import { describe, expect, it } from 'vitest';
import { takeTally } from '../ledger';
import { keepConnection, keepPlot, keepSeam, keepZonePlace, newConnection, newSeam, plotOf } from '../fit';
import { measureSize } from '../inspection';
import type { Workbench } from '../workbench';
import { el } from '../testing/world';
import { did, doneAndBack, makeWorkbench, planned, testSource, zoneId } from '../testing/workbench';
import { briefOf, keepBrief, makeException, RULES, rulesNow, withdrawException, wouldBreak } from './index';

const bench = () =>
  makeWorkbench({
    zones: { Wall: ['20 brick 2x4 ash'] },
    stock: ['10 brick 2x4 kelp'],
    prices: ['brick 2x4 ash 10', 'brick 2x4 kelp 12'],
  });
const on = (workbench: Workbench, rule: string, limit = 0, text = ''): Workbench => {
  const brief = briefOf(workbench);
  const rules = [...brief.rules.filter((r) => r.rule !== rule), { rule, limit, text }];
  return did(workbench, keepBrief(workbench, { ...brief, rules }));
};
const stateOf = (workbench: Workbench, rule: string) =>
  rulesNow(workbench).find((r) => r.rule.id === rule)!.state;
const adds = (qty: number, more: object = {}) => ({
  on: [{ element: el('brick 2x4', 'kelp'), qty }],
  ...more,
});

describe('a brief', () => {
  it('has nothing on by itself, is kept, and taken back', () => {
    const b = bench();
    expect(rulesNow(b)).toEqual([]);
    doneAndBack(
      b,
      keepBrief(b, { ...briefOf(b), purpose: 'To live in', wishes: [{ what: 'boats', done: false }] }),
    );
    expect(briefOf(b).purpose).toBe('To live in');
    expect(new Set(RULES.map((r) => r.id)).size).toBe(RULES.length);
    expect(RULES.every((r) => (r.ofTally === undefined) !== (r.ofBooks === undefined))).toBe(true);
  });

  it('forgets an exception with its rule, and keeps one for each rule', () => {
    const b = on(bench(), 'pieces at most', 5);
    const [now] = rulesNow(b);
    doneAndBack(b, makeException(b, now!.rule, 'worth it', testSource('x')));
    doneAndBack(b, makeException(b, now!.rule, 'still worth it', testSource('y')));
    expect(rulesNow(b)[0]!.exception!.reason).toBe('still worth it');
    doneAndBack(b, withdrawException(rulesNow(b)[0]!.exception!));
    did(b, makeException(b, now!.rule, 'again', testSource('z')));
    doneAndBack(b, keepBrief(b, { ...briefOf(b), rules: [] }));
    expect(b.records.ruleException.size).toBe(0);
  });
});

describe('house rules', () => {
  it('of pieces go by what is planned', () => {
    const b = planned(bench(), testSource(), adds(4));
    on(b, 'pieces at most', 24);
    expect(stateOf(b, 'pieces at most')).toMatchObject({ holds: true, is: 24 });
    expect(stateOf(on(b, 'pieces at most', 23), 'pieces at most').holds).toBe(false);
    expect(stateOf(on(b, 'pieces exactly', 24), 'pieces exactly').holds).toBe(true);
    expect(stateOf(on(b, 'pieces exactly', 25), 'pieces exactly').holds).toBe(false);
    expect(stateOf(on(b, 'net at most', 4), 'net at most')).toMatchObject({ holds: true, is: 4 });
    expect(stateOf(on(b, 'net at most', 3), 'net at most').holds).toBe(false);
  });

  it('of money are not known to hold while something bought has no price', () => {
    const b = planned(bench(), testSource(), adds(2, { source: 'outside', price: 12 }));
    expect(stateOf(on(b, 'budget', 24), 'budget')).toMatchObject({ holds: true, is: 24 });
    expect(stateOf(on(b, 'budget', 23), 'budget').holds).toBe(false);
    expect(stateOf(on(b, 'worth', 24), 'worth').holds).toBe(true);
    const open = planned(bench(), testSource(), {
      on: [{ element: el('brick 1x1', 'bark'), qty: 3 }],
      source: 'outside',
      price: null,
    });
    expect(stateOf(on(open, 'budget', 100), 'budget')).toMatchObject({
      holds: null,
      lacks: expect.stringMatching(/3/),
    });
  });

  it('of boxes and colours name the entries that break them', () => {
    const b = planned(bench(), testSource(), adds(4));
    const entry = b.entries.find((e) => e.modification)!;
    expect(stateOf(on(b, 'only these boxes'), 'only these boxes')).toMatchObject({
      holds: false,
      breaks: [entry.id],
    });
    const colours = (text: string) =>
      stateOf(on(b, 'none of these colours', 0, text), 'none of these colours');
    expect(colours('kelp')).toMatchObject({ holds: false, where: ['kelp'], breaks: [entry.id] });
    expect(colours('bark')).toMatchObject({ holds: true });
    expect(colours('ash')).toMatchObject({ holds: false, where: ['ash'], breaks: [] });
    expect(colours('').holds).toBeNull();
    expect(colours('blurple').holds).toBeNull();
  });

  it('of space and strength go by what Fit keeps, and say what they do not know', () => {
    const b = bench();
    expect(stateOf(on(b, 'within the plot'), 'within the plot').holds).toBeNull();
    expect(stateOf(on(b, 'width at most', 20), 'width at most').holds).toBeNull();
    did(b, measureSize(b, 'built', { length: 22, width: 10, height: 5 }));
    did(b, keepPlot(b, { ...plotOf(b), width: 24, depth: 24 }));
    expect(stateOf(b, 'within the plot').holds).toBe(true);
    expect(stateOf(b, 'width at most')).toMatchObject({ holds: false, is: 22 });
    did(b, keepPlot(b, { ...plotOf(b), width: 20 }));
    expect(stateOf(b, 'within the plot').holds).toBe(false);
    did(b, keepPlot(b, { ...plotOf(b), width: 24 }));
    did(b, keepZonePlace(b, zoneId('Wall'), { x: 20, y: 0, width: 8, depth: 8, bottom: 0, height: 3 }));
    expect(stateOf(b, 'within the plot')).toMatchObject({ holds: false, where: ['Wall'] });
    expect(stateOf(on(b, 'strong enough'), 'strong enough').holds).toBeNull();
    did(b, keepConnection(b, newConnection(b, zoneId('Wall'), testSource('c'))));
    expect(stateOf(b, 'strong enough').where).toEqual(['Balcony']);
    expect(stateOf(on(b, 'storeys lift off'), 'storeys lift off').holds).toBeNull();
    const seam = newSeam(b, testSource('s'));
    did(b, keepSeam(b, seam));
    expect(stateOf(b, 'storeys lift off').holds).toBeNull();
    did(b, keepSeam(b, { ...seam, zones: [zoneId('Wall')], studs: 6 }));
    expect(stateOf(b, 'storeys lift off').holds).toBe(true);
    did(b, keepSeam(b, { ...seam, studs: 500 }));
    expect(stateOf(b, 'storeys lift off').where).toEqual(['Roof']);
    expect(stateOf(on(b, 'parcels at most', 0), 'parcels at most')).toMatchObject({ holds: true, is: 0 });
  });

  it('tell before Enter what a line would break, and nothing that is broken already', () => {
    const b = on(bench(), 'pieces at most', 21);
    const after = (qty: number) => {
      const copy = bench();
      planned(copy, testSource(), adds(qty));
      return takeTally(copy.planned, { of: 'build' }, copy.priceOf);
    };
    expect(wouldBreak(b, after(1)).map((r) => r.id)).toEqual([]);
    expect(wouldBreak(b, after(2)).map((r) => r.id)).toEqual(['pieces at most']);
    on(b, 'pieces at most', 5);
    expect(wouldBreak(b, after(2))).toEqual([]);
  });

  it('tell before Enter what an entry brings from elsewhere, or in a colour that is not to be', () => {
    const b = on(on(bench(), 'only these boxes'), 'none of these colours', 0, 'green');
    const now = takeTally(b.planned, { of: 'build' }, b.priceOf);
    const entryOf = (intent: object) => {
      const copy = planned(bench(), testSource(), intent);
      return copy.entries.filter((e) => e.modification);
    };
    const ids = (intent: object) => wouldBreak(b, now, entryOf(intent)).map((r) => r.id);
    expect(ids(adds(1))).toEqual(['only these boxes', 'none of these colours']);
    expect(ids({ on: [{ element: el('brick 1x1', 'bark'), qty: 1 }], source: 'outside', price: 1 })).toEqual([
      'only these boxes',
    ]);
    expect(ids({ kind: 'remove', off: [{ element: el('brick 2x4', 'ash'), qty: 1 }] })).toEqual([]);
    expect(wouldBreak(b, now)).toEqual([]);
  });
});
