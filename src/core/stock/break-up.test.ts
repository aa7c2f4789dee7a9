import { describe, expect, it } from 'vitest';
import { added, donorAccount, grade, keptAt, sparesAccount, type Entry, type KeptAssembly } from '../ledger';
import { planned } from '../testing/workbench';
import { asId, type CopyId, type KeptAssemblyId } from '../shared/ids';
import { did, makeWorkbench, TEST_BUILD, TEST_TRAY, testSource, withBox, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import { addModification, type Workbench } from '../workbench';
import { breakUpBox, breakUpBuild, donorReport, type StockLot } from './index';

const [ash, tile] = [el('brick 1x2', 'ash'), el('tile 1x2', 'ash')];
const BOX = asId<CopyId>('box Night tram');
const entriesOf = (command: { diff: ReturnType<typeof added> }): Entry[] =>
  command.diff.added.flatMap((r) => (r.type === 'entry' ? [r.record] : []));

const withTram = (
  price: number | null = 2000,
  lots: Record<string, number> = { [ash]: 12, [tile]: 8 },
): Workbench =>
  withBox(makeWorkbench({ zones: { Wall: ['4 brick 1x2 slate'] } }), 'Night tram', lots, TEST_BUILD, price);
const report = (bench: Workbench, lacking: [string, number][] = []) =>
  donorReport(bench, new Map(lacking) as never)[0];

describe('what a box that is broken up gives', () => {
  it('is what it still holds, and what a piece of it costs', () => {
    expect(report(withTram(), [[ash, 5]])).toMatchObject({
      pieces: 20,
      opened: 20,
      useful: 5,
      eachOfAll: 100,
      eachOfUseful: 400,
    });
  });

  it('is no more than there is of what lacks, and each piece is useful once', () => {
    expect(report(withTram(), [[ash, 50]])!.useful).toBe(12);
    const both = withTram(2000, { [ash]: 12 });
    did(
      both,
      breakUpBox(
        both,
        [{ account: donorAccount(BOX), element: ash, grade: grade('used'), qty: 4 }],
        testSource('b'),
      ),
    );
    expect(report(both, [[ash, 50]])).toMatchObject({ pieces: 8, opened: 12, useful: 8 });
  });

  it('costs nothing that is known where the price is not, or where nothing is useful', () => {
    expect(report(withTram(null), [[ash, 5]])).toMatchObject({ eachOfAll: null, eachOfUseful: null });
    expect(report(withTram())).toMatchObject({ useful: 0, eachOfUseful: null, eachOfAll: 100 });
  });

  it('is told of this build’s boxes that were opened, and of no others', () => {
    const bench = makeWorkbench({ zones: { Wall: ['4 brick 1x2 slate'] } });
    // The copy that the model was built from is no box to break up.
    expect(donorReport(bench, new Map())).toEqual([]);
    did(bench, {
      label: '',
      diff: added('copy', {
        id: asId<CopyId>('sealed'),
        build: TEST_BUILD,
        setName: 'Sealed',
        setCode: 'S',
        condition: 'new',
        role: 'donor',
        price: 100,
      }),
    });
    expect(donorReport(bench, new Map())).toEqual([]);
  });

  it('leaves out what is kept together', () => {
    const bench = withTram();
    const kept: KeptAssembly = {
      id: asId<KeptAssemblyId>('k'),
      account: donorAccount(BOX),
      name: 'Lamp',
      lots: [
        { element: ash, qty: 5 },
        { element: tile, qty: 8 },
      ],
    } as KeptAssembly;
    did(bench, { label: '', diff: added('keptAssembly', kept) });
    expect(keptAt([kept]).size).toBe(2);
    expect(report(bench)!.lots.map((l) => [l.element, l.qty])).toEqual([[ash, 7]]);
  });
});

describe('taking out of a box', () => {
  const lot = (qty: number, element = ash): StockLot => ({
    account: donorAccount(BOX),
    element,
    grade: grade('used'),
    qty,
  });

  it('puts lots to the build’s spares in one entry', () => {
    const bench = withTram();
    const command = breakUpBox(bench, [lot(3), lot(0, tile), lot(2, tile)], testSource('b'));
    expect(command.label).toBe('take 5 out of the box');
    expect(entriesOf(command)).toMatchObject([{ kind: 'transfer', movements: [{ qty: 3 }, { qty: 2 }] }]);
    did(bench, command);
    expect(bench.built.balances.total(sparesAccount(TEST_BUILD))).toBe(5);
  });

  it('of nothing is nothing', () =>
    expect(breakUpBox(withTram(), [lot(0)], testSource('b'))).toEqual({
      label: 'take nothing out',
      diff: { added: [], changed: [], removed: [] },
    }));
});

describe('taking a build apart', () => {
  const house = () => {
    const bench = makeWorkbench({
      zones: { Wall: ['4 brick 1x2 slate', '2 tile 1x2 ash'], Roof: ['6 slope 45 2x2 slate'], Attic: [] },
      prices: ['brick 1x2 slate 9'],
    });
    return did(bench, addModification(bench, 'Before', zoneId('Roof'), testSource('m')));
  };

  it('is a modification after the others, with an entry for each zone that held something', () => {
    const bench = house();
    const zones = [zoneId('Attic'), zoneId('Wall'), zoneId('Roof')];
    const command = breakUpBuild(bench, zones, { tray: TEST_TRAY }, testSource('b'));
    const [modification] = command.diff.added.flatMap((r) => (r.type === 'modification' ? [r.record] : []));
    const before = bench.modifications[0]!;
    expect(modification).toMatchObject({ no: before.no + 1, zone: zoneId('Attic'), build: TEST_BUILD });
    expect(modification!.position).toBeGreaterThan(before.position);
    const entries = entriesOf(command);
    expect(entries.map((e) => [e.note, e.position, e.movements.length])).toEqual([
      ['Wall', 2, 2],
      ['Roof', 3, 1],
    ]);
    const next = bench.nextEntry(null).no;
    expect(entries.map((e) => e.no)).toEqual([next, next + 1]);
    expect(command.label).toBe('break up 12 pieces');
    expect(entries[0]!.movements).toMatchObject([
      { qty: 4, worth: 6 },
      { qty: 2, worth: null },
    ]);
  });

  it('of nothing that is there is nothing', () =>
    expect(breakUpBuild(house(), [zoneId('Attic')], null, testSource('b'))).toEqual({
      label: 'break nothing up',
      diff: { added: [], changed: [], removed: [] },
    }));

  it('takes what stands, and nothing that is only planned', () => {
    const bench = planned(house(), testSource('p'), { on: [{ element: ash, qty: 9 }] });
    const entries = entriesOf(breakUpBuild(bench, [zoneId('Wall')], null, testSource('b')));
    expect(entries.flatMap((e) => e.movements).reduce((s, m) => s + m.qty, 0)).toBe(6);
  });
});
