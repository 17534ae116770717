/** What browsers that tell anything of it tell of the line. */
interface Connection {
  readonly saveData?: boolean;
  readonly effectiveType?: string;
}

const SLOW_TYPES = new Set(['slow-2g', '2g', '3g']);
/** Kilobytes a second below which a line is slow. */
const SLOW_KB_S = 50;
/** Bytes of a file from which on it tells how fast the line is. */
const TELLING = 30_000;

/** How fast the files of this page came, kB/s; null where they came from the browser's own store. */
function measuredSpeed(): number | null {
  const files = performance.getEntriesByType('resource') as PerformanceResourceTiming[];
  const told = files.filter(({ transferSize }) => transferSize > TELLING);
  if (!told.length) return null;
  return Math.max(
    ...told.map(({ transferSize, responseEnd, requestStart }) => transferSize / (responseEnd - requestStart)),
  );
}

/** Whether it would burden somebody to fetch what is not asked for: the line is slow, or data are to be saved. */
export function lineIsCostly(): boolean {
  const { connection } = navigator as { connection?: Connection };
  if (connection?.saveData || SLOW_TYPES.has(connection?.effectiveType ?? '')) return true;
  const speed = measuredSpeed();
  return speed !== null && speed < SLOW_KB_S;
}
