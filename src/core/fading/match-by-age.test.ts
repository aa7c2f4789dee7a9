import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { deltaE00, type LabD65 } from '../colour';
import { seededRandom } from '../shared/random';
import { matchByAge, spreadOf, type AgeBatch } from './match-by-age';

const lab = (l: number, a: number, b: number): LabD65 => ({ l, a, b, white: 'D65' });

/** Some pieces aged along a line with noise, a few of each shape. */
const batchesArb = fc
  .array(
    fc.record({
      t: fc.double({ min: 0, max: 1, noNaN: true }),
      n: fc.double({ min: -2, max: 2, noNaN: true }),
      m: fc.double({ min: -2, max: 2, noNaN: true }),
      shape: fc.constantFrom('brick', 'slope'),
      qty: fc.integer({ min: 1, max: 3 }),
    }),
    { minLength: 2, maxLength: 7 },
  )
  .map((rows) =>
    rows.map((r, i): AgeBatch => ({
      id: `${i}`,
      shape: r.shape,
      qty: r.qty,
      seenNow: 0,
      lab: lab(94 - 4 * r.t + r.m, -1 + 2 * r.t, 4 + 18 * r.t + r.n),
    })),
  );

/** The least largest difference over every way to fill the places. */
function bruteForce(places: ReadonlyMap<string, number>, batches: readonly AgeBatch[]): number {
  let best = Infinity;
  const left = new Map(places);
  const chosen: AgeBatch[] = [];
  const go = (i: number): void => {
    if ([...left.values()].every((n) => n === 0)) {
      best = Math.min(best, spreadOf(chosen.map((c) => ({ lab: c.lab, qty: 1 }))).largest);
      return;
    }
    const batch = batches[i];
    if (!batch) return;
    const room = Math.min(batch.qty, left.get(batch.shape) ?? 0);
    for (let n = 0; n <= room; n++) {
      left.set(batch.shape, (left.get(batch.shape) ?? 0) - n);
      for (let k = 0; k < n; k++) chosen.push(batch);
      go(i + 1);
      chosen.length -= n;
      left.set(batch.shape, (left.get(batch.shape) ?? 0) + n);
    }
  };
  go(0);
  return best;
}

describe('matching by age', () => {
  it('is never beaten by any other choice of pieces', () =>
    fc.assert(
      fc.property(
        batchesArb,
        fc.integer({ min: 0, max: 4 }),
        fc.integer({ min: 0, max: 4 }),
        (batches, x, y) => {
          const there = (shape: string) => batches.reduce((s, b) => s + (b.shape === shape ? b.qty : 0), 0);
          const places = new Map([
            ['brick', Math.min(x, there('brick'))],
            ['slope', Math.min(y, there('slope'))],
          ]);
          if ([...places.values()].every((n) => n === 0)) return;
          const found = matchByAge(places, batches);
          expect(found.proven).toBe(true);
          expect(found.largest).toBeLessThanOrEqual(bruteForce(places, batches) + 1e-9);
          for (const [shape, n] of places) {
            const put = batches.reduce(
              (s, b) => s + (b.shape === shape ? (found.seen.get(b.id) ?? 0) : 0),
              0,
            );
            expect(put).toBe(n);
          }
          for (const b of batches) expect(found.seen.get(b.id) ?? 0).toBeLessThanOrEqual(b.qty);
        },
      ),
      { numRuns: 150 },
    ));

  it('is exact for 60 places among 200 pieces read one by one', () => {
    const random = seededRandom(9);
    const batches = Array.from({ length: 200 }, (_, i): AgeBatch => {
      const t = random();
      const off = () => (random() - 0.5) * 1.5;
      return {
        id: `${i}`,
        shape: 'brick',
        qty: 1,
        seenNow: i < 60 ? 1 : 0,
        lab: lab(94 - 4 * t + off(), -1 + 2 * t + off(), 4 + 18 * t + off()),
      };
    });
    const found = matchByAge(new Map([['brick', 60]]), batches);
    expect(found.proven).toBe(true);
    // No rule of thumb does better: the 60 nearest to any one piece, or any 60 next to one another by age.
    const rules = batches.map((c) =>
      [...batches].sort((a, b) => deltaE00(c.lab, a.lab) - deltaE00(c.lab, b.lab)).slice(0, 60),
    );
    const sorted = [...batches].sort((a, b) => a.lab.b - b.lab.b);
    for (let i = 0; i + 60 <= 200; i += 5) rules.push(sorted.slice(i, i + 60));
    const best = Math.min(...rules.map((r) => spreadOf(r).largest));
    expect(found.largest).toBeLessThanOrEqual(best + 1e-9);
  });

  it('keeps what is seen where that costs nothing', () => {
    const same = lab(90, 0, 10);
    const batches: AgeBatch[] = [
      { id: 'there', shape: 'brick', qty: 4, seenNow: 4, lab: same },
      { id: 'tray', shape: 'brick', qty: 9, seenNow: 0, lab: same },
    ];
    expect(matchByAge(new Map([['brick', 6]]), batches).seen).toEqual(
      new Map([
        ['there', 4],
        ['tray', 2],
      ]),
    );
  });

  it('says so when it ran out of steps, and still fills every place', () => {
    const random = seededRandom(4);
    const batches = Array.from({ length: 60 }, (_, i): AgeBatch => ({
      id: `${i}`,
      shape: 'brick',
      qty: 1,
      seenNow: 0,
      lab: lab(60 + 30 * random(), 20 * random(), 20 * random()),
    }));
    const found = matchByAge(new Map([['brick', 20]]), batches, 3);
    expect(found.proven).toBe(false);
    expect([...found.seen.values()].reduce((a, b) => a + b, 0)).toBe(20);
  });

  it('too few pieces is a mistake, no places is nothing to do', () => {
    const one: AgeBatch[] = [{ id: 'a', shape: 'brick', qty: 1, seenNow: 0, lab: lab(50, 0, 0) }];
    expect(() => matchByAge(new Map([['brick', 2]]), one)).toThrow(/every place/);
    expect(matchByAge(new Map(), one)).toMatchObject({ largest: 0, proven: true });
  });
});

describe('a spread', () => {
  it('is of pairs of pieces: the largest and the middle one', () => {
    const [a, b] = [lab(90, 0, 0), lab(90, 0, 10)];
    const d = deltaE00(a, b);
    expect(spreadOf([{ lab: a, qty: 5 }])).toEqual({ largest: 0, typical: 0 });
    expect(
      spreadOf([
        { lab: a, qty: 5 },
        { lab: b, qty: 1 },
      ]),
    ).toEqual({ largest: d, typical: 0 });
    expect(
      spreadOf([
        { lab: a, qty: 1 },
        { lab: b, qty: 1 },
      ]),
    ).toEqual({ largest: d, typical: d });
  });
});
