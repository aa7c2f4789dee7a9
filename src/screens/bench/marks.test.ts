import { describe, expect, it } from 'vitest';
import { markAll, markRow } from './marks';

const rows = ['a', 'b', 'c', 'd'] as const;
const marked = (...ids: string[]) => new Set(ids);

describe('marking rows', () => {
  it('one is marked, and not any more when it is pressed again', () => {
    expect(markRow(rows, marked(), 'b', null)).toEqual(marked('b'));
    expect(markRow(rows, marked('a', 'b'), 'b', null)).toEqual(marked('a'));
  });

  it.each([
    ['a', 'c', ['a', 'b', 'c']],
    ['d', 'b', ['b', 'c', 'd']],
  ] as const)('with Shift all from the last one marked (%s to %s)', (from, to, all) => {
    expect(markRow(rows, marked(from), to, from)).toEqual(marked(...all));
  });

  it('with Shift keeps what is marked elsewhere, and forgets a last one that is gone', () => {
    expect(markRow(rows, marked('z', 'a'), 'b', 'a')).toEqual(marked('z', 'a', 'b'));
    expect(markRow(rows, marked(), 'b', 'gone' as never)).toEqual(marked('b'));
  });

  it('all are marked, and none where all were', () => {
    expect(markAll(rows, marked('b', 'z'))).toEqual(marked('z', ...rows));
    expect(markAll(rows, marked('z', ...rows))).toEqual(marked('z'));
  });
});
