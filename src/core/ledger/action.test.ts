import { describe, expect, it } from 'vitest';
import { asId, type BuildId, type TrayId } from '../shared/ids';
import { BUILD, COPIES, COPY, entry, MODIFICATIONS, ZONES } from '../testing/world';
import { scopesOf, STOCK_SCOPE } from './action';
import { added, changed, EMPTY_DIFF, joinDiffs, removed, type Diff } from './diff';

const other = asId<BuildId>('b2');
const scopes = (diff: Diff, scope: string = STOCK_SCOPE): string[] => scopesOf({ scope, diff }).sort();
const trays = added('tray', { id: asId<TrayId>('t1'), name: 'A1', place: '', position: 0 });

describe('the undo lists that an action joins', () => {
  it('are the one where it was asked for, if it changes nothing else', () => {
    expect(scopes(EMPTY_DIFF, BUILD)).toEqual([BUILD]);
  });

  it('are those of every build whose records come, go or change', () => {
    const mine = added('modification', MODIFICATIONS[0]!);
    const gone = removed('entry', entry('e', 'add', [], { build: other }));
    const zone = ZONES[0]!;
    const moved = changed('zone', zone, { build: asId<BuildId>('b3') });
    expect(scopes(mine)).toEqual([BUILD, STOCK_SCOPE].sort());
    expect(scopes(gone)).toEqual([other, STOCK_SCOPE].sort());
    expect(scopes(moved, BUILD)).toEqual([BUILD, 'b3']);
  });

  it('are a build’s own when it comes or goes itself', () => {
    const build = added('build', { id: other, name: 'Another', note: '', createdAt: '', archived: false });
    expect(scopes(build)).toEqual([other, STOCK_SCOPE].sort());
  });

  it('are also that of own parts, when trays change or what lies in them without a build', () => {
    expect(scopes(trays, BUILD)).toEqual([BUILD, STOCK_SCOPE].sort());
    const stocked = added('entry', entry('s', 'add-stock', [], { build: null }));
    expect(scopes(stocked, BUILD)).toEqual([BUILD, STOCK_SCOPE].sort());
  });

  it('name each of them once, and none for what belongs to no build', () => {
    const price = added('price', { id: 'x', element: asId('x'), newPrice: 1, usedPrice: 1 });
    const copies = joinDiffs(
      added('copy', COPIES.get(COPY)!),
      added('modification', MODIFICATIONS[1]!),
      price,
    );
    expect(scopes(copies, BUILD)).toEqual([BUILD]);
  });
});
