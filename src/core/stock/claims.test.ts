import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sparesAccount, type Entry } from '../ledger';
import { asId, type BuildId } from '../shared/ids';
import { at, lot, planTaking } from '../testing/stock';
import { claimsIn, claimsOf, contested, orderOfBuilds, rankBuilds, shareOut } from './index';

describe('who gets the last four', () => {
  const [a, b] = [asId<BuildId>('a'), asId<BuildId>('b')];
  const claim = (build: BuildId, qty: number) => ({ build, ...lot(at('t'), 'brick 1x2', 'ash', qty) });

  it('the build that comes first, and the next what is left', () => {
    const [contest] = contested(
      shareOut([lot(at('t'), 'brick 1x2', 'ash', 4)], [claim(b, 3), claim(a, 3)], [a, b]),
    );
    expect(contest).toMatchObject({
      there: 4,
      wanted: 6,
      shares: [
        { build: a, gets: 3 },
        { build: b, gets: 1 },
      ],
    });
  });

  it('is a contest only where two want it and it does not suffice', () => {
    const of = (there: number, ...claims: ReturnType<typeof claim>[]) =>
      contested(shareOut([lot(at('t'), 'brick 1x2', 'ash', there)], claims, [a, b])).length;
    expect(of(5, claim(a, 3), claim(b, 3))).toBe(1);
    expect(of(6, claim(a, 3), claim(b, 3))).toBe(0);
    expect(of(1, claim(a, 3))).toBe(0);
    expect(of(1, claim(a, 3), claim(a, 3))).toBe(0);
  });

  it('ranks builds as they were put, and writes only what changes', () => {
    const ranked = rankBuilds([{ id: a, rank: 0 }], [b, a]);
    expect(ranked.diff.added).toEqual([{ type: 'claimRank', record: { id: b, rank: 0 } }]);
    expect(ranked.diff.changed).toMatchObject([{ from: { id: a, rank: 0 }, to: { id: a, rank: 1 } }]);
    const twice = rankBuilds(
      [
        { id: b, rank: 0 },
        { id: a, rank: 1 },
      ],
      [b, a],
    );
    expect([
      ...twice.diff.added,
      ...twice.diff.changed.filter((c) => c.from.id === b && 'rank' in c.to && c.to.rank !== 0),
    ]).toEqual([]);
  });

  it('gives out no more than there is, and no less than is wanted where it suffices', () =>
    fc.assert(
      fc.property(fc.array(fc.nat(9), { minLength: 1, maxLength: 6 }), fc.nat(30), (wants, there) => {
        const claims = wants.map((n, i) => claim(asId<BuildId>(`b${i}`), n + 1));
        const order = claims.map((c) => c.build);
        const [c] = shareOut([lot(at('t'), 'brick 1x2', 'ash', there)], claims, order);
        const given = c!.shares.reduce((s, x) => s + x.gets, 0);
        expect(given).toBe(Math.min(there, c!.wanted));
        // Nobody gets anything while one before him lacks some.
        c!.shares.forEach((s, i) => {
          if (s.gets < s.wants) expect(c!.shares.slice(i + 1).every((x) => x.gets === 0)).toBe(true);
        });
      }),
    ));

  it('orders builds by rank, then age, and leaves archived ones out', () => {
    const build = (id: string, createdAt: string, archived = false) => ({
      id: asId<BuildId>(id),
      name: id,
      note: '',
      createdAt,
      archived,
    });
    const builds = [build('new', '2026-03'), build('old', '2026-01'), build('kept', '2026-02', true)];
    const ids = (rank: Record<string, number>) => orderOfBuilds(builds, (id) => rank[id]).map((x) => x.id);
    expect(ids({})).toEqual(['old', 'new']);
    expect(ids({ new: 3 })).toEqual(['new', 'old']);
    expect(ids({ new: 1, old: 0 })).toEqual(['old', 'new']);
  });

  it('claims come from plans, not from what-ifs, and only those of builds before count', () => {
    const plan = { ...planTaking(at('t'), 'brick 1x2', 'ash', 3), build: a };
    const dream = { ...plan, id: asId('w'), whatIf: asId('x') } as Entry;
    const done = { ...plan, id: asId('d'), state: 'done' } as Entry;
    const nobody = { ...plan, id: asId('n'), build: null } as Entry;
    const spare = { ...planTaking(sparesAccount(a), 'brick 1x2', 'ash', 3), build: a };
    expect(claimsOf([plan, { ...plan, id: asId('p2') }])).toMatchObject([{ build: a, qty: 6 }]);
    const claims = claimsOf([plan, dream, done, nobody, spare]);
    expect(claims).toMatchObject([{ build: a, qty: 3 }]);
    expect(claimsIn(claims, [a, b], b)).toHaveLength(1);
    expect(claimsIn(claims, [b, a], b)).toEqual([]);
  });
});
