import { describe, expect, it } from 'vitest';
import { addModification, addZone, readLine } from '../workbench';
import { costsOf, grade, modelAccount, priceLookup, type Price } from '.';
import { countingIds } from '../shared/ids';
import { did, makeWorkbench, zoneId } from '../testing/workbench';
import { el } from '../testing/world';

const source = { newId: countingIds('c'), now: '2026-11-25' };
const ash = el('brick 1x2', 'ash');

type Bench = ReturnType<typeof makeWorkbench>;
const begun = (workbench: Bench, zone = zoneId('Wall')): Bench => {
  did(workbench, addModification(workbench, 'First', zone, source));
  return workbench;
};
const movesOf = (workbench: Bench, line: string) =>
  readLine(workbench, line, { modification: workbench.modifications[0]!, planned: false }).clauses.flatMap(
    (c) => c.entry?.movements ?? [],
  );

describe('where pieces are taken from', () => {
  it('a zone first, then the zones nested in it, then what was placed in none', () => {
    const workbench = makeWorkbench({ zones: { Wall: ['3 brick 1x2 ash'], Sill: ['4 brick 1x2 ash'] } });
    const [sill] = workbench.zones.filter((z) => z.name === 'Sill');
    workbench.apply({
      added: [],
      removed: [],
      changed: [{ type: 'zone', from: sill!, to: { ...sill!, parent: zoneId('Wall') } }],
    });
    begun(workbench);
    expect(movesOf(workbench, '-5 brick 1x2 ash @wall').map((m) => [m.from, m.qty])).toEqual([
      [modelAccount(zoneId('Wall')), 3],
      [modelAccount(zoneId('Sill')), 2],
    ]);
    // A zone that lies beside it is not gone to.
    did(workbench, addZone(workbench, 'Roof', workbench.rootZone.id, source));
    const reading = readLine(workbench, '-1 brick 1x2 ash @roof', {
      modification: workbench.modifications[0]!,
      planned: false,
    });
    expect(reading.clauses[0]?.problem?.reason).toBe('not on the model');
  });

  it('the commonest condition first, and for a renew the worst', () => {
    const lots = ['2 brick 1x2 ash new', '7 brick 1x2 ash used', '4 brick 1x2 ash yellowed'];
    const workbench = begun(makeWorkbench({ zones: { Wall: lots }, stock: ['9 brick 1x2 ash new'] }));
    expect(movesOf(workbench, '-8 brick 1x2 ash').map((m) => [m.grade, m.qty])).toEqual([
      ['used', 7],
      ['yellowed', 1],
    ]);
    const off = movesOf(workbench, '%5 brick 1x2 ash').filter((m) => m.from.startsWith('model:'));
    expect(off.map((m) => [m.grade, m.qty])).toEqual([
      ['yellowed', 4],
      ['used', 1],
    ]);
  });
});

describe('what a piece is worth', () => {
  const price = (newPrice: number | null, usedPrice: number | null): Price => ({
    id: ash,
    element: ash,
    newPrice,
    usedPrice,
  });
  it.each([
    ['both', price(9, 5), 9, 5],
    ['only new', price(9, null), 9, 9],
    ['only used', price(null, 5), 5, 5],
    ['neither', price(null, null), null, null],
  ])('known %s', (_, known, fresh, used) => {
    const of = priceLookup([known]);
    expect([of(ash, grade('new')), of(ash, grade('used'))]).toEqual([fresh, used]);
  });

  it('what came back counts, to the spares and to own parts alike', () => {
    const workbench = begun(
      makeWorkbench({
        zones: { Wall: ['9 brick 1x2 ash'] },
        stock: ['1 tile 2x2 bark'],
        prices: ['brick 1x2 ash 9'],
      }),
    );
    const back = (line: string) => {
      const entries = readLine(workbench, line, {
        modification: workbench.modifications[0]!,
        planned: false,
      }).clauses;
      return workbench.built.trying(
        entries.flatMap((c) => (c.entry ? [c.entry] : [])),
        [],
        () => workbench.built.figures({ of: 'build' }),
      );
    };
    const each = workbench.priceOf(ash, grade('used'))!;
    expect(back('-2 brick 1x2 ash').worthBack).toBe(2 * each);
    expect(back('-3 brick 1x2 ash to own parts').worthBack).toBe(3 * each);
    expect(back('-3 brick 1x2 ash to bin').worthBack).toBe(0);
    const figures = back('-3 brick 1x2 ash to own parts');
    expect(costsOf(figures).worthLessBack).toBe(figures.worthIn - 3 * each);
  });
});
