import { describe, expect, it } from 'vitest';
import { randomLog } from '@/core/testing/world';
import { balanceTerms, balanceWords } from './balance';

describe('the balance in a line', () => {
  it('has terms that add up to its last, over random logs', () => {
    for (let seed = 1; seed <= 12; seed++) {
      const figures = randomLog(seed, 60).built.figures({ of: 'build' });
      const terms = balanceTerms(figures, false);
      const sum = terms
        .slice(0, -1)
        .reduce((n, { sign, pieces }) => n + (sign === '−' ? -pieces : pieces), 0);
      expect(terms.at(-1)).toMatchObject({ sign: '=', figure: 'onModel', pieces: sum });
    }
  });

  it('tells what was missing and what of it was replaced apart, and leaves out what never was', () => {
    const figures = randomLog(1, 0).built.figures({ of: 'build' });
    const of = (more: object) => balanceWords({ ...figures, shipped: 412, out: 12, in: 90, ...more });
    expect(of({ missing: 3, missingReplaced: 2, onModel: 489 })).toBe(
      '412 shipped − 12 out + 90 in − 3 missing + 2 replaced = 489 on the model',
    );
    expect(of({ onModel: 490 })).toBe('412 shipped − 12 out + 90 in = 490 on the model');
    const moved = { ...figures, movedIn: 4, movedOut: 1 };
    expect(balanceTerms(moved, false).map((t) => t.figure)).not.toContain('movedIn');
    expect(balanceTerms(moved, true).map((t) => `${t.sign}${t.pieces}`)).toEqual(
      expect.arrayContaining(['+4', '−1']),
    );
  });
});
