import type { LabD65 } from './colour';
import { deltaE00 } from './delta-e';

/** What a colour difference is made of. Lab units, signed as sample less reference unless said otherwise. */
export interface DifferenceParts {
  /** ΔE00. */
  readonly deltaE: number;
  /** ΔL*: below zero is darker. */
  readonly lightness: number;
  /** Δb*: above zero is yellower. */
  readonly yellowing: number;
  /** C* lost: above zero is duller. */
  readonly chromaLoss: number;
  /** Share of the squared Lab difference that is yellowing, 0 to 1. */
  readonly yellowShare: number;
}

const chroma = (c: LabD65): number => Math.hypot(c.a, c.b);

/**
 * Splits the difference of an aged colour from the fresh one into yellowing, lightness and loss of chroma. Yellowing is
 * taken along b*, the direction in which aged ABS moves; its share is of the squared Euclidean Lab difference, since
 * ΔE00 has no parts that add up.
 */
export function splitDifference(fresh: LabD65, aged: LabD65): DifferenceParts {
  const [dl, da, db] = [aged.l - fresh.l, aged.a - fresh.a, aged.b - fresh.b];
  const square = dl * dl + da * da + db * db;
  return {
    deltaE: deltaE00(fresh, aged),
    lightness: dl,
    yellowing: db,
    chromaLoss: chroma(fresh) - chroma(aged),
    yellowShare: square > 0 && db > 0 ? (db * db) / square : 0,
  };
}
