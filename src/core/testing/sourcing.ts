import { between, pick, seededRandom } from '../shared/random';
import {
  planOf,
  type Compiled,
  type BuyingPlan,
  type Problem,
  type ProblemId,
  type Saved,
} from '../sourcing';

/**
 * Checks a plan against its problem without a line of the solver's: every limit kept, every penny added, every piece
 * served. Gives what is wrong; nothing when all is right.
 */
export function faultsOf(problem: Problem, plan: BuyingPlan): string[] {
  const faults: string[] = [];
  const grams = new Map(problem.elements.map((e) => [e.id, e.grams]));
  const supply = new Map<ProblemId, number>();
  const add = (element: ProblemId, qty: number) => supply.set(element, (supply.get(element) ?? 0) + qty);
  let cost = 0;
  const bySeller = new Map<ProblemId, BuyingPlan['buys'][number][]>();
  for (const b of plan.buys) bySeller.set(b.seller, [...(bySeller.get(b.seller) ?? []), b]);
  for (const [id, buys] of bySeller) {
    const seller = problem.sellers.find((s) => s.id === id);
    if (!seller) {
      faults.push(`no seller ${id}`);
      continue;
    }
    let [value, weight] = [0, 0];
    if (new Set(buys.map((b) => b.element)).size < buys.length) faults.push(`${id}: an element stands twice`);
    for (const b of buys) {
      const offer = seller.offers.find((o) => o.element === b.element);
      if (!offer) faults.push(`${id} has no ${b.element}`);
      else {
        if (b.qty > offer.stock) faults.push(`${id}: ${b.qty} of ${offer.stock} ${b.element}`);
        if (b.qty < offer.minQty) faults.push(`${id}: ${b.qty} ${b.element} is below ${offer.minQty}`);
        if (b.qty % offer.multiple !== 0)
          faults.push(`${id}: ${b.qty} ${b.element} not in ${offer.multiple}s`);
        value += b.qty * offer.price;
      }
      if (!Number.isInteger(b.qty) || b.qty <= 0) faults.push(`${id}: ${b.qty} pieces`);
      weight += b.qty * (grams.get(b.element) ?? 0);
      add(b.element, b.qty);
    }
    const band = seller.postage.find((p) => weight <= p.maxGrams + 1e-9);
    if (!band) faults.push(`${id}: no postage for ${weight} g`);
    cost += Math.max(value, seller.minOrder) + (band?.pence ?? 0);
  }
  if (problem.maxSellers !== null && bySeller.size > problem.maxSellers)
    faults.push(`${bySeller.size} parcels`);
  for (const d of plan.donors) {
    const donor = problem.donors.find((x) => x.id === d.id);
    if (!donor || d.copies > donor.maxCopies) faults.push(`donor ${d.id}: ${d.copies} copies`);
    else {
      cost += d.copies * donor.price;
      for (const y of donor.yields) add(y.element, y.qty * d.copies);
    }
  }
  if (cost !== plan.cost) faults.push(`costs ${cost}, says ${plan.cost}`);
  if (plan.floor > plan.cost) faults.push(`floor ${plan.floor} above cost ${plan.cost}`);
  const unmet = new Map(plan.unmet.map((u) => [u.lot, u.qty]));
  const short = unserved(problem, supply, unmet);
  if (short > 0) faults.push(`${short} pieces that it calls met are not there`);
  return faults;
}

/** What is wrong with a plan as a search has put it away. */
export const faultsIn = (c: Compiled, problem: Problem, saved: Saved): string[] =>
  faultsOf(
    problem,
    planOf(c, problem, saved, {
      status: 'bestSoFar',
      floor: 0,
      byHand: { cheapestEach: 0, fewestSellers: 0 },
    }),
  );

/** Pieces that lots should have (their need less what is told as unmet) and that no supply can give them. */
function unserved(
  problem: Problem,
  supply: ReadonlyMap<ProblemId, number>,
  unmet: ReadonlyMap<ProblemId, number>,
): number {
  const left = new Map(supply);
  const given = new Map<ProblemId, Map<ProblemId, number>>();
  const serve = (lot: ProblemId, seen: Set<ProblemId>): boolean => {
    for (const e of problem.lots.find((l) => l.id === lot)?.accept ?? []) {
      if (seen.has(e)) continue;
      seen.add(e);
      const holders = given.get(e) ?? new Map<ProblemId, number>();
      given.set(e, holders);
      const spare = (left.get(e) ?? 0) > 0;
      const mover = spare ? null : [...holders].find(([l, n]) => n > 0 && l !== lot && serve(l, seen))?.[0];
      if (!spare && mover === undefined) continue;
      if (spare) left.set(e, (left.get(e) ?? 0) - 1);
      else if (mover !== undefined && mover !== null) holders.set(mover, (holders.get(mover) ?? 0) - 1);
      holders.set(lot, (holders.get(lot) ?? 0) + 1);
      return true;
    }
    return false;
  };
  let short = 0;
  for (const l of problem.lots)
    for (let n = l.qty - (unmet.get(l.id) ?? 0); n > 0; n--) if (!serve(l.id, new Set())) short++;
  return short;
}

/** A problem from a seed, with everything in it that one can have. */
export function randomProblem(seed: number, lots: number, sellers: number): Problem {
  const random = seededRandom(seed);
  const elements = Array.from({ length: lots + Math.ceil(lots / 3) }, (_, i) => ({
    id: `e${i}`,
    part: `part ${i}`,
    colour: 'ash',
    grams: between(random, 1, 60) / 10,
  }));
  return {
    schema: 'makeup/1',
    name: `random ${seed}`,
    elements,
    lots: Array.from({ length: lots }, (_, i) => ({
      id: `l${i}`,
      qty: between(random, 1, 30),
      accept: [`e${i}`, ...(random() < 0.3 ? [pick(random, elements).id] : [])],
    })),
    sellers: Array.from({ length: sellers }, (_, s) => ({
      id: `s${s}`,
      minOrder: pick(random, [0, 0, 200, 500]),
      postage: [
        { maxGrams: 100, pence: between(random, 120, 260) },
        { maxGrams: 1000, pence: between(random, 300, 500) },
        { maxGrams: 1e6, pence: 2000 },
      ],
      offers: elements
        .filter(() => random() < 0.5)
        .map(({ id }) => {
          const multiple = pick(random, [1, 1, 1, 2, 5]);
          return {
            element: id,
            price: between(random, 1, 30),
            stock: between(random, 1, 60),
            minQty: multiple * pick(random, [1, 1, 2]),
            multiple,
          };
        }),
    })),
    donors: [0, 1].map((d) => ({
      id: `d${d}`,
      price: between(random, 100, 900),
      maxCopies: 2,
      yields: elements
        .filter(() => random() < 0.4)
        .map(({ id }) => ({ element: id, qty: between(random, 1, 12) })),
    })),
    maxSellers: random() < 0.3 ? between(random, 2, 4) : null,
  };
}
