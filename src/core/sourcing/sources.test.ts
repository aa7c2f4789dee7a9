import fc from 'fast-check';
import { expect, it } from 'vitest';
import { Sources } from './sources';

it('what serves a lot is what a map would say, in the order in which it came', () =>
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: -3, max: 4 }), fc.integer({ min: -5, max: 5 })), { maxLength: 60 }),
      (steps) => {
        const held = new Sources();
        const map = new Map<number, number>();
        for (const [source, n] of steps) {
          const now = (map.get(source) ?? 0) + n;
          if (now === 0) map.delete(source);
          else map.set(source, now);
          held.add(source, n);
          expect(held.rows()).toEqual([...map]);
        }
        expect(held.size).toBe(map.size);
        [...map].forEach(([source, n], i) =>
          expect([held.sourceAt(i), held.piecesAt(i), held.get(source)]).toEqual([source, n, n]),
        );
        for (let source = -3; source <= 4; source++) {
          expect(held.get(source)).toBe(map.get(source) ?? 0);
          expect(held.has(source)).toBe(map.has(source));
        }
      },
    ),
  ));
