import fc from 'fast-check';

/** One seed for all generated tests, so that a run says the same everywhere; vitest.config.ts draws another for long ones. */
fc.configureGlobal({ seed: Number(process.env.SEED ?? 20_261_125) });
