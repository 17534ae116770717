/** Milliseconds that a run takes: the least of several, after one to warm up. */
export function timeOf(run: () => unknown, times = 7): number {
  run();
  let best = Number.POSITIVE_INFINITY;
  for (let i = 0; i < times; i++) {
    const start = performance.now();
    run();
    best = Math.min(best, performance.now() - start);
  }
  return best;
}

/** Prints a figure against its baseline: how many times as fast, and whether that is as wanted. */
export function reportRatio(
  name: string,
  ours: number,
  baseline: number,
  baselineName: string,
  wanted: number,
): void {
  const ratio = baseline / ours;
  const verdict = ratio >= wanted ? 'holds' : 'DOES NOT HOLD';
  console.log(
    `${name}: ${ours.toFixed(3)} ms, ${baselineName} ${baseline.toFixed(3)} ms: ${ratio.toFixed(2)} times as fast (wanted ${wanted}): ${verdict}`,
  );
}

/** Prints a figure against a limit in the same unit, as the share of the limit that it takes. */
export function reportShare(name: string, figure: number, limit: number, unit: string): void {
  const verdict = figure <= limit ? 'holds' : 'DOES NOT HOLD';
  console.log(
    `${name}: ${figure.toFixed(2)} ${unit}, ${(figure / limit).toFixed(2)} of ${limit} ${unit}: ${verdict}`,
  );
}
