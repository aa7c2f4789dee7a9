import type { Compiled } from './compile';

/**
 * How much of each lot can be had at all, with every seller and every donor bought out: a largest flow from elements to
 * lots (Ford and Fulkerson 1956), by augmenting paths over the few elements that several lots share.
 */
export function reachableNeed(c: Compiled): Int32Array {
  const supply = new Float64Array(c.elements);
  for (let o = 0; o < c.offers; o++) supply[c.offerElement[o]!]! += c.offerCap[o]!;
  c.donorYields.forEach((ys, d) => ys.forEach(([e, qty]) => (supply[e]! += qty * c.donorMax[d]!)));
  const given = new Map<string, number>();
  const met = new Int32Array(c.lots);
  const key = (e: number, l: number) => `${e} ${l}`;
  const flow = (e: number, l: number) => given.get(key(e, l)) ?? 0;
  /** Finds pieces for a lot: out of what is left of an element, or by moving another lot to another element. */
  const push = (lot: number, wanted: number, seen: Set<number>): number => {
    let got = 0;
    for (const e of c.accepts[lot]!) {
      if (got >= wanted) return got;
      const n = Math.min(wanted - got, supply[e]!);
      if (n > 0) {
        supply[e]! -= n;
        given.set(key(e, lot), flow(e, lot) + n);
        got += n;
      }
    }
    for (const e of c.accepts[lot]!) {
      if (got >= wanted) return got;
      if (seen.has(e)) continue;
      seen.add(e);
      for (const other of c.acceptedBy[e]!) {
        if (other === lot || flow(e, other) === 0 || got >= wanted) continue;
        const moved = push(other, Math.min(wanted - got, flow(e, other)), seen);
        if (moved === 0) continue;
        given.set(key(e, other), flow(e, other) - moved);
        given.set(key(e, lot), flow(e, lot) + moved);
        got += moved;
      }
    }
    return got;
  };
  for (let lot = 0; lot < c.lots; lot++) met[lot] = push(lot, c.need[lot]!, new Set());
  return met;
}
