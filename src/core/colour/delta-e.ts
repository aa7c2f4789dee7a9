import { differenceCiede2000 } from 'culori/fn';
import type { LabD65 } from './colour';

/** How far two colours look apart. Not a metric: the triangle inequality does not hold. */
export type ColourDifference = (reference: LabD65, sample: LabD65) => number;

const ciede2000 = differenceCiede2000();

/** ΔE00 after Sharma, Wu and Dalal (2005), in Lab under D65, with unit weights. */
export const deltaE00: ColourDifference = (reference, sample) =>
  ciede2000(
    { mode: 'lab65', l: reference.l, a: reference.a, b: reference.b },
    { mode: 'lab65', l: sample.l, a: sample.a, b: sample.b },
  );
