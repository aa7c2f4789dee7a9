import { describe, expect, it } from 'vitest';
import { entryFault, overdrafts } from '../ledger';
import { did, doneAndBack, logLines, makeWorkbench, testSource, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import {
  addModification,
  figurePart,
  isFigure,
  openFigure,
  USUAL_FIGURE,
  type FigureMake,
  type Workbench,
} from './index';

const keeper = el('figure keeper', 'harbour');

function quay(...lines: string[]): Workbench {
  const bench = makeWorkbench({
    zones: { Quay: ['3 figure keeper harbour', '9 brick 1x2 ash'] },
    prices: ['figure keeper harbour 151'],
  });
  did(bench, addModification(bench, 'People', zoneId('Quay'), testSource('m')));
  return logLines(bench, lines);
}
const make = (more: Partial<FigureMake> = {}): FigureMake => ({ ...USUAL_FIGURE, ...more });
const figures = (bench: Workbench) => bench.built.figures({ of: 'build' });

describe('a figure', () => {
  it('has parts that are read as what they are, in its colour', () => {
    expect(isFigure(keeper)).toBe(true);
    expect(figurePart(keeper, 'head')).toBe(el('figure head keeper', 'harbour'));
    for (const which of ['head', 'body', 'legs', 'wear', 'item'] as const)
      expect(isFigure(figurePart(keeper, which))).toBe(false);
    expect(isFigure(el('animal gull', 'chalk'))).toBe(false);
  });

  it('counts as one piece until it is opened, and its parts as pieces from then on, wherever it has been', () => {
    const bench = quay('!1 figure keeper harbour', '-1 figure keeper harbour');
    expect(figures(bench)).toMatchObject({ shipped: 12, missing: 1, out: 1, onModel: 10 });
    doneAndBack(bench, openFigure(bench, keeper, make({ wear: 1, item: 2 })));
    expect(figures(bench)).toMatchObject({ shipped: 9 + 3 * 6, missing: 6, out: 6, onModel: 9 + 6 });
    expect(bench.built.balances.elements('model:zone Quay' as never).map(([e, n]) => [e, n])).toEqual(
      expect.arrayContaining([
        [el('figure head keeper', 'harbour'), 1],
        [el('figure item keeper', 'harbour'), 2],
      ]),
    );
    expect(bench.entries.map(entryFault).filter(Boolean)).toEqual([]);
    expect(overdrafts(bench.built.balances)).toEqual([]);
  });

  it('shares its worth among its parts to the penny', () => {
    const bench = quay('-2 figure keeper harbour', '+1 figure keeper harbour bought 0.99');
    const before = figures(bench);
    for (const parts of [make(), make({ item: 2 }), make({ head: 0, body: 0, legs: 7 })]) {
      const opened = quay('-2 figure keeper harbour', '+1 figure keeper harbour bought 0.99');
      did(opened, openFigure(opened, keeper, parts));
      expect(figures(opened)).toMatchObject({
        worthIn: before.worthIn,
        worthBack: before.worthBack,
        outOfPocket: before.outOfPocket,
      });
    }
  });

  it('of nothing, or what is no figure, stays', () => {
    const bench = quay();
    const none = { head: 0, body: 0, legs: 0, wear: 0, item: 0 };
    expect(openFigure(bench, keeper, none).diff.changed).toEqual([]);
    expect(openFigure(bench, el('brick 1x2', 'ash'), make()).diff.changed).toEqual([]);
  });
});
