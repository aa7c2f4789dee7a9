import { describe, expect, it } from 'vitest';
import { el } from '../testing/world';
import { did, doneAndBack, makeWorkbench, planned, testSource } from '../testing/workbench';
import { sayIdeal, twoLists } from './ideal-parts';

const [ash, kelp, rust, brick] = ['ash', 'kelp', 'rust', 'brick'].map((c) => el('brick 2x4', c)) as [
  ReturnType<typeof el>,
  ReturnType<typeof el>,
  ReturnType<typeof el>,
  ReturnType<typeof el>,
];
const bench = () =>
  makeWorkbench({ zones: { Wall: ['20 brick 2x4 ash'] }, stock: ['10 brick 2x4 kelp', '10 brick 2x4 rust'] });

describe('two lists for one mod', () => {
  it('are one where nothing stands for anything', () => {
    const b = planned(bench(), testSource('a'), { on: [{ element: kelp, qty: 4 }] });
    const { used, ideal, instead } = twoLists(b);
    expect(instead).toEqual([]);
    expect(ideal).toEqual(used);
    expect(used).toContainEqual({ element: kelp, qty: 4 });
  });

  it('hold what one would have used beside what is used, and only as much as is there', () => {
    const b = planned(bench(), testSource('a'), { on: [{ element: kelp, qty: 4 }] });
    const entry = b.entries.at(-1)!;
    doneAndBack(b, sayIdeal(b, [entry], brick));
    doneAndBack(b, sayIdeal(b, [entry], rust));
    expect(twoLists(b).instead).toEqual([
      { used: kelp, ideal: rust, qty: 4, why: 'choice', entries: [entry.id] },
    ]);
    expect(twoLists(b).ideal).toEqual([
      { element: ash, qty: 20 },
      { element: rust, qty: 4 },
    ]);
    planned(b, testSource('b'), { kind: 'remove', off: [{ element: kelp, qty: 3 }] });
    expect(twoLists(b).instead).toMatchObject([{ qty: 1 }]);
    doneAndBack(b, sayIdeal(b, [entry], null));
    expect(twoLists(b).instead).toEqual([]);
  });

  it('count placeholders by themselves', () => {
    const b = planned(bench(), testSource('a'), {
      kind: 'placeholder',
      on: [{ element: kelp, qty: 2 }],
      standsFor: brick,
    });
    expect(twoLists(b).instead).toMatchObject([{ used: kelp, ideal: brick, qty: 2, why: 'placeholder' }]);
    const all = (list: readonly { qty: number }[]) => list.reduce((n, l) => n + l.qty, 0);
    expect(all(twoLists(b).ideal)).toBe(all(twoLists(b).used));
    did(b, sayIdeal(b, [b.entries.at(-1)!], rust));
    expect(twoLists(b).instead).toMatchObject([{ ideal: rust, why: 'choice' }]);
  });
});
