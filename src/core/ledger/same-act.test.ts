import { describe, expect, it } from 'vitest';
import { between, pick, seededRandom } from '../shared/random';
import { modelAccount, OUTSIDE, sparesAccount } from '../places';
import { splitElementKey, type ElementKey } from '../parts';
import type { Entry, Movement } from '../records';
import { BUILD, el, entry, ZONES } from '../testing/world';
import { splitEntry, stepsOf } from './entry-tools';
import { countEntry, noFigures, type Figures } from './figures';
import { BLANK_INTENT, type Pieces } from './intent';
import { asId, type EntryId } from '../shared/ids';
import { settleKind } from './same-act';

const model = modelAccount(ZONES[0]!.id);
const spares = sparesAccount(BUILD);

const swap = (off: readonly Pieces[], on: readonly Pieces[]): Entry =>
  entry('x', 'swap', [
    ...off.map((p): Movement => ({ ...p, grade: 'used' as never, from: model, to: spares, worth: 2 })),
    ...on.map((p): Movement => ({ ...p, grade: 'new' as never, from: OUTSIDE, to: model, worth: 3 })),
  ]);

const figuresOf = (e: Entry): Figures => {
  const sums = noFigures();
  countEntry(sums, e);
  return sums;
};

const p = (part: string, colour: string, qty: number, print = ''): Pieces => ({
  element: el(part, colour, print),
  qty,
});

describe('what a swap counts as', () => {
  it.each<[string, Pieces[], Pieces[], Partial<Figures>]>([
    [
      'another part',
      [p('plate 1x2', 'ash', 2)],
      [p('plate 1x4', 'ash', 1)],
      { out: 2, in: 1, recoloured: 0, net: -1 },
    ],
    [
      'the same part in another colour',
      [p('plate 1x2', 'ash', 2)],
      [p('plate 1x2', 'chalk', 2)],
      { out: 0, in: 0, recoloured: 2, net: 0 },
    ],
    [
      'more of it than went',
      [p('plate 1x2', 'ash', 2)],
      [p('plate 1x2', 'chalk', 5)],
      { out: 0, in: 3, recoloured: 2, net: 3 },
    ],
    [
      'two colours into one, and another part beside',
      [p('plate 1x2', 'ash', 2), p('plate 1x2', 'slate', 1), p('tile 1x2', 'ash', 4)],
      [p('plate 1x2', 'chalk', 3), p('tile 1x4', 'chalk', 2)],
      { out: 4, in: 2, recoloured: 3, net: -2 },
    ],
    [
      'one print for another is no recolour',
      [p('tile 2x2', 'ash', 1, 'dial')],
      [p('tile 2x2', 'chalk', 1)],
      { out: 1, in: 1, recoloured: 0, net: 0 },
    ],
    [
      'a colour that goes and comes',
      [p('plate 1x2', 'ash', 2)],
      [p('plate 1x2', 'ash', 1), p('plate 1x2', 'chalk', 1)],
      { out: 2, in: 2, recoloured: 0, net: 0 },
    ],
  ])('%s', (_, off, on, expected) => expect(figuresOf(swap(off, on))).toMatchObject(expected));

  it('leaves the sums as they are, whatever goes and comes', () => {
    const random = seededRandom(41);
    const some = (): Pieces[] =>
      Array.from({ length: between(random, 1, 4) }, () =>
        p(
          pick(random, ['plate 1x2', 'tile 1x2', 'brick 1x2']),
          pick(random, ['ash', 'chalk', 'slate']),
          between(random, 1, 6),
        ),
      );
    const total = (list: readonly Pieces[]) => list.reduce((s, x) => s + x.qty, 0);
    for (let n = 0; n < 400; n++) {
      const [off, on] = [some(), some()];
      const f = figuresOf(swap(off, on));
      expect(f.out + f.recoloured).toBe(total(off));
      expect(f.in + f.recoloured).toBe(total(on));
      expect(f.net).toBe(f.in - f.out);
      expect(f.onModel).toBe(total(on) - total(off));
      expect(f.outOfPocket).toBe(3 * total(on));
      // A recolour of the same is the same figure.
      const [a, b] = [off[0]!, on[0]!];
      const settled = settleKind({ ...BLANK_INTENT, kind: 'swap', off: [a], on: [{ ...b, qty: a.qty }] });
      const same = splitElementKey(a.element).part === splitElementKey(b.element).part;
      expect(settled.kind).toBe(same && a.element !== b.element ? 'recolour' : 'swap');
    }
  });
});

describe('steps of a swap of several kinds', () => {
  const whole = swap([p('brick 1x2', 'ash', 4), p('tile 1x2', 'ash', 2)], [p('brick 1x4', 'ash', 2)]);

  it('are as many as every kind can be parted in', () => {
    expect(stepsOf(whole)).toBe(2);
    expect(
      stepsOf(swap([p('brick 1x2', 'ash', 4), p('tile 1x2', 'ash', 3)], [p('brick 1x4', 'ash', 2)])),
    ).toBe(1);
  });

  it('take their share of every kind', () => {
    const [first, rest] = splitEntry(whole, 1, asId<EntryId>('r'));
    const kinds = (e: Entry): [ElementKey, number][] => e.movements.map((m) => [m.element, m.qty]);
    const half = [
      [el('brick 1x2', 'ash'), 2],
      [el('tile 1x2', 'ash'), 1],
      [el('brick 1x4', 'ash'), 1],
    ];
    expect(kinds(first)).toEqual(half);
    expect(kinds(rest)).toEqual(half);
  });
});
