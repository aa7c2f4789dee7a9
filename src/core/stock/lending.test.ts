import { describe, expect, it } from 'vitest';
import { entryFault, goneAccount, grade, type Entry } from '../ledger';
import { asId, type TrayId } from '../shared/ids';
import { after, at, entriesOf, lot, tray } from '../testing/stock';
import { testSource } from '../testing/workbench';
import { el } from '../testing/world';
import { addStock, giveBack, openLoans, takeFrom } from './index';

describe('counting in, lending, selling, binning', () => {
  const rows = [lot(at('a'), 'brick 1x2', 'ash', 10)];

  it('counts pieces in at what they cost', () => {
    const { diff } = addStock(
      { element: el('tile 2x2', 'bark'), grade: grade('new'), qty: 6, worth: 12 },
      asId<TrayId>('a'),
      testSource(),
    );
    const [entry] = entriesOf(diff);
    expect(entryFault(entry!)).toBeUndefined();
    expect(after([], [entry!]).at(at('a'), el('tile 2x2', 'bark'), grade('new'))).toBe(6);
  });

  it.each(['lent', 'sold', 'binned'] as const)('takes pieces out as %s, lawfully', (how) => {
    const { diff } = takeFrom([{ ...rows[0]!, qty: 4 }], how, 'Wren', 7, testSource());
    const [entry] = entriesOf(diff);
    expect(entryFault(entry!)).toBeUndefined();
    expect(entry!.movements[0]!.worth).toBe(how === 'sold' ? 7 : null);
    expect(after(rows, [entry!]).at(goneAccount(how), el('brick 1x2', 'ash'))).toBe(4);
  });

  it('takes nothing out that is not there, and says what was done with how many, to whom', () => {
    const lots = [
      { ...rows[0]!, qty: 4 },
      { ...rows[0]!, element: el('tile 2x2', 'bark'), qty: 0 },
    ];
    const lent = takeFrom(lots, 'lent', 'Wren', null, testSource());
    expect([lent.label, entriesOf(lent.diff)[0]!.movements.length]).toEqual(['lend 4 pieces: Wren', 1]);
    expect(takeFrom([{ ...rows[0]!, qty: 1 }], 'broken', '', null, testSource()).label).toBe(
      'write off as broken 1 piece',
    );
    expect(takeFrom(lots.slice(1), 'binned', '', null, testSource()).diff.added).toEqual([]);
  });

  it('has back the first of a loan’s lots first, only what was lent, and each kind by itself', () => {
    const two = [
      { ...rows[0]!, qty: 4 },
      { ...rows[0]!, element: el('tile 2x2', 'bark'), qty: 3 },
    ];
    const [loan] = entriesOf(takeFrom(two, 'lent', 'Wren', null, testSource()).diff);
    const sold = { ...loan!.movements[0]!, to: goneAccount('sold'), qty: 9 };
    const back = giveBack({ ...loan!, movements: [sold, ...loan!.movements] }, 5, tray('b'), testSource('x'));
    const [entry] = entriesOf(back.diff);
    expect(back.label).toBe('have back 5 lent to Wren');
    expect(entry!.movements.map((m) => [m.element, m.qty, m.to])).toEqual([
      [el('brick 1x2', 'ash'), 4, at('b')],
      [el('tile 2x2', 'bark'), 1, at('b')],
    ]);
    const still = (entries: Entry[]) =>
      openLoans(entries).map((l) => l.movements.map((m) => [m.element, m.qty]));
    expect(still([loan!, entry!])).toEqual([[[el('tile 2x2', 'bark'), 2]]]);
    // What comes back without a loan, and what was never lent, closes none.
    const stray = { ...entry!, id: asId<Entry['id']>('stray'), loan: null };
    expect(still([loan!, stray])).toEqual([
      [
        [el('brick 1x2', 'ash'), 4],
        [el('tile 2x2', 'bark'), 3],
      ],
    ]);
  });

  it('counts off what came back against the same loan alone, lot after lot of one kind', () => {
    const lots = [
      { ...rows[0]!, qty: 4 },
      { ...rows[0]!, account: at('b'), qty: 2 },
    ];
    const [one] = entriesOf(takeFrom(lots, 'lent', 'Wren', null, testSource('one')).diff);
    const [two] = entriesOf(takeFrom([{ ...rows[0]!, qty: 3 }], 'lent', 'Ada', null, testSource('two')).diff);
    const [back] = entriesOf(giveBack(one!, 5, tray('b'), testSource('x')).diff);
    expect(openLoans([one!, two!, back!]).map((l) => [l.note, l.movements.map((m) => m.qty)])).toEqual([
      ['Wren', [1]],
      ['Ada', [3]],
    ]);
  });

  it('tells what is still out, loan by loan', () => {
    const [loan] = entriesOf(takeFrom([{ ...rows[0]!, qty: 4 }], 'lent', 'Wren', null, testSource()).diff);
    const [back] = entriesOf(giveBack(loan!, 3, tray('b'), testSource('x')).diff);
    const out = (entries: Entry[]) => openLoans(entries).map((l) => [l.id, l.movements[0]!.qty]);
    expect(out([loan!])).toEqual([[loan!.id, 4]]);
    expect(out([loan!, back!])).toEqual([[loan!.id, 1]]);
    const [rest] = entriesOf(giveBack(openLoans([loan!, back!])[0]!, 1, tray('b'), testSource('y')).diff);
    expect(out([loan!, back!, rest!])).toEqual([]);
  });

  it('has back what was lent, in part too, and nothing that was binned', () => {
    const [loan] = entriesOf(takeFrom([{ ...rows[0]!, qty: 4 }], 'lent', 'Wren', null, testSource()).diff);
    const [back] = entriesOf(giveBack(loan!, 3, tray('b'), testSource('x')).diff);
    expect(entryFault(back!)).toBeUndefined();
    const balances = after(rows, [loan!, back!]);
    expect([balances.total(at('a')), balances.total(at('b')), balances.total(goneAccount('lent'))]).toEqual([
      6, 3, 1,
    ]);
    const fromBin = {
      ...back!,
      movements: back!.movements.map((m) => ({ ...m, from: goneAccount('binned') })),
    };
    expect(entryFault(fromBin)).toMatchObject({ fault: 'route' });
  });
});
