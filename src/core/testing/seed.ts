import fc from 'fast-check';

/**
 * Property tests draw the same cases at every run, so that a red run can be run again. EVARN_SEED draws others; what
 * fails is printed with its seed, and belongs into the test by name.
 */
fc.configureGlobal({
  seed: Number(process.env.EVARN_SEED ?? 20261124),
  // A mutant is caught by the first cases or not at all.
  ...(process.env.MUTANTS ? { numRuns: 25 } : {}),
});
