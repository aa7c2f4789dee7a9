import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  applyDiff,
  Balances,
  entryFault,
  goneAccount,
  grade,
  invertDiff,
  sparesAccount,
  stockAccount,
  type AccountKey,
  type Diff,
  type Entry,
  type Tray,
} from '../ledger';
import { makeWorkbench, TEST_BUILD, TEST_TRAY, testSource, used } from '../testing/workbench';
import { el, ELEMENTS } from '../testing/world';
import { asId, type BuildId, type TrayId } from '../shared/ids';
import {
  claimsIn,
  claimsOf,
  contested,
  addStock,
  giveBack,
  mergeTrays,
  moveStock,
  openLoans,
  orderOfBuilds,
  proposeTrays,
  putAway,
  rankBuilds,
  shareOut,
  StockIndex,
  takeFrom,
  type StockLot,
} from './index';
import { planTaking } from '../testing/stock';

const tray = (id: string, position = 1): Tray => ({ id: asId<TrayId>(id), name: id, place: '', position });
const at = (id: string): AccountKey => stockAccount(asId<TrayId>(id));
const lot = (account: AccountKey, part: string, colour: string, qty: number, g = used): StockLot => ({
  account,
  element: el(part, colour),
  grade: g,
  qty,
});
const entriesOf = (diff: Diff): Entry[] => diff.added.flatMap((r) => (r.type === 'entry' ? [r.record] : []));

/** What lies where after some entries, from what lay there before. */
function after(rows: readonly StockLot[], entries: readonly Entry[]): Balances {
  const balances = new Balances();
  for (const r of rows) balances.put(r.account, r.element, r.grade, r.qty);
  for (const e of entries) for (const m of e.movements) balances.add(m);
  return balances;
}

describe('moving and merging', () => {
  it('moves lots in one lawful entry, and plans that take them follow', () => {
    const rows = [lot(at('a'), 'brick 1x2', 'ash', 10), lot(at('a'), 'tile 2x2', 'bark', 3)];
    const plan = planTaking(at('a'), 'brick 1x2', 'ash', 12);
    const { diff } = moveStock([{ ...rows[0]!, qty: 10 }], tray('b'), [plan], testSource());
    const [entry] = entriesOf(diff);
    expect(entryFault(entry!)).toBeUndefined();
    expect(after(rows, [entry!]).at(at('b'), el('brick 1x2', 'ash'))).toBe(10);
    // Ten of the twelve lay there: the plan takes those from their new tray, and still lacks two at the old one.
    const next = diff.changed[0]!.to as Entry;
    expect(next.movements.map((m) => [m.from, m.qty])).toEqual([
      [at('b'), 10],
      [at('a'), 2],
    ]);
  });

  it('empties a tray into another and does away with it; undo puts it back', () => {
    const rows = [lot(at('a'), 'brick 1x2', 'ash', 10), lot(at('b'), 'brick 1x2', 'ash', 4)];
    const { diff } = mergeTrays(tray('a'), tray('b'), rows, [], testSource());
    const balances = after(rows, entriesOf(diff));
    expect([balances.total(at('a')), balances.total(at('b'))]).toEqual([0, 14]);
    expect(diff.removed).toEqual([{ type: 'tray', record: tray('a') }]);
    expect(invertDiff(diff).added).toContainEqual({ type: 'tray', record: tray('a') });
  });

  it('plans follow in their order, each by what it takes of that lot, until what went is used up', () => {
    const gone = lot(at('a'), 'brick 1x2', 'ash', 10);
    const first = planTaking(at('a'), 'brick 1x2', 'ash', 6, 'p1');
    const second = planTaking(at('a'), 'brick 1x2', 'ash', 6, 'p2');
    const others = [
      planTaking(at('a'), 'brick 1x2', 'slate', 3, 'p3'),
      planTaking(at('c'), 'brick 1x2', 'ash', 3, 'p4'),
      planTaking(at('a'), 'brick 1x2', 'ash', 1, 'p5'),
    ];
    const { diff, label } = moveStock(
      [gone],
      tray('b'),
      [first, ...others.slice(0, 2), second, others[2]!],
      testSource(),
    );
    expect(label).toBe('move 10 pieces to b');
    expect(diff.changed.map((c) => c.to.id)).toEqual(['p1', 'p2']);
    const froms = diff.changed.map((c) => (c.to as Entry).movements.map((m) => [m.from, m.qty]));
    expect(froms).toEqual([
      [[at('b'), 6]],
      [
        [at('b'), 4],
        [at('a'), 2],
      ],
    ]);
  });

  it('plans of a tray that is merged are turned to the other, those that put into it too, and no others', () => {
    const takes = planTaking(at('a'), 'tile 2x2', 'bark', 30, 'takes');
    const puts = { ...planTaking(at('c'), 'tile 2x2', 'bark', 2, 'puts') };
    const both: Entry = {
      ...puts,
      movements: [
        ...puts.movements,
        { ...puts.movements[0]!, from: sparesAccount(TEST_BUILD), to: at('a'), qty: 5 },
      ],
    };
    const apart = planTaking(at('c'), 'brick 1x2', 'ash', 1, 'apart');
    const rows = [lot(at('a'), 'tile 2x2', 'bark', 1), lot(at('c'), 'tile 2x2', 'bark', 8)];
    const { diff, label } = mergeTrays(tray('a'), tray('b'), rows, [takes, both, apart], testSource());
    expect(label).toBe('merge a into b');
    // Only what lay in the first tray moves.
    expect(entriesOf(diff).flatMap((e) => e.movements.map((m) => [m.from, m.to, m.qty]))).toEqual([
      [at('a'), at('b'), 1],
    ]);
    expect(
      diff.changed.map((c) => [c.to.id, (c.to as Entry).movements.map((m) => [m.from, m.to, m.qty])]),
    ).toEqual([
      ['takes', [[at('b'), takes.movements[0]!.to, 30]]],
      [
        'puts',
        [
          [at('c'), puts.movements[0]!.to, 2],
          [sparesAccount(TEST_BUILD), at('b'), 5],
        ],
      ],
    ]);
  });

  it('moves nothing that is not there, and says one piece as one', () => {
    const lots = [lot(at('a'), 'brick 1x2', 'ash', 0), lot(at('a'), 'tile 2x2', 'bark', 1)];
    const { diff, label } = moveStock(lots, tray('b'), [], testSource());
    expect(label).toBe('move 1 piece to b');
    expect(entriesOf(diff)[0]!.movements).toHaveLength(1);
  });

  it('says nothing to do where nothing moves', () => {
    const { diff } = moveStock([lot(at('a'), 'brick 1x2', 'ash', 2)], tray('a'), [], testSource());
    expect(entriesOf(diff)).toEqual([]);
  });
});

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

describe('who gets the last four', () => {
  const [a, b] = [asId<BuildId>('a'), asId<BuildId>('b')];
  const claim = (build: BuildId, qty: number) => ({ build, ...lot(at('t'), 'brick 1x2', 'ash', qty) });

  it('the build that comes first, and the next what is left', () => {
    const [contest] = contested(
      shareOut([lot(at('t'), 'brick 1x2', 'ash', 4)], [claim(b, 3), claim(a, 3)], [a, b]),
    );
    expect(contest).toMatchObject({
      there: 4,
      wanted: 6,
      shares: [
        { build: a, gets: 3 },
        { build: b, gets: 1 },
      ],
    });
  });

  it('is a contest only where two want it and it does not suffice', () => {
    const of = (there: number, ...claims: ReturnType<typeof claim>[]) =>
      contested(shareOut([lot(at('t'), 'brick 1x2', 'ash', there)], claims, [a, b])).length;
    expect(of(5, claim(a, 3), claim(b, 3))).toBe(1);
    expect(of(6, claim(a, 3), claim(b, 3))).toBe(0);
    expect(of(1, claim(a, 3))).toBe(0);
    expect(of(1, claim(a, 3), claim(a, 3))).toBe(0);
  });

  it('ranks builds as they were put, and writes only what changes', () => {
    const ranked = rankBuilds([{ id: a, rank: 0 }], [b, a]);
    expect(ranked.diff.added).toEqual([{ type: 'claimRank', record: { id: b, rank: 0 } }]);
    expect(ranked.diff.changed).toMatchObject([{ from: { id: a, rank: 0 }, to: { id: a, rank: 1 } }]);
    const twice = rankBuilds(
      [
        { id: b, rank: 0 },
        { id: a, rank: 1 },
      ],
      [b, a],
    );
    expect([
      ...twice.diff.added,
      ...twice.diff.changed.filter((c) => c.from.id === b && 'rank' in c.to && c.to.rank !== 0),
    ]).toEqual([]);
  });

  it('gives out no more than there is, and no less than is wanted where it suffices', () =>
    fc.assert(
      fc.property(fc.array(fc.nat(9), { minLength: 1, maxLength: 6 }), fc.nat(30), (wants, there) => {
        const claims = wants.map((n, i) => claim(asId<BuildId>(`b${i}`), n + 1));
        const order = claims.map((c) => c.build);
        const [c] = shareOut([lot(at('t'), 'brick 1x2', 'ash', there)], claims, order);
        const given = c!.shares.reduce((s, x) => s + x.gets, 0);
        expect(given).toBe(Math.min(there, c!.wanted));
        // Nobody gets anything while one before him lacks some.
        c!.shares.forEach((s, i) => {
          if (s.gets < s.wants) expect(c!.shares.slice(i + 1).every((x) => x.gets === 0)).toBe(true);
        });
      }),
    ));

  it('orders builds by rank, then age, and leaves archived ones out', () => {
    const build = (id: string, createdAt: string, archived = false) => ({
      id: asId<BuildId>(id),
      name: id,
      note: '',
      createdAt,
      archived,
    });
    const builds = [build('new', '2026-03'), build('old', '2026-01'), build('kept', '2026-02', true)];
    const ids = (rank: Record<string, number>) => orderOfBuilds(builds, (id) => rank[id]).map((x) => x.id);
    expect(ids({})).toEqual(['old', 'new']);
    expect(ids({ new: 3 })).toEqual(['new', 'old']);
    expect(ids({ new: 1, old: 0 })).toEqual(['old', 'new']);
  });

  it('claims come from plans, not from what-ifs, and only those of builds before count', () => {
    const plan = { ...planTaking(at('t'), 'brick 1x2', 'ash', 3), build: a };
    const dream = { ...plan, id: asId('w'), whatIf: asId('x') } as Entry;
    const done = { ...plan, id: asId('d'), state: 'done' } as Entry;
    const nobody = { ...plan, id: asId('n'), build: null } as Entry;
    const spare = { ...planTaking(sparesAccount(a), 'brick 1x2', 'ash', 3), build: a };
    expect(claimsOf([plan, { ...plan, id: asId('p2') }])).toMatchObject([{ build: a, qty: 6 }]);
    const claims = claimsOf([plan, dream, done, nobody, spare]);
    expect(claims).toMatchObject([{ build: a, qty: 3 }]);
    expect(claimsIn(claims, [a, b], b)).toHaveLength(1);
    expect(claimsIn(claims, [b, a], b)).toEqual([]);
  });
});

describe('putting away', () => {
  const trays = [tray('bricks', 1), tray('tiles', 2), tray('empty', 3)];
  const rows = [
    lot(at('bricks'), 'brick 1x2', 'ash', 40),
    lot(at('bricks'), 'brick 1x4', 'ash', 9),
    lot(at('tiles'), 'tile 2x2', 'bark', 5),
  ];
  const spare = sparesAccount(TEST_BUILD);

  it.each([
    ['brick 1x2', 'ash', 'bricks', 'the same lies there'],
    ['tile 2x2', 'chalk', 'tiles', 'the same part'],
    ['brick 2x4', 'slate', 'bricks', 'parts like it'],
    ['window 1x2x2', 'bark', 'tiles', 'the same colour'],
    ['window 1x2x2', 'kelp', 'empty', 'room'],
  ])('%s %s goes to %s: %s', (part, colour, where, why) => {
    expect(proposeTrays([lot(spare, part, colour, 1)], trays, rows)).toMatchObject([{ tray: where, why }]);
  });

  it('takes the spares to their trays in one lawful step, and loses no piece', () => {
    const workbench = makeWorkbench({ zones: { Porch: ['1 brick 1x2 ash'] } });
    const choices = [
      { lot: lot(spare, 'brick 1x2', 'ash', 3), tray: TEST_TRAY },
      { lot: lot(spare, 'tile 2x2', 'bark', 2), tray: asId<TrayId>('fresh') },
    ];
    const { diff } = putAway(workbench, choices, [tray('fresh')], testSource());
    const [entry] = entriesOf(diff);
    expect(entryFault(entry!)).toBeUndefined();
    const balances = after(
      choices.map((c) => c.lot),
      [entry!],
    );
    expect([balances.total(spare), balances.total(at('fresh'))]).toEqual([0, 2]);
    expect(diff.added.some((r) => r.type === 'tray')).toBe(true);
  });
});

describe('finding things', () => {
  it('finds at each keystroke what a search from nothing finds, in a tray and in all', () =>
    fc.assert(
      fc.property(
        fc.constantFrom('plate 2 x 3 cha', 'ti ba', 'slope 45', 'zzz', ''),
        fc.boolean(),
        (text, one) => {
          const rows = ELEMENTS.map((element, i) => ({
            account: at(`t${i % 3}`),
            element,
            grade: used,
            qty: i + 1,
          }));
          const index = new StockIndex(rows);
          const where = one ? 't1' : null;
          for (let n = 0; n <= text.length; n++) {
            const typed = text.slice(0, n);
            const names = index.search(typed, where).map((h) => h.name);
            expect(names).toEqual(new StockIndex(rows).search(typed, where).map((h) => h.name));
          }
        },
      ),
    ));
});

it('undo of a move restores the plans that followed', () => {
  const workbench = makeWorkbench({ zones: { Porch: [] }, stock: ['6 tile 2x2 bark'] });
  const plan = planTaking(stockAccount(TEST_TRAY), 'tile 2x2', 'bark', 5);
  workbench.apply({ added: [{ type: 'entry', record: plan }], changed: [], removed: [] });
  const { diff } = moveStock(
    [lot(stockAccount(TEST_TRAY), 'tile 2x2', 'bark', 6)],
    tray('b'),
    [plan],
    testSource(),
  );
  const moved = applyDiff(workbench.records, diff);
  expect(applyDiff(moved, invertDiff(diff)).entry.get('p')).toEqual(plan);
});
