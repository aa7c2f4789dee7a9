import { describe, expect, it } from 'vitest';
import {
  added,
  BLANK_ENTRY,
  donorAccount,
  grade,
  joinDiffs,
  shippedAccount,
  sparesAccount,
} from '@/core/ledger';
import { asId, type CopyId, type EntryId } from '@/core/shared/ids';
import { addModification, logLine, readLine } from '@/core/workbench';
import { did, makeWorkbench, TEST_BUILD, testSource, zoneId } from '@/core/testing/workbench';
import { el } from '@/core/testing/world';
import { conditionWords, lotsAt, piecesAt, trayPlaces } from './tray-places';

const box = asId<CopyId>('box');
const yard = () => {
  const bench = makeWorkbench({
    zones: { Wall: ['6 brick 1x2 slate', '2 brick 1x2 slate yellowed:B1'], Roof: ['4 tile 1x2 ash'] },
    stock: ['5 brick 1x2 ash', '3 brick 1x2 ash new'],
  });
  const movement = { element: el('brick 1x2', 'ash'), grade: grade('used'), qty: 8, worth: null };
  did(bench, {
    label: '',
    diff: joinDiffs(
      added('copy', {
        id: box,
        build: TEST_BUILD,
        setName: 'Night tram',
        setCode: 'N',
        condition: 'second-hand',
        role: 'donor',
        price: 0,
      }),
      added('entry', {
        ...BLANK_ENTRY,
        id: asId<EntryId>('u2'),
        build: TEST_BUILD,
        kind: 'unpack',
        loggedAt: '2026-01-02',
        movements: [{ ...movement, from: shippedAccount(box), to: donorAccount(box) }],
      }),
    ),
  });
  return did(bench, addModification(bench, 'Front', zoneId('Wall'), testSource('m')));
};

describe('where parts are', () => {
  it('is the model, then what the build takes from in its order, a box by its name', () => {
    const bench = yard();
    const places = trayPlaces(bench, bench.built, null);
    expect(
      places.map((p) => [p.name, lotsAt(bench.built, p.accounts).reduce((s, l) => s + l.qty, 0)]),
    ).toEqual([
      ['On the model', 12],
      ['Spares', 0],
      ['Night tram', 8],
      ['Own parts', 8],
    ]);
    expect(places.map((p) => piecesAt(bench.built, p.accounts))).toEqual([12, 0, 8, 8]);
    expect(places.map((p) => p.from)).toEqual([
      null,
      { source: 'spares', boxes: [] },
      { source: 'donor', boxes: [box] },
      { source: 'stock', boxes: [] },
    ]);
  });

  it('is of the zone that is looked at, for the model alone', () => {
    const bench = yard();
    const [model, , tram] = trayPlaces(bench, bench.built, zoneId('Roof'));
    expect(lotsAt(bench.built, model!.accounts).map((l) => l.element)).toEqual([el('tile 1x2', 'ash')]);
    expect(lotsAt(bench.built, tram!.accounts)[0]!.qty).toBe(8);
  });

  it('tells the conditions of an element, most pieces first, measured batches with their condition', () => {
    const bench = yard();
    const [model, , , stock] = trayPlaces(bench, bench.built, null);
    const of = (accounts: typeof model, element: string) =>
      conditionWords(lotsAt(bench.built, accounts!.accounts).find((l) => l.element === element)!);
    expect(of(model, el('brick 1x2', 'slate'))).toBe('6 used, 2 yellowed');
    expect(of(model, el('tile 1x2', 'ash'))).toBe('used');
    expect(of(stock, el('brick 1x2', 'ash'))).toBe('5 used, 3 new');
  });

  it('shows nothing of what a plan is short of', () => {
    const bench = yard();
    const line = '+3 tile 1x2 ash from spares plan';
    const reading = readLine(bench, line, { modification: bench.modifications[0]!, planned: true });
    did(bench, logLine(bench, reading, line, testSource('p')));
    const spares = sparesAccount(TEST_BUILD);
    expect(bench.planned.balances.total(spares)).toBe(-3);
    expect(lotsAt(bench.planned, [spares])).toEqual([]);
  });
});

describe('a box by its name in a line', () => {
  const from = (text: string) => {
    const bench = yard();
    const { clauses } = readLine(bench, text, { modification: bench.modifications[0]!, planned: false });
    return clauses[0]!.entry?.movements.map((m) => [m.from, m.qty]) ?? clauses[0]!.problem;
  };

  it('is taken from, and from nowhere else', () => {
    expect(from('+3 brick 1x2 ash from "night tram"')).toEqual([[donorAccount(box), 3]]);
    expect(from('+9 brick 1x2 ash from "Night tram"')).toMatchObject({ reason: 'not at hand', there: 8 });
  });

  it('that the build does not have is what own parts came out of', () =>
    expect(from('+3 brick 1x2 ash from "day tram"')).toEqual([['own:day tram', 3]]));
});
