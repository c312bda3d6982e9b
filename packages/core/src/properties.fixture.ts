/**
 * How many cases a property is tried on: as many as are usual, or `PROPERTY_SIZE` times as many, as at night. The seed is another with each run of
 * the tests, which prints it; `PROPERTY_SEED` tries the same cases again.
 */
export const runs = (usual: number): { readonly numRuns: number } => ({
  numRuns: Math.round(usual * Number(process.env['PROPERTY_SIZE'] ?? 1)),
});
