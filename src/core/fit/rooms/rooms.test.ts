import { describe, expect, it } from 'vitest';
import { STREET } from '../../records';
import { between, pick, seededRandom } from '../../shared/random';
import { doneAndBack, makeWorkbench } from '../../testing/workbench';
import { interiorOf, keepInterior, type Room, type Way } from './interior';
import { floorSpace, reachOf } from './reach';
import { printFurniture, readFurniture } from './read-furniture';

const room = (id: string, more: Partial<Room> = {}): Room => ({
  id,
  name: id,
  width: 8,
  depth: 6,
  height: 24,
  furniture: [],
  ...more,
});
const way = (from: string, to: string, more: Partial<Way> = {}): Way => ({
  from,
  to,
  kind: 'door',
  width: 4,
  height: 15,
  ...more,
});
const bench = makeWorkbench({ zones: { Wall: ['1 brick 1x2 chalk'] } });
const house = {
  ...interiorOf(bench),
  rooms: [room('hall'), room('store'), room('loft'), room('vault')],
  ways: [way(STREET, 'hall'), way('store', 'hall', { width: 2 }), way('hall', 'loft', { kind: 'stairs' })],
};
const cart = { name: 'cart', width: 3, height: 8, climbs: false };

describe('rooms', () => {
  it('are kept with the ways between them, and taken back; ways of a room that is gone go', () => {
    doneAndBack(bench, keepInterior(bench, house));
    doneAndBack(bench, keepInterior(bench, { ...house, rooms: house.rooms.slice(0, 2) }));
    expect(interiorOf(bench).ways.map((w) => w.to)).toEqual(['hall', 'hall']);
  });

  it('are reached from the street by the fewest ways, or not at all', () => {
    const reached = new Map(reachOf(house, null).map((r) => [r.room.id, r.by?.map((w) => w.kind)]));
    expect(reached.get('hall')).toEqual(['door']);
    expect(reached.get('loft')).toEqual(['door', 'stairs']);
    expect(reached.get('vault')).toBeUndefined();
    const twice = { ...house, ways: [...house.ways, way(STREET, 'loft', { kind: 'hatch' })] };
    expect(reachOf(twice, null)[2]!.by!.map((w) => w.kind)).toEqual(['hatch']);
  });

  it('stop what is too wide, too tall, or does not climb, and say where and by how much', () => {
    const by = new Map(reachOf(house, cart).map((r) => [r.room.id, r]));
    expect(by.get('hall')!.by).toHaveLength(1);
    expect(by.get('store')!.by).toBeNull();
    expect(by.get('store')!.stops).toContainEqual({
      way: house.ways[1],
      narrow: 1,
      low: 0,
      climb: false,
    });
    expect(by.get('loft')!.stops).toContainEqual({ way: house.ways[2], narrow: 0, low: 0, climb: true });
    expect(by.get('vault')!.stops).toEqual([]);
    expect(reachOf(house, { ...cart, height: 16 })[0]!.stops).toEqual([
      { way: house.ways[0], narrow: 0, low: 1, climb: false },
    ]);
  });

  it('are never reached by something larger where something smaller stops, over random houses', () => {
    const random = seededRandom(12);
    let stopped = 0;
    for (let i = 0; i < 200; i++) {
      const ids = Array.from({ length: between(random, 2, 7) }, (_, n) => `room ${n}`);
      const ways = Array.from({ length: between(random, 1, 10) }, () =>
        way(pick(random, [STREET, ...ids]), pick(random, ids), {
          kind: pick(random, ['door', 'stairs', 'opening'] as const),
          width: between(random, 1, 6),
          height: between(random, 6, 20),
        }),
      );
      const random1 = { ...house, rooms: ids.map((n) => room(n)), ways };
      const small = { name: 'small', width: 2, height: 8, climbs: true };
      const large = { name: 'large', width: 4, height: 12, climbs: i % 2 === 0 };
      const sizes = [null, small, large].map((p) => reachOf(random1, p));
      sizes[0]!.forEach((any, n) => {
        const [s, l] = [sizes[1]![n]!, sizes[2]![n]!];
        if (l.by) expect(s.by).not.toBeNull();
        if (s.by) expect(any.by).not.toBeNull();
        if (any.by && !s.by) stopped++;
        // What stops it lies on the edge of what it reaches: with it wide open it would get further.
        expect(s.stops.length > 0).toBe(any.by !== null && s.by === null);
        // A way of so many steps leads there step by step.
        let at = STREET;
        for (const w of s.by ?? []) at = w.from === at ? w.to : w.from;
        if (s.by) expect(at).toBe(s.room.id);
      });
    }
    expect(stopped).toBeGreaterThan(50);
  });
});

describe('the floor of a room', () => {
  it('has what furniture leaves of it, and says what fits in neither way', () => {
    const furniture = readFurniture('stove 2x3, table 4 × 4');
    expect(furniture.ok && floorSpace(room('hall', { furniture: furniture.value }))).toEqual({
      studs: 48,
      taken: 22,
      free: 26,
      tooLarge: [],
    });
    const long = [{ name: 'boat', width: 9, depth: 2 }];
    expect(floorSpace(room('hall', { furniture: long })).tooLarge).toEqual(['boat']);
    expect(floorSpace(room('hall', { width: 9, furniture: long })).tooLarge).toEqual([]);
    const full = Array.from({ length: 4 }, () => ({ name: 'bed', width: 4, depth: 4 }));
    expect(floorSpace(room('hall', { furniture: full })).free).toBe(-16);
  });

  it('reads furniture as it prints it, and gives back what is none', () => {
    const text = 'stove 2x3, long table 4x10';
    const read = readFurniture(text);
    expect(read.ok && printFurniture(read.value)).toBe(text);
    for (const bad of ['stove', '2x3', 'stove 0x3', 'stove 2 by 3'])
      expect(readFurniture(`table 4x4, ${bad}`)).toEqual({ ok: false, reason: bad });
  });
});
