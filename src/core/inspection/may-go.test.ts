import { describe, expect, it } from 'vitest';
import { did, doneAndBack, makeWorkbench, testSource, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import type { Workbench } from '../workbench';
import { mayGo, planTakingOff, sayDisplay, worthOfGoing } from './index';

const plane = (): Workbench =>
  makeWorkbench({
    zones: {
      Fuselage: ['6 brick 2x4 chalk', '2 wheel 2x2 soot', '4 plate 2x2 soot'],
      Undercarriage: ['4 plate 1x2 ash', '2 bar 1x4 ash'],
      Cabin: ['5 tile 1x2 bark'],
    },
    prices: ['plate 1x2 ash 9'],
  });
const shown = (bench: Workbench): [string, string, number][] =>
  mayGo(bench).map((m) => [m.zone, m.element, m.qty]);

describe('what nobody would miss', () => {
  it('is nothing for a model that is seen all round, or of which nothing was said', () => {
    const bench = plane();
    expect(mayGo(bench)).toEqual([]);
    did(bench, sayDisplay(bench, { display: 'all round', away: [zoneId('Cabin')] }));
    expect(mayGo(bench)).toEqual([]);
  });

  it('of one that hangs is what it stands on: wheels, and whatever was marked as gear, by place', () => {
    const bench = plane();
    did(bench, sayDisplay(bench, { display: 'hung' }));
    expect(shown(bench)).toEqual([['zone Fuselage', el('wheel 2x2', 'soot'), 2]]);
    doneAndBack(bench, sayDisplay(bench, { gear: [{ zone: zoneId('Undercarriage'), element: null }] }));
    expect(shown(bench)).toEqual([
      ['zone Undercarriage', el('plate 1x2', 'ash'), 4],
      ['zone Undercarriage', el('bar 1x4', 'ash'), 2],
      ['zone Fuselage', el('wheel 2x2', 'soot'), 2],
    ]);
    doneAndBack(
      bench,
      sayDisplay(bench, { gear: [{ zone: zoneId('Fuselage'), element: el('plate 2x2', 'soot') }] }),
    );
    expect(shown(bench).map(([, e]) => e)).toEqual([el('plate 2x2', 'soot'), el('wheel 2x2', 'soot')]);
  });

  it.each(['one side', 'behind glass', 'hung'] as const)(
    'of one shown %s is what is turned away',
    (display) => {
      const bench = plane();
      did(bench, sayDisplay(bench, { display, away: [zoneId('Cabin')] }));
      expect(mayGo(bench)).toContainEqual({
        zone: zoneId('Cabin'),
        element: el('tile 1x2', 'bark'),
        qty: 5,
        because: 'turned away',
      });
    },
  );

  it('is planned off the model in one step, and then no longer listed', () => {
    const bench = plane();
    did(
      bench,
      sayDisplay(bench, { display: 'hung', gear: [{ zone: zoneId('Undercarriage'), element: null }] }),
    );
    const lots = mayGo(bench);
    expect(worthOfGoing(bench, lots)).toEqual({ worth: 4 * 6, unpriced: 4 });
    const work = planTakingOff(bench, lots, testSource('t'));
    expect(work.problems).toEqual([]);
    doneAndBack(bench, work);
    expect(bench.planned.figures({ of: 'build' })).toMatchObject({ out: 8, released: 8 });
    expect(mayGo(bench)).toEqual([]);
  });
});
