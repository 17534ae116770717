import { type Remote, wrap } from 'comlink';
import { lineIsCostly } from '../fetching/line.ts';
import type { PixelWorkerApi } from './pixel-worker.ts';

/** A worker that can hold a picture's pixels, and what is asked of it. */
export interface PixelWorker {
  readonly worker: Worker;
  readonly remote: Remote<PixelWorkerApi>;
}

/** How long one that nobody has taken is kept, ms. */
const KEPT_MS = 120_000;

let ahead: PixelWorker | null = null;
let timer = 0;

function start(): PixelWorker {
  const worker = new Worker(new URL('./pixel-worker.ts', import.meta.url), { type: 'module' });
  return { worker, remote: wrap<PixelWorkerApi>(worker) };
}

function end(): void {
  ahead?.worker.terminate();
  ahead = null;
}

/** Starts a worker before it is needed, where that burdens nobody: once it has worked, it works several times as fast. */
export function startAhead(): void {
  if (lineIsCostly()) return;
  clearTimeout(timer);
  timer = window.setTimeout(end, KEPT_MS);
  if (ahead) return;
  ahead = start();
  // One that cannot be had now is had when it is needed, or says then why not.
  ahead.worker.addEventListener('error', end);
  void ahead.remote.warmUp();
}

/** The worker that was started ahead, or a new one. */
export function takeWorker(): PixelWorker {
  if (!ahead) return start();
  const taken = ahead;
  ahead = null;
  clearTimeout(timer);
  taken.worker.removeEventListener('error', end);
  return taken;
}
