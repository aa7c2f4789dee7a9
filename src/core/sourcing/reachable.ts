import type { Compiled } from './compile';

/**
 * How much of each lot is available at all, with every seller and every donor bought out, weights and the number of
 * parcels left aside. Where lots share too few pieces this is one of several ways to divide them; a plan that meets as many
 * in all, divided otherwise, could meet these with what it buys (Mendelsohn and Dulmage 1958).
 */
export const reachableNeed = (c: Compiled): Int32Array => new Reach(c).need;

/**
 * What can be met with all that there is, and what would be lacking without some of it: a largest flow from elements to
 * lots by blocking flows over shortest paths (Dinitz 1970). No call goes deeper than one level, however the lots share their
 * elements.
 */
export class Reach {
  /** What can be met of each lot. */
  readonly need: Int32Array;
  private readonly network: Network;
  /** Of each element the edge that brings what there is of it, and the one that asks back what is taken away. */
  private readonly brings: Int32Array;
  private readonly asks: Int32Array;
  private readonly source: number;
  private readonly sink: number;
  private readonly asked: number;

  /** `wanted` are the pieces of each lot that are asked for. */
  constructor(c: Compiled, wanted: Int32Array = c.need) {
    const first = c.elements + c.lots;
    const [source, sink, asked] = [first, first + 1, first + 2];
    const network = new Network(first + 3);
    const supply = supplyOf(c);
    this.brings = Int32Array.from(supply, (n, e) => network.edge(source, e, n));
    this.asks = Int32Array.from(supply, (_, e) => network.edge(e, asked, 0));
    const into = Array.from({ length: c.lots }, (_, lot) =>
      network.edge(c.elements + lot, sink, wanted[lot]!),
    );
    c.accepts.forEach((es, lot) => es.forEach((e) => network.edge(e, c.elements + lot, wanted[lot]!)));
    network.saturate(source, sink);
    this.need = Int32Array.from(into, (edge, lot) => wanted[lot]! - network.left[edge]!);
    [this.network, this.source, this.sink, this.asked] = [network, source, sink, asked];
  }

  /** How many pieces can be met in all. */
  get total(): number {
    return totalOf(this.need);
  }

  /** How many pieces more can be met, in all, with so many pieces more of some elements. */
  gainWith(more: ReadonlyMap<number, number>): number {
    return this.trying((left) => {
      for (const [e, n] of more) left[this.brings[e]!]! += n;
      return this.network.saturate(this.source, this.sink);
    });
  }

  /** How many pieces fewer can be met, in all, with so many pieces less of some elements. */
  lackWithout(less: ReadonlyMap<number, number>): number {
    const { left } = this.network;
    let short = 0;
    for (const [e, n] of less) short += Math.max(0, n - left[this.brings[e]!]!);
    // What is taken away is more than is spare: the others are asked to send that much to where it went.
    if (short === 0) return 0;
    return this.trying(() => {
      for (const [e, n] of less) {
        const spare = left[this.brings[e]!]!;
        left[this.brings[e]!] = Math.max(0, spare - n);
        left[this.asks[e]!] = Math.max(0, n - spare);
      }
      return short - this.network.saturate(this.source, this.asked);
    });
  }

  /** Tries something, and leaves all as it was. */
  private trying(change: (left: number[]) => number): number {
    const { left } = this.network;
    const before = left.slice();
    const answer = change(left);
    for (let edge = 0; edge < before.length; edge++) left[edge] = before[edge]!;
    return answer;
  }
}

/** Pieces in all. */
export const totalOf = (pieces: Int32Array | readonly number[]): number => {
  let sum = 0;
  for (const n of pieces) sum += n;
  return sum;
};

/** Pieces that there are of each element, in offers and in boxes. */
function supplyOf(c: Compiled): Float64Array {
  const supply = new Float64Array(c.elements);
  for (let o = 0; o < c.offers; o++) supply[c.offerElement[o]!]! += c.offerCap[o]!;
  c.donorYields.forEach((ys, d) => ys.forEach(([e, qty]) => (supply[e]! += qty * c.donorMax[d]!)));
  return supply;
}

/** A flow network. Edges stand in pairs, an edge and its way back, so that `edge ^ 1` is the other one. */
class Network {
  /** What each edge can still carry. */
  readonly left: number[] = [];
  private readonly to: number[] = [];
  private readonly edgesOf: number[][];

  constructor(nodes: number) {
    this.edgesOf = Array.from({ length: nodes }, () => []);
  }

  edge(from: number, to: number, capacity: number): number {
    const edge = this.to.length;
    this.to.push(to, from);
    this.left.push(capacity, 0);
    this.edgesOf[from]!.push(edge);
    this.edgesOf[to]!.push(edge + 1);
    return edge;
  }

  /** Sends all that can be sent, and says how much that was. */
  saturate(source: number, sink: number): number {
    let sent = 0;
    for (let level = this.levels(source); level[sink]! >= 0; level = this.levels(source))
      sent += this.blockingFlow(source, sink, level);
    return sent;
  }

  /** How many edges each node is from the source; -1 = not reached. */
  private levels(source: number): Int32Array {
    const level = new Int32Array(this.edgesOf.length).fill(-1);
    level[source] = 0;
    const queue = [source];
    for (const node of queue)
      for (const edge of this.edgesOf[node]!) {
        const next = this.to[edge]!;
        if (this.left[edge]! <= 0 || level[next]! >= 0) continue;
        level[next] = level[node]! + 1;
        queue.push(next);
      }
    return level;
  }

  /** Walks from the source along edges that lead one level on, sends what the narrowest carries, steps back, goes on. */
  private blockingFlow(source: number, sink: number, level: Int32Array): number {
    let sent = 0;
    const at = new Int32Array(this.edgesOf.length);
    const path: number[] = [];
    for (let node = source; ;) {
      if (node === sink) {
        const narrow = path.reduce((n, edge) => Math.min(n, this.left[edge]!), Infinity);
        sent += narrow;
        for (const edge of path) {
          this.left[edge]! -= narrow;
          this.left[edge ^ 1]! += narrow;
        }
        const full = path.findIndex((edge) => this.left[edge] === 0);
        node = this.to[path[full]! ^ 1]!;
        path.length = full;
        continue;
      }
      const edges = this.edgesOf[node]!;
      while (at[node]! < edges.length && !this.leadsOn(edges[at[node]!]!, level[node]!, level)) at[node]!++;
      const edge = edges[at[node]!];
      if (edge !== undefined) {
        path.push(edge);
        node = this.to[edge]!;
      } else if (node === source) return sent;
      else {
        const last = path.pop()!;
        node = this.to[last ^ 1]!;
        at[node]!++;
      }
    }
  }

  private leadsOn(edge: number, level: number, levels: Int32Array): boolean {
    return this.left[edge]! > 0 && levels[this.to[edge]!] === level + 1;
  }
}
