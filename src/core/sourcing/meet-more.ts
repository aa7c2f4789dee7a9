import type { State } from './state';

/** How a lot was come to on a way: the lot before takes this source's pieces from it. */
interface Came {
  readonly from: number;
  readonly source: number;
}

/**
 * Meets what is still open and can be met, however that costs: where all sources of a lot are taken, another lot gives its
 * pieces up and takes from elsewhere, and so forth, by augmenting paths (Ford and Fulkerson 1956). Sellers are opened and
 * boxes bought for it. Gives how many pieces more are met.
 */
export function meetMore(state: State): number {
  const before = state.unmet;
  for (let lot = 0; lot < state.c.lots; lot++)
    while (state.open[lot]! > 0 && augment(state, lot)) {
      // Each way brings some pieces; more may need another.
    }
  return before - state.unmet;
}

function augment(state: State, lot: number): boolean {
  const { c } = state;
  const came = new Map<number, Came | null>([[lot, null]]);
  const queue = [lot];
  for (const at of queue) {
    const source = freeSource(state, at);
    if (source !== null) {
      shift(state, at, source, came, lot);
      return true;
    }
    for (const e of c.accepts[at]!)
      for (const other of c.acceptedBy[e]!) {
        if (came.has(other)) continue;
        const held = state.from[other]!.rows().find(([s]) => (s < 0 ? -1 - s : c.offerElement[s]) === e)?.[0];
        if (held === undefined) continue;
        came.set(other, { from: at, source: held });
        queue.push(other);
      }
  }
  return false;
}

/** A source with room that a lot accepts: pieces of boxes that are there, an offer, or one more copy of a box. */
function freeSource(state: State, lot: number): number | null {
  const { c } = state;
  for (const e of c.accepts[lot]!) if (state.donorThere[e]! > state.donorTaken[e]!) return -1 - e;
  for (const o of c.offersOfLot[lot]!) {
    const s = c.offerSeller[o]!;
    if ((state.active[s]! > 0 || state.parcels < c.maxSellers) && state.room(o) > 0) return o;
  }
  for (let d = 0; d < c.donorYields.length; d++) {
    if (state.copies[d]! >= c.donorMax[d]!) continue;
    const yields = c.donorYields[d]!.find(([e, qty]) => qty > 0 && c.accepts[lot]!.includes(e));
    if (!yields) continue;
    state.setCopies(d, 1);
    return -1 - yields[0];
  }
  return null;
}

/** Passes as many pieces along a way as all of it can: the last lot takes from the free source, each gives its own on. */
function shift(
  state: State,
  last: number,
  source: number,
  came: ReadonlyMap<number, Came | null>,
  first: number,
): void {
  const room =
    source < 0 ? state.donorThere[-1 - source]! - state.donorTaken[-1 - source]! : state.room(source);
  let n = Math.min(state.open[first]!, room);
  for (let at = last, step = came.get(at); step; at = step.from, step = came.get(at))
    n = Math.min(n, state.from[at]!.get(step.source));
  let takes = source;
  for (let at = last, step = came.get(at); ; at = step.from, step = came.get(at)) {
    if (step) state.give(at, step.source, -n);
    state.give(at, takes, n);
    if (!step) return;
    takes = step.source;
  }
}
