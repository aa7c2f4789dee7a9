import type { Compiled } from './compile';

/** So many of some sellers and boxes there must be: their weights, each as often as it is bought of, come to `least`. */
export interface Cover {
  readonly sellers: Weights;
  readonly boxes: Weights;
  readonly least: number;
}

interface Weights {
  readonly of: Int32Array;
  readonly weight: Float64Array;
}

/** What each seller, and each copy of a box, can give to a lot: no more than is needed of it. */
interface Supply {
  readonly need: number;
  readonly sellers: ReadonlyMap<number, number>;
  readonly boxes: ReadonlyMap<number, number>;
}

/** Sizes of supply that are tried as the step that is rounded to, by each of these parts. */
const MOST_SIZES = 12;
const PARTS = [1, 2, 3];
/** How far what is open must stay behind, and how far a need must be from a whole number of steps, to be worth a cover. */
const LEAST_BEHIND = 0.005;
const LEAST_FRACTION = 0.02;

/**
 * Finds covers: of a lot that needs 20 where each of three sellers has 8, not two and a half of them must be open but three.
 * The needs are rounded by mixed-integer rounding (Marchand and Wolsey 2001), each at the step at which what is open falls
 * shortest of it.
 */
export class CoverFinder {
  private readonly supplies: readonly Supply[];
  private readonly found = new Set<string>();

  constructor(c: Compiled, need: Int32Array) {
    this.supplies = suppliesOf(c, need);
  }

  /** New covers that `open`, the share of the time that each seller was open, and `copies` of the boxes violate. */
  violatedBy(open: Float64Array, copies: Float64Array): Cover[] {
    return this.supplies.flatMap((supply, lot) => {
      const step = mostViolated(supply, open, copies);
      if (step === null || this.found.has(`${lot} ${step}`)) return [];
      this.found.add(`${lot} ${step}`);
      return [coverAt(supply, step)];
    });
  }
}

function suppliesOf(c: Compiled, need: Int32Array): Supply[] {
  const boxes: Map<number, number>[] = Array.from({ length: c.lots }, () => new Map());
  const add = (to: Map<number, number>, key: number, qty: number, lot: number) =>
    to.set(key, Math.min(need[lot]!, (to.get(key) ?? 0) + qty));
  c.donorYields.forEach((yields, d) => {
    for (const [e, qty] of yields) for (const lot of c.acceptedBy[e]!) add(boxes[lot]!, d, qty, lot);
  });
  return c.offersOfLot.map((offers, lot) => {
    const sellers = new Map<number, number>();
    for (const o of offers) add(sellers, c.offerSeller[o]!, c.offerCap[o]!, lot);
    return { need: need[lot]!, sellers, boxes: boxes[lot]! };
  });
}

/** The step at which what is open stays furthest behind the rounded need, or null where it does nowhere. */
function mostViolated(supply: Supply, open: Float64Array, copies: Float64Array): number | null {
  if (supply.need === 0) return null;
  const sizes = [...new Set([...supply.sellers.values(), ...supply.boxes.values()])];
  const every = Math.ceil(sizes.length / MOST_SIZES);
  let [best, most]: [number | null, number] = [null, LEAST_BEHIND];
  for (let i = 0; i < sizes.length; i += every)
    for (const part of PARTS) {
      const step = sizes[i]! / part;
      const rounded = roundingAt(supply.need, step);
      if (rounded.fraction < LEAST_FRACTION) continue;
      let [sum, square] = [0, 0];
      const add = (size: number, times: number) => {
        const weight = rounded.weightOf(size);
        sum += weight * times;
        square += weight * weight;
      };
      for (const [s, size] of supply.sellers) add(size, open[s]!);
      for (const [d, size] of supply.boxes) add(size, copies[d]!);
      const behind = (rounded.least - sum) / Math.sqrt(square);
      if (behind > most) [best, most] = [step, behind];
    }
  return best;
}

function coverAt({ need, sellers, boxes }: Supply, step: number): Cover {
  const { least, weightOf } = roundingAt(need, step);
  const weights = (sizes: ReadonlyMap<number, number>): Weights => ({
    of: Int32Array.from(sizes.keys()),
    weight: Float64Array.from(sizes.values(), weightOf),
  });
  return { sellers: weights(sellers), boxes: weights(boxes), least };
}

/** Rounding of sizes and a need to steps: whole numbers of the sizes that meet the need have weights of at least `least`. */
export function roundingAt(
  need: number,
  step: number,
): { readonly least: number; readonly fraction: number; readonly weightOf: (size: number) => number } {
  const steps = need / step;
  const fraction = steps - Math.floor(steps + 1e-9);
  return {
    least: Math.ceil(steps - 1e-9),
    fraction,
    weightOf: (size) => {
      const whole = Math.floor(size / step + 1e-9);
      return whole + Math.min(1, Math.max(0, size / step - whole) / fraction);
    },
  };
}
