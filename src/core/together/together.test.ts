import { describe, expect, it } from 'vitest';
import { invertDiff } from '../ledger';
import { modelAccount } from '../places';
import { patchOf } from '../patch';
import { asId, type BuildId } from '../shared/ids';
import { modAtRandom, modelOf, piecesOf, randomSet } from '../testing/mods';
import { el } from '../testing/world';
import { did, doneAndBack, makeWorkbench, planned, testSource, zoneId } from '../testing/workbench';
import type { Storey, Street } from '../records';
import type { Workbench } from '../workbench';
import {
  addStorey,
  betweenRevisions,
  changeStorey,
  changeStreet,
  deletePattern,
  deleteStorey,
  deleteStreet,
  forgetPatternFault,
  keepPattern,
  moveStorey,
  newStreet,
  notePatternFault,
  patternNow,
  patternOfList,
  patternOfPatch,
  patternsOf,
  shiftStorey,
  stackFaults,
  storeysOf,
  streetNow,
  type StreetBuild,
} from './index';

const [ash, kelp] = [el('brick 2x4', 'ash'), el('brick 2x4', 'kelp')];
const house = () =>
  makeWorkbench({ zones: { Wall: ['20 brick 2x4 ash', '4 brick 2x4 kelp'], Roof: ['6 brick 2x4 rust'] } });
const other = () => makeWorkbench({ zones: { Shop: ['9 brick 2x4 bark'] }, build: asId<BuildId>('other') });
/** Carries a command that touches two builds into both. */
const both = (a: Workbench, b: Workbench, diff: Parameters<Workbench['apply']>[0]) => {
  a.apply(diff);
  b.apply(diff);
};
const moved = (a: Workbench, zone: ReturnType<typeof zoneId>, b: Workbench, prefix: string) => {
  const done = moveStorey(a, zone, b, testSource(prefix));
  if (!done.ok) throw new Error(done.reason.fault);
  both(a, b, done.value.diff);
  return done.value;
};

describe('a storey that goes to another build', () => {
  it('leaves the one and stands on the other, and each keeps its history', () => {
    const [a, b] = [house(), other()];
    const command = moved(a, zoneId('Roof'), b, 'x');
    expect(a.built.balances.total(modelAccount(zoneId('Roof')))).toBe(0);
    const roof = b.zones.find((z) => z.name === 'Roof')!;
    expect(b.built.balances.elements(modelAccount(roof.id))).toEqual([[el('brick 2x4', 'rust'), 6]]);
    expect([a.entries.at(-1)!.kind, b.entries.at(-1)!.kind]).toEqual(['remove', 'add']);
    expect(a.built.figures({ of: 'build' })).toMatchObject({ out: 6, onModel: 24 });
    expect(b.built.figures({ of: 'build' })).toMatchObject({ in: 6, onModel: 15, fromOwn: 6 });
    expect(storeysOf(b)).toMatchObject([{ name: 'Roof', state: 'stands', from: a.build }]);
    // Undone, both are as they were.
    both(a, b, invertDiff(command.diff));
    expect([modelOf(a), modelOf(b)]).toEqual([modelOf(house()), modelOf(other())]);
  });

  it('and back: the pieces of both together stay the same, whatever was built on them', () => {
    for (let seed = 1; seed <= 12; seed++) {
      const [a, b] = [randomSet(seed), other()];
      const before = [...piecesOf(a), ...piecesOf(b)].sort();
      moved(a, zoneId('Porch'), b, `m${seed}`);
      const there = b.zones.at(-1)!;
      const total = () => {
        const sums = new Map<string, number>();
        for (const p of [...piecesOf(a), ...piecesOf(b)]) {
          const [, e, n] = /^(.*) (\d+)$/.exec(p)!;
          sums.set(e!, (sums.get(e!) ?? 0) + Number(n));
        }
        return [...sums].map(([e, n]) => `${e} ${n}`).sort();
      };
      const after = total();
      expect(after.length).toBeLessThanOrEqual(before.length);
      moved(b, there.id, a, `n${seed}`);
      expect(total()).toEqual(after);
      expect(piecesOf(a)).toEqual(piecesOf(randomSet(seed)));
    }
  });

  it('joins a whole build to another, and says why it can’t', () => {
    const [a, b] = [house(), other()];
    moved(a, zoneId('root'), b, 'w');
    expect(a.built.figures({ of: 'build' }).onModel).toBe(0);
    expect(b.built.figures({ of: 'build' }).onModel).toBe(39);
    const fault = (from: Workbench, zone: string, to: Workbench) => {
      const done = moveStorey(from, zoneId(zone), to, testSource('f'));
      return done.ok ? null : done.reason.fault;
    };
    expect(fault(a, 'Wall', b)).toBe('nothing there');
    expect(fault(a, 'Attic', b)).toBe('no such zone');
    expect(fault(b, 'Shop', b)).toBe('same build');
  });
});

describe('a stack of storeys', () => {
  const storey = (name: string, position: number, more: Partial<Storey> = {}): Storey => ({
    ...{ id: asId<never>(name), build: asId<BuildId>('b'), name, zone: null, from: null, note: '', position },
    ...{ rule: 'anywhere' as const, state: 'stands' as const },
    ...more,
  });

  it('says what is against its order; ideas count for nothing', () => {
    const [ground, roof, attic] = [
      storey('Ground', 1, { rule: 'at the bottom' }),
      storey('Roof', 2, { rule: 'on top' }),
      storey('Attic', 3),
    ];
    expect(stackFaults([ground, roof])).toEqual([]);
    expect(stackFaults([attic, roof, ground])).toEqual([{ fault: 'not on top', storey: roof, over: attic }]);
    expect(stackFaults([ground, roof, { ...attic, state: 'idea' }])).toEqual([]);
    expect(stackFaults([{ ...ground, position: 9 }, attic])).toMatchObject([
      { fault: 'not at the bottom', under: attic },
    ]);
    const twice = [storey('Flat', 1), storey('Flat', 2, { id: asId<never>('f2'), rule: 'once only' })];
    expect(stackFaults(twice)).toMatchObject([{ fault: 'twice' }]);
  });

  it('is noted, put in order, changed and deleted', () => {
    const b = house();
    for (const name of ['Ground', 'Roof']) doneAndBack(b, addStorey(b, { name }, testSource(name)));
    const [ground, roof] = storeysOf(b);
    expect(shiftStorey(b, roof!, 1)).toBe(null);
    doneAndBack(b, shiftStorey(b, roof!, -1)!);
    expect(storeysOf(b).map((s) => s.name)).toEqual(['Roof', 'Ground']);
    doneAndBack(b, changeStorey(storeysOf(b)[1]!, { rule: 'on top', state: 'planned' }));
    expect(storeysOf(b)[1]).toMatchObject({ id: ground!.id, rule: 'on top' });
    doneAndBack(b, deleteStorey(storeysOf(b)[0]!));
    expect(storeysOf(b)).toHaveLength(1);
  });
});

describe('what another builder gave', () => {
  it('is all there in the build that it is of, and says zone by zone what lacks elsewhere', () => {
    for (let seed = 1; seed <= 15; seed++) {
      const build = modAtRandom(randomSet(seed), seed);
      const pattern = patternOfPatch(patchOf(build, { planned: true }));
      const keepIn = (b: Workbench) => {
        did(b, keepPattern(b, pattern, testSource(`k${seed}`)));
        return patternNow(b, patternsOf(b)[0]!);
      };
      expect([seed, keepIn(build).filter((z) => z.lacks.length > 0)]).toEqual([seed, []]);
      const zones = keepIn(randomSet(seed));
      for (const z of zones) expect(z.there + z.lacks.reduce((n, l) => n + l.qty, 0)).toBe(z.wants);
    }
  });

  it('is held against all that stands where it is a list, each piece once', () => {
    const b = planned(house(), testSource('a'), { kind: 'remove', off: [{ element: kelp, qty: 1 }] });
    const list = patternOfList('Pier', 'Wren', [
      { element: ash, qty: 22 },
      { element: kelp, qty: 5 },
    ]);
    doneAndBack(b, keepPattern(b, list, testSource('l')));
    const [zone] = patternNow(b, patternsOf(b)[0]!);
    expect(zone).toMatchObject({
      wants: 27,
      there: 23,
      lacks: [
        { element: ash, qty: 2, atHand: 0 },
        { element: kelp, qty: 2, atHand: 1 },
      ],
    });
  });

  it('comes in revisions, and its faults are noted by step', () => {
    const b = house();
    const list = (qty: number) => patternOfList('Pier', 'Wren', [{ element: ash, qty }]);
    did(b, keepPattern(b, list(5), testSource('one')));
    did(b, keepPattern(b, list(8), testSource('two')));
    const [newer, older] = patternsOf(b);
    expect([newer!.revision, older!.revision]).toEqual([2, 1]);
    expect(betweenRevisions(older!, newer!)).toEqual([{ element: ash, qty: 3 }]);
    doneAndBack(b, notePatternFault(newer!, 'Roof, 3', 'one tile too few', testSource('f')));
    expect(patternsOf(b)[0]!.faults).toMatchObject([{ step: 'Roof, 3' }]);
    doneAndBack(b, forgetPatternFault(patternsOf(b)[0]!, 0));
    doneAndBack(b, deletePattern(patternsOf(b)[0]!));
    expect(patternsOf(b)).toHaveLength(1);
  });
});

describe('a street', () => {
  const build = (
    name: string,
    length: number,
    height: number,
    more: Partial<StreetBuild> = {},
  ): StreetBuild => ({
    ...{ build: asId<BuildId>(name), name, pieces: 100, outOfPocket: 500, unpriced: 1 },
    size: { length, width: 10, height },
    colours: [{ colour: asId<never>('ash'), share: 0.4 }],
    marked: ['figure keeper'],
    ...more,
  });
  const builds = [
    build('House', 20, 22),
    build('Mill', 16, 28),
    build('Shed', 8, 5, { size: null, colours: [], marked: [] }),
  ];
  const street = (places: Street['places']): Street => ({
    id: asId<never>('s'),
    name: 'Quay',
    width: 40,
    depth: 20,
    places,
    note: '',
  });
  const at = (name: string, x: number, turned = false) => ({ build: asId<BuildId>(name), x, y: 0, turned });

  it('sums all that stand, and says how they meet', () => {
    const now = streetNow(street([at('Mill', 20), at('House', 0), at('Shed', 36), at('Gone', 1)]), builds);
    expect(now).toMatchObject({
      ...{ pieces: 300, outOfPocket: 1500, unpriced: 3, overlaps: [], over: [], unknown: ['Shed'] },
      heights: [{ a: 'House', b: 'Mill', bricks: 6 }],
      alike: [{ a: 'House', b: 'Mill', colours: ['ash'] }],
      doubles: [{ what: 'figure keeper', builds: ['Mill', 'House'] }],
    });
  });

  it('says what stands in one another or over the edge, turned or not', () => {
    expect(streetNow(street([at('House', 0), at('Mill', 15)]), builds).overlaps).toEqual([
      { a: 'House', b: 'Mill', studs: 5 },
    ]);
    expect(streetNow(street([at('House', 0, true), at('Mill', 15)]), builds).overlaps).toEqual([]);
    expect(streetNow(street([at('Mill', 30)]), builds).over).toEqual(['Mill']);
    expect(streetNow(street([at('Mill', 30, true)]), builds).over).toEqual([]);
  });

  it('is added, changed and deleted', () => {
    const b = house();
    doneAndBack(b, newStreet('Quay', testSource('s')));
    const [s] = [...b.records.street.values()];
    doneAndBack(b, changeStreet(s!, { places: [at('House', 3)] }));
    doneAndBack(b, deleteStreet([...b.records.street.values()][0]!));
    expect(b.records.street.size).toBe(0);
  });
});
