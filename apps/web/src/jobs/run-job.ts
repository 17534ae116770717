import { transfer as handOver, proxy, type Remote, wrap } from 'comlink';
import type { InputOf, JobName, OutputOf } from './job-list.ts';
import type { JobWorkerApi } from './job-worker.ts';
import { KEPT_DOCUMENT } from './kept-document.ts';
import { JobPool, type PoolWorker, type RunOptions } from './pool.ts';

const broken = (message: string) => Object.assign(new Error(message), { name: 'WorkerBroken' });

function createWorker(): PoolWorker {
  const worker = new Worker(new URL('./job-worker.ts', import.meta.url), { type: 'module' });
  const remote: Remote<JobWorkerApi> = wrap<JobWorkerApi>(worker);
  const failed = new Promise<never>((_, reject) => {
    worker.addEventListener('error', (event) => reject(broken(event.message || 'A worker broke down.')));
    worker.addEventListener('messageerror', () => reject(broken('A worker was sent what it cannot read.')));
  });
  // It may break down while nobody waits for it.
  failed.catch(() => {});
  let known: unknown = null;
  /** An input without the document that the worker has from the job before: large ones take long to be copied. */
  const withoutKnown = (input: unknown): unknown => {
    if (typeof input !== 'object' || input === null || !('document' in input)) return input;
    const { document } = input;
    if (document === known) return { ...input, document: KEPT_DOCUMENT };
    known = document;
    return input;
  };
  return {
    ready: remote.ready(),
    load: (name) => remote.load(name as JobName | undefined),
    broken: failed,
    run: (name, input, transfer, onProgress) =>
      remote.run(
        name as JobName,
        transfer.length ? handOver(input as object, [...transfer]) : withoutKnown(input),
        proxy(onProgress),
      ),
    callOff: () => void remote.callOff(),
    terminate: () => worker.terminate(),
  };
}

// One core is left to the page: its frames come before any job.
const pool = new JobPool({ size: Math.max(1, (navigator.hardwareConcurrency || 2) - 1), createWorker });

/**
 * Runs a named job in a worker. Rejects with a JobError, whose message is for people, or with JobCalledOff.
 *
 * @example const { found } = await runJob('findColors', text, { lane: 'gather' });
 */
export const runJob = <N extends JobName>(
  name: N,
  input: InputOf<N>,
  options?: RunOptions,
): Promise<OutputOf<N>> => pool.run(name, input, options) as Promise<OutputOf<N>>;

/** Has a worker ready with every job loaded into it: then they run also when the server is away. */
export const loadJobsAhead = (): Promise<void> => pool.warm();

/** Has a worker ready for a job that will be run in a moment. */
export const expectJob = (name: JobName): Promise<void> => pool.warm(name);
