/**
 * What one stud holds, N, between a worn one and a tight one. A rule of the thumb, from pulling plates off by a spring
 * balance: it varies by part, age and how squarely one pulls. Sums that must hold take the lower, sums that must come off
 * the upper.
 */
export const GRIP = { least: 1, most: 3 } as const;

/** Weight of a gram, N. */
export const NEWTONS = 9.81e-3;

/** What a person lifts off with two hands without fear for the model, N. */
export const LIFT = 40;
