/** Bounds of a cutting problem: more than anybody has on a table. */
export const CUT = { fields: 400, strips: 400, count: 200, pieces: 1000, mm: 2000, seconds: 300 } as const;
