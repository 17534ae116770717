/** Whether benches only show that they run, as in `npm test`: each once and small, with no verdict on its figures. */
export const SMALL = typeof process !== 'undefined' && process.env.BENCH_SMALL === '1';

/** How many times something is done, or how large it is: as the figure asks for, or as it is enough for a run. */
export const sized = (full: number, small: number): number => (SMALL ? Math.min(full, small) : full);

/** Milliseconds that a run takes: the least of several, after one to warm up. */
export function timeOf(run: () => unknown, times = 7): number {
  if (!SMALL) run();
  let best = Number.POSITIVE_INFINITY;
  for (let i = 0; i < sized(times, 1); i++) {
    const start = performance.now();
    run();
    best = Math.min(best, performance.now() - start);
  }
  return best;
}

/** The median, or another share (0–1), of some values; of few, the nearest that there is. */
export function percentileOf(values: readonly number[], share: number): number {
  if (!values.length) throw new Error('Nothing was measured.');
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))]!;
}

/** Fails on a figure that cannot be: a duration or a size below nothing, or none at all. */
function checkFigure(name: string, figure: number): void {
  if (!Number.isFinite(figure) || figure < 0)
    throw new Error(`${name}: ${figure} cannot be; it was measured wrongly.`);
}

/** What is said of a figure; one that does not hold makes the bench end as failed, once all are told. */
function verdict(holds: boolean): string {
  if (SMALL) return 'ran';
  if (!holds && typeof process !== 'undefined') process.exitCode = 1;
  return holds ? 'holds' : 'DOES NOT HOLD';
}

/** Prints a figure against its baseline: how many times as fast, and whether that is as wanted. */
export function reportRatio(
  name: string,
  ours: number,
  baseline: number,
  baselineName: string,
  wanted: number,
): void {
  checkFigure(name, ours);
  checkFigure(baselineName, baseline);
  const ratio = baseline / ours;
  console.log(
    `${name}: ${ours.toFixed(3)} ms, ${baselineName} ${baseline.toFixed(3)} ms: ${ratio.toFixed(2)} times as fast (wanted ${wanted}): ${verdict(ratio >= wanted)}`,
  );
}

/** Prints a figure against a limit in the same unit, as the share of the limit that it takes. */
export function reportShare(name: string, figure: number, limit: number, unit: string): void {
  checkFigure(name, figure);
  console.log(
    `${name}: ${figure.toFixed(2)} ${unit}, ${(figure / limit).toFixed(2)} of ${limit} ${unit}: ${verdict(figure <= limit)}`,
  );
}
