import { proposeSystems } from '../src/edits/rounds/propose-systems.ts';
import { drain } from '../src/in-parts/drain.ts';
import { LARGEST } from './largest-document.ts';
import { reportShare, timeOf } from './report.ts';

// A round of nine over the largest project: 64 families, one of them kept.
const [first, ...others] = LARGEST.families;
const roundOf = (seed: number) => ({
  id: 'r',
  seed,
  count: 66,
  stray: 0.6,
  kept: [first!.base],
  free: others.map(({ id, base }) => ({ family: id, base })),
  way: 'fresh' as const,
  of: [],
});
let seed = 0;
let made = 0;
const ms = timeOf(() => {
  made = drain(proposeSystems(LARGEST, roundOf(seed++), 9)).length;
}, 5);
if (made !== 9) throw new Error(`Only ${made} proposals were made.`);
reportShare('a round of nine proposals for the largest project, each with its readout', ms, 1000, 'ms');
