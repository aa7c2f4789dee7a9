import type { Compiled } from './compile';

/**
 * How much of each lot is available at all, with every seller and every donor bought out, weights and the number of
 * parcels left aside: a largest flow from elements to lots by blocking flows over shortest paths (Dinitz 1970). No call
 * goes deeper than one level, however the lots share their elements.
 */
export function reachableNeed(c: Compiled): Int32Array {
  const network = new Network(c.elements + c.lots + 2);
  const [source, sink] = [c.elements + c.lots, c.elements + c.lots + 1];
  const supply = new Float64Array(c.elements);
  for (let o = 0; o < c.offers; o++) supply[c.offerElement[o]!]! += c.offerCap[o]!;
  c.donorYields.forEach((ys, d) => ys.forEach(([e, qty]) => (supply[e]! += qty * c.donorMax[d]!)));
  supply.forEach((n, e) => n > 0 && network.edge(source, e, n));
  const into = Array.from({ length: c.lots }, (_, lot) => network.edge(c.elements + lot, sink, c.need[lot]!));
  c.accepts.forEach((es, lot) =>
    es.forEach((e) => supply[e]! > 0 && network.edge(e, c.elements + lot, c.need[lot]!)),
  );
  network.saturate(source, sink);
  return Int32Array.from(into, (edge, lot) => c.need[lot]! - network.left[edge]!);
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

  saturate(source: number, sink: number): void {
    for (let level = this.levels(source); level[sink]! >= 0; level = this.levels(source))
      this.blockingFlow(source, sink, level);
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
  private blockingFlow(source: number, sink: number, level: Int32Array): void {
    const at = new Int32Array(this.edgesOf.length);
    const path: number[] = [];
    for (let node = source; ;) {
      if (node === sink) {
        const narrow = path.reduce((n, edge) => Math.min(n, this.left[edge]!), Infinity);
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
      } else if (node === source) return;
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
