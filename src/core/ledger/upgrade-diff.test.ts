import { describe, expect, it } from 'vitest';
import { asId } from '../shared/ids';
import { MODIFICATIONS } from '../testing/world';
import { added, changed, EMPTY_DIFF, joinDiffs, removed, type Diff } from './diff';
import { upgradeDiff } from './upgrade-diff';

const now = MODIFICATIONS[0]!;
const { purpose: _, ...old } = now;
const earlier = old as typeof now;

describe('a diff that an earlier program kept', () => {
  it('has records in today’s shape, whether they came, went or changed', () => {
    expect(upgradeDiff(added('modification', earlier))).toEqual(added('modification', now));
    expect(upgradeDiff(removed('modification', earlier))).toEqual(removed('modification', now));
    const renamed: Partial<typeof now> = { title: 'Porch' };
    expect(upgradeDiff(changed('modification', earlier, renamed))).toEqual(
      changed('modification', now, renamed),
    );
  });

  it('has today’s names of kinds, and nothing of a setting that is kept no more', () => {
    const slip = { added: [{ type: 'leftSlip', record: { id: 'x' } }], removed: [], changed: [] };
    expect(upgradeDiff(slip as unknown as Diff).added[0]?.type).toBe('leftMismatch');
    const setting = { id: 'never heard of', values: [1] };
    const gone = {
      added: [{ type: 'setting', record: setting }],
      removed: [{ type: 'setting', record: setting }],
      changed: [{ type: 'setting', from: setting, to: setting }],
    };
    expect(upgradeDiff(gone as unknown as Diff)).toEqual(EMPTY_DIFF);
  });

  it('comes back equal where it is up to date', () => {
    const today = joinDiffs(
      added('modification', now),
      changed('modification', now, { note: 'more' }),
      removed('price', { id: 'x', element: asId('x'), newPrice: 1, usedPrice: null }),
    );
    expect(upgradeDiff(today)).toEqual(today);
  });
});
