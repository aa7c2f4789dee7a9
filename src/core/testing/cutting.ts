import { between, pick, seededRandom } from '../shared/random';
import type { CutProblem } from '../stickers/cutting';

const COLOURS: readonly (readonly [number, number, number])[] = [
  [38, 48, 22],
  [24, 2, -30],
  [62, -28, 30],
  [88, 1, 9],
];

export interface CutSize {
  readonly colours: number;
  readonly fields: number;
  readonly kinds: number;
  readonly count: number;
  /** Sides in whole millimetres, which makes ties likely; tenths otherwise. */
  readonly whole?: boolean;
  /** Share of the strips that must come from one field each; none otherwise. */
  readonly oneField?: number;
}

/** Left-over fields and wanted strips in a few colours that differ a little within each. */
export function randomCut(seed: number, size: CutSize): CutProblem {
  const random = seededRandom(seed);
  const mm = (low: number, high: number) =>
    size.whole ? between(random, low, high) : between(random, low * 10, high * 10) / 10;
  const lab = (): [number, number, number] => {
    const [l, a, b] = pick(random, COLOURS.slice(0, size.colours));
    const near = (v: number) => Math.round((v + (random() - 0.5) * 3) * 10) / 10;
    return [near(l), near(a), near(b)];
  };
  return {
    kerf: pick(random, [0, 0.2, 0.3, 1]),
    margin: pick(random, [0, 0.5, 1]),
    tolerance: pick(random, [1.5, 3, 5]),
    fields: Array.from({ length: size.fields }, (_, i) => ({
      id: `scrap ${i + 1}`,
      w: mm(18, 90),
      h: mm(9, 40),
      lab: lab(),
    })),
    strips: Array.from({ length: size.kinds }, (_, i) => ({
      id: `band ${i + 1}`,
      w: mm(2, 9),
      l: mm(8, 70),
      count: between(random, 1, size.count),
      lab: lab(),
      ...(size.oneField !== undefined && random() < size.oneField ? { oneField: true } : {}),
    })),
  };
}
