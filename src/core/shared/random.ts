/** A source of numbers in [0, 1). Comes in as an argument wherever chance is needed. */
export type Random = () => number;

/** Mulberry32 (T. Ettinger, public domain): small, fast, and the same on every machine for the same seed. */
export function seededRandom(seed: number): Random {
  // Signed throughout: what is above half of 32 bits would be a number of its own on the heap at every call.
  let state = seed | 0;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** A whole number from `low` to `high`, both included. */
export const between = (random: Random, low: number, high: number): number =>
  low + Math.floor(random() * (high - low + 1));

/** One of `choices`, evenly. */
export function pick<T>(random: Random, choices: readonly T[]): T {
  const chosen = choices[Math.floor(random() * choices.length)];
  if (chosen === undefined) throw new Error('nothing to pick from');
  return chosen;
}
