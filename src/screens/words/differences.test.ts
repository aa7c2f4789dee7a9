import { describe, expect, it } from 'vitest';
import { differenceWords } from './colour';

describe('how far apart two colours are, in words before the measure', () => {
  it.each([
    [0, 'the same to the eye (ΔE 0.0)'],
    [0.99, 'the same to the eye (ΔE 1.0)'],
    [1, 'hardly different (ΔE 1.0)'],
    [2.5, 'slightly different (ΔE 2.5)'],
    [5, 'clearly different (ΔE 5.0)'],
    [10, 'very different (ΔE 10)'],
    [25.1, 'very different (ΔE 25)'],
  ])('%f', (deltaE, words) => expect(differenceWords(deltaE)).toBe(words));
});
