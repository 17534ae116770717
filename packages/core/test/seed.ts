import fc from 'fast-check';
import { isLong } from './runs.ts';

/**
 * One seed for all generated tests, so that a run says the same everywhere; a new one each time with --long, which
 * searches elsewhere. It is told, and `SEED=…` takes it again.
 */
const seed = Number(process.env.SEED ?? (isLong ? Date.now() % 2 ** 31 : 20_261_125));
if (isLong) console.log(`seed of the generated tests: ${seed}`);
fc.configureGlobal({ seed });
