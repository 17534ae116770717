/** How many times a generated test runs: as said in `npm test -- --long`, a tenth of it (at least 20) otherwise. */
export const runs = (whole: number): number =>
  process.env.LONG_TESTS ? whole : Math.max(20, Math.ceil(whole / 10));

/** Whether sweeps go over everything, or over a drawn sample. */
export const isLong = Boolean(process.env.LONG_TESTS);
