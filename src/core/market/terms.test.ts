import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { planWork } from '../workbench';
import { PALETTE } from '../colour';
import { readDelimited } from '../formats';
import { BLANK_INTENT, entryFault } from '../ledger';
import { grade, stockAccount } from '../places';
import { solveBySteps } from '../sourcing';
import { asId, type BuildId } from '../shared/ids';
import { did, makeWorkbench, planned, TEST_TRAY, testSource, zoneId } from '../testing/workbench';
import { boxFor, marketOf, offerOf, sellerOf } from '../testing/market';
import { el } from '../testing/world';
import { addedCost, changesSince, stillSold } from './price-change';
import { joinAnswers, priceListSource, readPriceList } from './price-list';
import { poseProblem } from './pose';
import { PREFERENCES, type Preferences } from './preferences';
import { lotId } from './problem-ids';
import { needOf, type NeedLot } from '../need';
import { placePlan } from '../orders';
import { shapesFor, withShapes } from './substitute-lots';
import type { MarketAnswer } from './market';

const source = testSource();
const [long, short] = [el('brick 2x4', 'ash'), el('brick 1x4', 'ash')];

const wanting = (...on: [typeof long, number][]) =>
  planned(
    makeWorkbench({ zones: { Wall: ['1 tile 2x2 bark'] } }),
    source,
    ...on.map(([element, qty]) => ({ kind: 'add' as const, on: [{ element, qty }] })),
  );
const made = (lots: readonly NeedLot[], market: MarketAnswer, p: Partial<Preferences> = {}) =>
  solveBySteps(
    poseProblem(lots, market, { ...PREFERENCES, ...p }, () => 10),
    1,
    200,
  );

describe('what is preferred', () => {
  const market = marketOf(
    sellerOf('Cheap', [offerOf(short, 10, 50)]),
    sellerOf('Liked', [offerOf(short, 12, 50), offerOf(short, 6, 50, { grade: grade('used') })]),
  );
  const { lots } = needOf(wanting([short, 10]));
  const from = (p: Partial<Preferences>) =>
    made(lots, market, { used: false, ...p }).buys.map((b) => b.seller);

  it('a preferred seller has the parcel while he costs no more than he is favoured by', () => {
    expect(from({})).toEqual(['Cheap']);
    expect(from({ prefer: new Set(['Liked']), favour: 50 })).toEqual(['Liked']);
    expect(from({ prefer: new Set(['Liked']), favour: 5 })).toEqual(['Cheap']);
  });

  it('a lot has its own condition, whatever the others have', () => {
    const used = made(lots, market, { used: false, condition: new Map([[lotId(lots[0]!), 'used']]) });
    expect(used.buys).toMatchObject([{ element: `${short}#used`, qty: 10 }]);
    const fresh = made(lots, market, { used: true, condition: new Map([[lotId(lots[0]!), 'new']]) });
    expect(fresh.buys).toMatchObject([{ element: `${short}#new` }]);
  });

  it('a seller who promises no genuine parts is left out unless that is allowed', () => {
    const doubtful = marketOf(sellerOf('Doubtful', [offerOf(short, 1, 50)], { genuine: false }));
    expect(made(lots, doubtful)).toMatchObject({ buys: [], unmet: [{ qty: 10 }] });
    expect(made(lots, doubtful, { genuine: false }).unmet).toEqual([]);
  });
});

describe('other shapes for the same place', () => {
  const kind = () => 'add' as const;
  const shapes = { ...PREFERENCES, shapes: true };

  it('two 1x4 fill the place of a 2x4, and a print has no other shape', () => {
    expect(shapesFor(long)).toContainEqual({ element: short, per: 2 });
    expect(shapesFor(`${long}|stripes` as never)).toEqual([]);
  });

  it('take what the market lacks, and all where they are clearly cheaper', () => {
    const { lots } = needOf(wanting([long, 10]));
    const lacking = marketOf(sellerOf('A', [offerOf(long, 20, 7), offerOf(short, 15, 99)]));
    expect(withShapes(lots, lacking, shapes, kind).map((l) => [l.element, l.qty])).toEqual([
      [long, 7],
      [short, 6],
    ]);
    const dear = marketOf(sellerOf('A', [offerOf(long, 40, 70), offerOf(short, 9, 99)]));
    expect(withShapes(lots, dear, shapes, kind).map((l) => [l.element, l.qty])).toEqual([[short, 20]]);
    // A recolour must put on as many as it takes off.
    expect(withShapes(lots, dear, shapes, () => 'recolour')).toEqual(lots);
  });

  it('are ordered into the plan: the entry takes the pieces that fill its places', () => {
    const workbench = wanting([long, 10], [short, 3]);
    const { lots } = needOf(workbench);
    const market = marketOf(sellerOf('A', [offerOf(short, 9, 99), offerOf(long, 20, 4)]));
    const posed = withShapes(lots, market, shapes, kind);
    did(workbench, placePlan(workbench, posed, made(posed, market), market, '2026-11-25', source));
    expect(needOf(workbench).missing).toBe(0);
    const on = workbench.entries
      .filter((e) => e.state === 'planned')
      .flatMap((e) => e.movements.map((m) => [m.element, m.qty] as const));
    const sum = (e: typeof long) => on.reduce((s, [x, n]) => s + (x === e ? n : 0), 0);
    expect(2 * sum(long) + sum(short)).toBe(2 * 10 + 3);
    expect(workbench.entries.every((e) => entryFault(e) === undefined)).toBe(true);
  });

  it('lose no place: pieces for whole places and places left add up', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), fc.nat(30), fc.nat(60), (want, stock, others) => {
        const { lots } = needOf(wanting([long, want]));
        const market = marketOf(sellerOf('A', [offerOf(long, 20, stock), offerOf(short, 11, others)]));
        const posed = withShapes(lots, market, shapes, kind);
        const of = (e: typeof long) => posed.find((l) => l.element === e)?.qty ?? 0;
        expect(of(long) + of(short) / 2).toBe(want);
        for (const l of posed) expect(l.sources.reduce((s, x) => s + x.qty, 0)).toBe(l.qty);
      }),
      { numRuns: 40 },
    ));
});

describe('between a plan and its order', () => {
  const before = marketOf(sellerOf('A', [offerOf(short, 10, 50)]));
  const { lots } = needOf(wanting([short, 10]));
  const plan = made(lots, before);
  const now = (price: number, stock: number) => marketOf(sellerOf('A', [offerOf(short, price, stock)]));

  it('nothing changed is no change', () => expect(changesSince(plan, before, before)).toEqual([]));

  it('a new price is told with what it adds; it can still be bought', () => {
    const changes = changesSince(plan, before, now(13, 50));
    expect(changes).toMatchObject([{ change: 'price', was: 10, now: 13, qty: 10 }]);
    expect([addedCost(changes), stillSold(changes)]).toEqual([30, true]);
  });

  it('what is sold out cannot, and a box that is gone neither', () => {
    expect(changesSince(plan, before, now(10, 4))).toMatchObject([{ change: 'stock', left: 4 }]);
    expect(stillSold(changesSince(plan, before, now(10, 4)))).toBe(false);
    const box = boxFor('B', 900, [], { name: 'Box', condition: 'new' });
    const withBox = { ...plan, buys: [], donors: [{ id: 'B new', copies: 1 }] };
    const gone = changesSince(withBox, { sellers: [], boxes: [box] }, { sellers: [], boxes: [] });
    expect(gone).toEqual([{ change: 'box', name: 'Box', was: 900, now: null }]);
    expect(stillSold(gone)).toBe(false);
  });

  it('postage or a least order that changed is told', () =>
    expect(
      changesSince(plan, before, marketOf(sellerOf('A', [offerOf(short, 10, 50)], { minOrder: 500 }))),
    ).toEqual([{ change: 'postage', seller: 'A' }]));
});

describe('a price list as a seller', () => {
  const about = sellerOf('List', []);
  const read = (text: string) => {
    const table = readDelimited(text);
    if (!table.ok) throw new Error('no table');
    return readPriceList(table.value, PALETTE, about);
  };

  it('is read by its heading, and asked like any other', async () => {
    const list = read(
      'Part,Colour,Condition,Price,Stock\nbrick 1x4,ash,new,0.08,30\nbrick 2x4,ash,used,0.11,4\n',
    );
    if (!list.ok) throw new Error(JSON.stringify(list.reason));
    const answer = await priceListSource(list.value).ask([short]);
    expect(answer.sellers[0]!.offers).toEqual([offerOf(short, 8, 30)]);
    const joined = joinAnswers(marketOf(sellerOf('A', [])), answer);
    expect(joined.sellers.map((s) => s.id)).toEqual(['A', 'List']);
  });

  it.each([
    ['Part,Colour,Price\nbrick 1x4,ash,0.08\n', { fault: 'no column', column: 'stock' }],
    [
      'Part,Colour,Price,Stock\nbrick 1x4,ash,0.08,3\nbrick 1x4,ashen,0.08,3\n',
      { fault: 'row', line: 3, column: 'colour' },
    ],
    [
      'Part,Colour,Price,Stock\nbrick 1x4,ash,dear,3\nbrick 1x4,ash,0.08,3\n',
      { fault: 'row', line: 2, column: 'price' },
    ],
    [
      'Part,Colour,Price,Stock\nbrick 1x4,ash,0.08,-3\nbrick 1x4,ash,0.08,3\n',
      { fault: 'row', line: 2, column: 'stock' },
    ],
  ])('%j is refused whole, and says where', (text, reason) =>
    expect(read(text)).toMatchObject({ ok: false, reason }),
  );
});

describe('the need of several builds', () => {
  const dune = el('brick 1x2', 'dune');

  it('a build has of own parts what builds before it leave', () => {
    const workbench = planned(makeWorkbench({ zones: { Wall: [] }, stock: ['4 brick 1x2 dune'] }), source, {
      kind: 'add',
      on: [{ element: dune, qty: 4 }],
    });
    expect(needOf(workbench).missing).toBe(0);
    const claim = {
      build: asId<BuildId>('first'),
      account: stockAccount(TEST_TRAY),
      element: dune,
      grade: grade('used'),
      qty: 3,
    };
    Object.assign(workbench, { snapshot: { claims: [claim] } });
    expect(needOf(workbench)).toMatchObject({ fromStock: 1, missing: 3 });
  });

  it('a placeholder keeps its need open until the part is there or on order', () => {
    const workbench = makeWorkbench({
      zones: { Wall: [] },
      stock: ['9 brick 1x2 amber', '2 brick 1x2 dune'],
    });
    const placeholder = {
      kind: 'placeholder' as const,
      on: [{ element: el('brick 1x2', 'amber'), qty: 5 }],
      standsFor: dune,
    };
    did(
      workbench,
      planWork(
        workbench,
        [
          {
            title: 'Wall',
            zone: zoneId('Wall'),
            intents: [{ ...BLANK_INTENT, ...placeholder, planned: true }],
          },
        ],
        'stand in',
        source,
      ),
    );
    // Planned only, nothing stands anywhere yet.
    expect(needOf(workbench).placeholders).toBe(0);
    const entry = workbench.entries.find((e) => e.kind === 'placeholder')!;
    workbench.apply({
      added: [],
      removed: [],
      changed: [{ type: 'entry', from: entry, to: { ...entry, state: 'done' } }],
    });
    expect(needOf(workbench)).toMatchObject({ placeholders: 3, missing: 3 });
    const market = marketOf(sellerOf('A', [offerOf(dune, 9, 50)]));
    const { lots } = needOf(workbench);
    did(workbench, placePlan(workbench, lots, made(lots, market), market, '2026-11-25', source));
    expect(needOf(workbench)).toMatchObject({ placeholders: 0, missing: 0 });
  });
});
