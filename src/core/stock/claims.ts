import {
  joinDiffs,
  placeOf,
  written,
  type AccountKey,
  type Build,
  type Claim,
  type ClaimRank,
  type Entry,
  type Grade,
} from '../ledger';
import type { Command } from '../ledger';
import type { ElementKey } from '../parts';
import type { BuildId } from '../shared/ids';

/** What planned entries take from own parts, build by build. What-ifs claim nothing. */
export function claimsOf(entries: Iterable<Entry>): Claim[] {
  const sums = new Map<string, Claim>();
  for (const e of entries) {
    if (e.state !== 'planned' || e.whatIf !== null || e.build === null) continue;
    for (const m of e.movements) {
      if (placeOf(m.from) !== 'stock') continue;
      const key = `${e.build}|${m.from}|${m.element}|${m.grade}`;
      const { element, grade } = m;
      sums.set(key, {
        build: e.build,
        account: m.from,
        element,
        grade,
        qty: m.qty + (sums.get(key)?.qty ?? 0),
      });
    }
  }
  return [...sums.values()];
}

/** Puts builds in an order of claims: the first has own parts first. */
export const rankBuilds = (ranks: readonly ClaimRank[], order: readonly BuildId[]): Command => ({
  label: 'order the builds',
  diff: joinDiffs(
    ...order.map((id, rank) =>
      written(
        'claimRank',
        ranks.find((r) => r.id === id),
        { id, rank },
      ),
    ),
  ),
});

/**
 * Builds in the order in which they have own parts: by rank, then those never ranked, the older first: what is new to
 * the workbench takes nothing from a build that somebody put in its place. Archived ones have none.
 */
export function orderOfBuilds(
  builds: readonly Build[],
  rankOf: (build: BuildId) => number | undefined,
): Build[] {
  const rank = (b: Build) => rankOf(b.id) ?? Number.MAX_SAFE_INTEGER;
  return builds
    .filter((b) => !b.archived)
    .sort((a, b) => rank(a) - rank(b) || a.createdAt.localeCompare(b.createdAt) || a.id.localeCompare(b.id));
}

/** The claims of builds that come before one, in an order of builds. */
export function claimsIn(claims: readonly Claim[], order: readonly BuildId[], before: BuildId): Claim[] {
  const ahead = new Set(order.slice(0, Math.max(0, order.indexOf(before))));
  return claims.filter((c) => ahead.has(c.build));
}

/** One build's part in a contested lot. */
export interface Share {
  readonly build: BuildId;
  readonly wants: number;
  readonly gets: number;
}

/** An element that several builds want more of than own parts hold, or just so. */
export interface Contest {
  readonly element: ElementKey;
  readonly there: number;
  readonly wanted: number;
  readonly shares: readonly Share[];
}

interface Held {
  readonly account: AccountKey;
  readonly element: ElementKey;
  readonly grade: Grade;
  readonly qty: number;
}

/**
 * Gives own parts out to builds in their order: the first gets all it wants while there is any, then the next. Pieces,
 * element by element over all trays and grades.
 */
export function shareOut(
  rows: readonly Held[],
  claims: readonly Claim[],
  order: readonly BuildId[],
): Contest[] {
  const there = new Map<ElementKey, number>();
  for (const r of rows) there.set(r.element, (there.get(r.element) ?? 0) + r.qty);
  const wants = new Map<ElementKey, Map<BuildId, number>>();
  for (const c of claims) {
    const of = wants.get(c.element) ?? new Map<BuildId, number>();
    of.set(c.build, (of.get(c.build) ?? 0) + c.qty);
    wants.set(c.element, of);
  }
  const rank = (b: BuildId) => (order.includes(b) ? order.indexOf(b) : order.length);
  return [...wants].map(([element, of]) => {
    let left = Math.max(0, there.get(element) ?? 0);
    const shares = [...of]
      .sort((a, b) => rank(a[0]) - rank(b[0]))
      .map(([build, n]): Share => {
        const gets = Math.min(left, n);
        left -= gets;
        return { build, wants: n, gets };
      });
    const wanted = shares.reduce((s, x) => s + x.wants, 0);
    return { element, there: there.get(element) ?? 0, wanted, shares };
  });
}

/** Of those, the elements that two builds or more want and that do not suffice. */
export const contested = (contests: readonly Contest[]): Contest[] =>
  contests.filter((c) => c.shares.length > 1 && c.wanted > c.there);
