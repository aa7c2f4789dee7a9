import { STUD, tenth, asBricksAndPlates } from './measures';

/** A figure of the usual kind: how tall it stands without a hat, and how tall the person is whom it stands for, mm. */
export const FIGURE_MM = 38.4;
export const PERSON_MM = 1700;

/** A real size in the model's own measures. */
export interface ModelSize {
  readonly mm: number;
  /** To half a stud. */
  readonly studs: number;
  readonly bricks: number;
  readonly plates: number;
  /** What half a stud's rounding is off by, mm. */
  readonly error: number;
}

/**
 * What a real length is at 1:n. Undefined for a scale of nothing.
 *
 * atScale(4200, 60) = 70 mm: 9 studs (72 mm, 2 over), 7 bricks
 */
export function atScale(realMm: number, n: number): ModelSize | undefined {
  if (!(n > 0) || !(realMm >= 0)) return undefined;
  const mm = realMm / n;
  const studs = Math.round((2 * mm) / STUD) / 2;
  const { bricks, plates } = asBricksAndPlates(mm + 1.6);
  return { mm: tenth(mm), studs, bricks, plates, error: tenth(studs * STUD - mm) };
}

/** The n of 1:n by something whose real size is known: a wheel, a door, a figure. Undefined for sizes of nothing. */
export const scaleFrom = (modelMm: number, realMm: number): number | undefined =>
  modelMm > 0 && realMm > 0 ? realMm / modelMm : undefined;

/** Sizes of a model that grows with its wheel: each by the same share, in whole studs and plates, and how far off that is. */
export interface Grown {
  readonly factor: number;
  readonly length: number;
  readonly width: number;
  /** Plates. */
  readonly height: number;
  /** The largest share by which a side is rounded off. */
  readonly off: number;
}

/**
 * What another wheel makes of a model: length and width in studs, height in plates. Widths keep odd or even, so that the
 * middle stays where it was.
 */
export function grownBy(
  wheel: number,
  next: number,
  size: { readonly length: number; readonly width: number; readonly height: number },
): Grown | undefined {
  if (!(wheel > 0) || !(next > 0)) return undefined;
  const factor = next / wheel;
  const sameParity = (n: number) => {
    const low = Math.floor(n);
    const [a, b] = (low - size.width) % 2 === 0 ? [low, low + 2] : [low - 1, low + 1];
    return Math.max(1, n - a <= b - n ? a : b);
  };
  const grown = {
    length: Math.max(1, Math.round(size.length * factor)),
    width: sameParity(size.width * factor),
    height: Math.max(1, Math.round(size.height * factor)),
  };
  const off = (['length', 'width', 'height'] as const).map((k) =>
    size[k] > 0 ? Math.abs(grown[k] / (size[k] * factor) - 1) : 0,
  );
  return { factor, ...grown, off: Math.max(...off) };
}
