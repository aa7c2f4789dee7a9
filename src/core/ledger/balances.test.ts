import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ELEMENTS } from '../testing/world';
import { asId } from '../shared/ids';
import {
  Balances,
  grade,
  isAccountKey,
  modelAccount,
  OUTSIDE,
  placeOf,
  stockAccount,
  type AccountKey,
  type Movement,
} from './index';
import { GradeCounts } from './grade-counts';

const GRADES = (['new', 'used', 'faded', 'cracked'] as const).map((c) => grade(c));
const ACCOUNTS: AccountKey[] = [
  OUTSIDE,
  modelAccount(asId('a')),
  modelAccount(asId('b')),
  stockAccount(asId('t')),
];

const movements = fc.array(
  fc
    .record({
      element: fc.constantFrom(...ELEMENTS.slice(0, 5)),
      grade: fc.constantFrom(...GRADES),
      qty: fc.integer({ min: 1, max: 9 }),
      from: fc.constantFrom(...ACCOUNTS),
      to: fc.constantFrom(...ACCOUNTS),
      worth: fc.constant(null),
    })
    .filter((m) => m.from !== m.to),
  { maxLength: 60 },
);

/** The plainest book there could be: one number for each place, element and grade. */
function plainly(list: readonly Movement[]): Map<string, number> {
  const sums = new Map<string, number>();
  for (const m of list)
    for (const [account, qty] of [
      [m.from, -m.qty],
      [m.to, m.qty],
    ] as const) {
      const key = `${account}|${m.element}|${m.grade}`;
      sums.set(key, (sums.get(key) ?? 0) + qty);
    }
  return new Map([...sums].filter(([, qty]) => qty !== 0));
}

describe('balances', () => {
  it('are what the plainest book says, in every way they can be asked', () => {
    fc.assert(
      fc.property(movements, (list) => {
        const balances = new Balances();
        list.forEach((m) => balances.add(m));
        const plain = plainly(list);
        expect(new Map(balances.rows().map((r) => [`${r.account}|${r.element}|${r.grade}`, r.qty]))).toEqual(
          plain,
        );
        for (const account of ACCOUNTS) {
          const here = [...plain].filter(([k]) => k.startsWith(`${account}|`));
          expect(balances.total(account)).toBe(here.reduce((s, [, n]) => s + n, 0));
          for (const element of ELEMENTS.slice(0, 5)) {
            const grades = GRADES.map((g) => plain.get(`${account}|${element}|${g}`) ?? 0);
            expect(GRADES.map((g) => balances.at(account, element, g))).toEqual(grades);
            expect(balances.at(account, element)).toBe(grades.reduce((a, b) => a + b, 0));
            expect(balances.grades(account, element)).toEqual(
              GRADES.flatMap((g, i) => (grades[i] ? [[g, grades[i]]] : [])),
            );
          }
        }
      }),
    );
  });

  it('are as if nothing had been, when everything is taken back in any order', () => {
    fc.assert(
      fc.property(
        movements,
        fc.infiniteStream(fc.double({ min: 0, max: 1, noNaN: true })),
        (list, chance) => {
          const balances = new Balances();
          list.forEach((m) => balances.add(m));
          const order = list
            .map((m) => ({ m, at: chance.next().value as number }))
            .sort((a, b) => a.at - b.at);
          order.forEach(({ m }) => balances.add(m, -1));
          expect(balances.rows()).toEqual([]);
          for (const account of ACCOUNTS)
            expect([balances.total(account), balances.elements(account)]).toEqual([0, []]);
        },
      ),
    );
  });

  it('list only the places that are asked for', () => {
    const balances = new Balances();
    ACCOUNTS.forEach((a) => balances.put(a, ELEMENTS[0]!, GRADES[0]!, 2));
    expect(balances.accountKeys('model')).toEqual(ACCOUNTS.filter((a) => placeOf(a) === 'model'));
    expect(balances.rows((a) => a === OUTSIDE)).toHaveLength(1);
  });
});

describe('counts by grade', () => {
  it('keep the grade they began with apart from the others, unseen', () => {
    const counts = new GradeCounts(GRADES[1]!, 3);
    counts.add(GRADES[0]!, 2);
    counts.add(GRADES[1]!, -3);
    expect([counts.sum(), counts.list(), counts.isEmpty]).toEqual([2, [[GRADES[0], 2]], false]);
    counts.add(GRADES[0]!, -2);
    expect(counts.isEmpty).toBe(true);
  });
});

describe('account keys', () => {
  it.each(['outside', 'model:z', 'gone:sold', 'stock:t:1'])('%s is one', (key) =>
    expect(isAccountKey(key)).toBe(true),
  );
  it.each(['', 'outside:x', 'model', 'model:', 'gone:away', 'moon:1'])('%s is none', (key) =>
    expect(isAccountKey(key)).toBe(false),
  );
});
