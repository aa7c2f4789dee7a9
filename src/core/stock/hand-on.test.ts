import { describe, expect, it } from 'vitest';
import {
  added,
  allIn,
  changed,
  donorAccount,
  entryFault,
  invertDiff,
  modelAccount,
  overdrafts,
  type TypedRecord,
} from '../ledger';
import { asId, type BuildId, type CopyId, type EntryId } from '../shared/ids';
import { between, seededRandom } from '../shared/random';
import {
  did,
  doneAndBack,
  makeWorkbench,
  TEST_BUILD,
  testSource,
  withBox,
  zoneId,
} from '../testing/workbench';
import { el } from '../testing/world';
import { addModification, logLine, readLine, type Workbench } from '../workbench';
import { breakUpBuild, handBoxOn } from './index';

const [ash, tile] = [el('brick 1x2', 'ash'), el('tile 1x2', 'ash')];
const BOX = asId<CopyId>('box Night tram');
const OTHER = asId<BuildId>('other');

function yard(price: number | null, ...lines: string[]): Workbench {
  const bench = makeWorkbench({ zones: { Wall: ['1 arch 1x4 ash'] }, prices: ['brick 1x2 ash 10'] });
  withBox(bench, 'Night tram', { [ash]: 12, [tile]: 8 }, TEST_BUILD, price);
  did(bench, addModification(bench, 'Front', zoneId('Wall'), testSource('m')));
  for (const line of lines) {
    const reading = readLine(bench, line, { modification: bench.modifications[0]!, planned: false });
    expect([line, reading.ready]).toEqual([line, true]);
    did(bench, logLine(bench, reading, line, testSource(line)));
  }
  return bench;
}
const box = (bench: Workbench) => bench.records.copy.get(BOX)!;
const handed = (bench: Workbench) => handBoxOn(bench, box(bench), OTHER, testSource('h'));
/** The same act as the other build sees it. */
const received = (records: readonly TypedRecord[]) => {
  const there = makeWorkbench({ zones: { Hall: ['1 arch 1x4 ash'] }, build: OTHER });
  return did(there, { label: '', diff: { added: [...records], changed: [], removed: [] } });
};

describe('a box that is handed on', () => {
  it('is parted: what was used stays with its share of the price, what is left goes with the other', () => {
    const bench = yard(2000, '+5 brick 1x2 ash from donor');
    const command = handed(bench);
    const there = received(command.diff.added);
    doneAndBack(bench, command);
    expect(bench.built.balances.total(donorAccount(BOX))).toBe(0);
    // Nothing in it has a worth of its own: by pieces, five of twenty.
    expect(box(bench).price).toBe(500);
    expect(bench.built.figures({ of: 'build' })).toMatchObject({ in: 5, fromDonor: 5, outOfPocket: 500 });
    const [copy] = there.boxes;
    expect(copy).toMatchObject({ build: OTHER, role: 'donor', setName: 'Night tram', price: 1500 });
    expect(there.built.balances.elements(donorAccount(copy!.id))).toEqual([
      [ash, 7],
      [tile, 8],
    ]);
    expect(there.built.figures({ of: 'build' }).outOfPocket).toBe(1500);
  });

  it('keeps a price that nobody knows, or a gift, as it is', () => {
    for (const price of [null, 0]) {
      const bench = yard(price, '+5 brick 1x2 ash from donor');
      const command = handed(bench);
      const [copy] = received(command.diff.added).boxes;
      did(bench, command);
      expect([box(bench).price, copy!.price]).toEqual([price, price]);
    }
  });

  it('goes as a whole where nothing of it was used, and nothing goes where nothing is left', () => {
    const whole = yard(2000);
    const command = handed(whole);
    expect(received(command.diff.added).boxes[0]!.price).toBe(2000);
    did(whole, command);
    expect(whole.records.copy.has(BOX)).toBe(false);
    const empty = yard(2000, '+12 brick 1x2 ash from donor', '+8 tile 1x2 ash from donor');
    expect(handed(empty).diff.added).toEqual([]);
  });

  it('leaves the pieces and the money together what they were, whatever was used', () => {
    const random = seededRandom(8);
    for (let n = 0; n < 40; n++) {
      const price = between(random, 0, 5000);
      const [a, t] = [between(random, 1, 12), between(random, 1, 8)];
      const bench = yard(price, `+${a} brick 1x2 ash from donor`, `+${t} tile 1x2 ash from donor`);
      const before = allIn(bench.built).cost;
      const command = handed(bench);
      const there = received(command.diff.added);
      did(bench, command);
      const left = there.boxes.reduce((s, c) => s + there.built.balances.total(donorAccount(c.id)), 0);
      expect(left).toBe(20 - a - t);
      const spent = there.built.figures({ of: 'build' }).outOfPocket;
      expect(allIn(bench.built).cost + spent).toBe(before);
      expect(bench.entries.map(entryFault).filter(Boolean)).toEqual([]);
      expect(overdrafts(bench.built.balances)).toEqual([]);
    }
  });

  it('that was unpacked in two goes is parted over both, and a go that is handed on whole leaves no entry', () => {
    const bench = yard(3000, '+5 brick 1x2 ash from donor');
    const first = bench.entries.find((e) => e.kind === 'unpack' && e.id.includes('Night'))!;
    const second = {
      ...first,
      id: asId<EntryId>('unpack again'),
      no: 90,
      movements: first.movements.filter((m) => m.element === tile).map((m) => ({ ...m, qty: 4 })),
    };
    did(bench, { label: '', diff: added('entry', second) });
    withBox(bench, 'Apart', { [ash]: 30 }, TEST_BUILD, 700);
    const label = handed(bench).label;
    const command = handed(bench);
    const there = received(command.diff.added);
    did(bench, command);
    // Of twelve bricks five were used: seven go, and all twelve tiles.
    expect(label).toBe('hand 19 of Night tram on');
    expect(there.built.balances.total(donorAccount(there.boxes[0]!.id))).toBe(19);
    const kept = bench.entries.filter(
      (e) => e.kind === 'unpack' && e.movements.some((m) => m.to === donorAccount(BOX)),
    );
    expect(kept.flatMap((e) => e.movements.map((m) => [m.element, m.qty]))).toEqual([[ash, 5]]);
    expect(bench.built.balances.total(donorAccount(BOX))).toBe(0);
    expect(bench.entries.map(entryFault).filter(Boolean)).toEqual([]);
    expect(bench.records.entry.has(second.id)).toBe(false);
    // The box beside it is as it was.
    expect(bench.built.balances.total(donorAccount(asId<CopyId>('box Apart')))).toBe(30);
    expect(box(bench).price).toBe((3000 * 5) / 24);
  });

  it('is parted by worth where anything in it has one, and by pieces where nothing has', () => {
    const worth = (each: number | null) => {
      const bench = yard(2000);
      const unpack = bench.entries.find((e) => e.kind === 'unpack' && e.id.includes('Night'))!;
      const priced = unpack.movements.map((m) => ({ ...m, worth: m.element === ash ? each : null }));
      did(bench, { label: '', diff: changed('entry', unpack, { movements: priced }) });
      const { modifications } = bench;
      const reading = readLine(bench, '+3 brick 1x2 ash from donor', {
        modification: modifications[0]!,
        planned: false,
      });
      did(bench, logLine(bench, reading, '', testSource('l')));
      did(bench, handed(bench));
      return box(bench).price;
    };
    // Three of twelve bricks, which are all that is worth anything; three of twenty pieces.
    expect([worth(8), worth(null), worth(0)]).toEqual([500, 300, 300]);
  });

  it('is no matter of this bench beyond its own half: the other’s records do not come into its books', () => {
    const bench = yard(2000, '+5 brick 1x2 ash from donor');
    const command = handed(bench);
    did(bench, command);
    expect([...bench.records.copy.values()].every((c) => c.build === TEST_BUILD)).toBe(true);
    expect([...bench.records.entry.values()].every((e) => e.build !== OTHER)).toBe(true);
    bench.apply(invertDiff(command.diff));
    expect(bench.built.balances.total(donorAccount(BOX))).toBe(15);
  });
});

describe('a build that is taken apart', () => {
  const base = asId<CopyId>('copy');

  it('goes back into its box, which is a source from then on; its record stays', () => {
    const bench = yard(0, '+5 brick 1x2 ash from donor');
    const before = bench.entries.length;
    doneAndBack(bench, breakUpBuild(bench, [zoneId('Wall')], { box: base }, testSource('b')));
    expect(bench.built.balances.total(modelAccount(zoneId('Wall')))).toBe(0);
    expect(bench.built.balances.total(donorAccount(base))).toBe(6);
    expect(bench.boxes.map((c) => c.id)).toEqual([BOX, base]);
    expect(bench.entries.length).toBe(before + 1);
    expect(bench.built.figures({ of: 'build' })).toMatchObject({ out: 6, released: 0, onModel: 0 });
    const line = '+4 brick 1x2 ash from "Test"';
    const reading = readLine(bench, line, { modification: bench.modifications[0]!, planned: false });
    expect(reading.clauses[0]!.entry?.movements).toMatchObject([{ from: donorAccount(base), qty: 4 }]);
  });

  it('goes to own parts that nobody counts, or to its spares', () => {
    const own = yard(0);
    did(own, breakUpBuild(own, [zoneId('Wall')], { own: true }, testSource('b')));
    expect(own.built.figures({ of: 'build' })).toMatchObject({ out: 1, released: 0 });
    const spares = yard(0);
    did(spares, breakUpBuild(spares, [zoneId('Wall')], null, testSource('b')));
    expect(spares.built.figures({ of: 'build' })).toMatchObject({ out: 1, released: 1 });
  });
});
