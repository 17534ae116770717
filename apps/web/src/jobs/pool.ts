import { JobCalledOff, JobError } from './job.ts';

/** A worker as the pool sees it: it does one thing at a time. */
export interface PoolWorker {
  /** Resolves when its script runs; rejects when that could not be loaded. */
  readonly ready: Promise<unknown>;
  /** Loads a job into the worker, or every job where none is named. */
  load(name?: string): Promise<unknown>;
  /** Rejects when the worker breaks down; never resolves. */
  readonly broken: Promise<never>;
  run(
    name: string,
    input: unknown,
    transfer: readonly Transferable[],
    onProgress: (share: number) => void,
  ): Promise<unknown>;
  /** Asks the job that runs to stop; one that does not listen goes on. */
  callOff(): void;
  terminate(): void;
}

export interface RunOptions {
  /** Of the jobs in one lane only the latest counts: earlier ones are called off. */
  readonly lane?: string;
  /** 0–1. */
  readonly onProgress?: (share: number) => void;
  readonly signal?: AbortSignal;
  /** Parts of the input that are handed over instead of copied, such as pixels. */
  readonly transfer?: readonly Transferable[];
}

interface Entry {
  readonly name: string;
  readonly input: unknown;
  readonly options: RunOptions;
  readonly done: (result: unknown) => void;
  readonly fail: (reason: Error) => void;
  worker: PoolWorker | null;
  over: boolean;
}

export interface PoolOptions {
  readonly size: number;
  readonly createWorker: () => PoolWorker;
  /** How long a job that was called off may go on before its worker is given up, ms. */
  readonly graceMs?: number;
  /** Waits before a worker's script is loaded again, ms each. */
  readonly retryMs?: readonly number[];
}

const wait = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms));

/**
 * Runs jobs in as many workers as it is allowed, in the order in which they come. A worker is made when there is
 * work for it, kept for the next, and given up when it breaks down or does not stop.
 */
export class JobPool {
  private readonly options: Required<PoolOptions>;
  private readonly waiting: Entry[] = [];
  private readonly running = new Set<Entry>();
  private readonly idle: PoolWorker[] = [];
  /** One that is made before there is work for it; null while there is none. */
  private coming: Promise<void> | null = null;

  constructor(options: PoolOptions) {
    this.options = { graceMs: 250, retryMs: [300, 1000, 3000], ...options };
  }

  run(name: string, input: unknown, options: RunOptions = {}): Promise<unknown> {
    return new Promise((done, fail) => {
      const { lane, signal } = options;
      if (lane !== undefined)
        for (const other of [...this.waiting, ...this.running])
          if (other.options.lane === lane) this.callOff(other);
      const entry: Entry = { name, input, options, done, fail, worker: null, over: false };
      if (signal?.aborted) return fail(new JobCalledOff());
      signal?.addEventListener('abort', () => this.callOff(entry), { once: true });
      this.waiting.push(entry);
      this.next();
    });
  }

  /** Has an idle worker ready with a job loaded, or with all jobs where none is named, if that can be had now. */
  async warm(name?: string): Promise<void> {
    if (!this.idle.length) {
      // The job will have to wait for a worker that is there.
      if (name !== undefined && this.running.size >= this.options.size) return;
      this.coming ??= this.make().then((made) => {
        this.coming = null;
        if (made) this.idle.push(made);
      });
      await this.coming;
    }
    const worker = this.idle.at(-1);
    if (!worker) return;
    try {
      await Promise.race([worker.load(name), worker.broken]);
    } catch {
      // What could not be fetched stays missing in it.
      const at = this.idle.indexOf(worker);
      if (at === -1) return;
      this.idle.splice(at, 1);
      worker.terminate();
    }
  }

  /** A new worker whose script runs; null where that cannot be had. */
  private async make(): Promise<PoolWorker | null> {
    const worker = this.options.createWorker();
    try {
      await Promise.race([worker.ready, worker.broken]);
      return worker;
    } catch {
      worker.terminate();
      return null;
    }
  }

  private callOff(entry: Entry): void {
    if (entry.over) return;
    entry.over = true;
    entry.fail(new JobCalledOff());
    const at = this.waiting.indexOf(entry);
    if (at !== -1) this.waiting.splice(at, 1);
    const { worker } = entry;
    if (!worker) return;
    worker.callOff();
    // A job that does not listen is ended together with its worker, so that the next need not wait for it.
    setTimeout(() => {
      if (this.running.has(entry)) this.release(entry, false);
    }, this.options.graceMs);
  }

  private next(): void {
    while (this.waiting.length && this.running.size < this.options.size) {
      const entry = this.waiting.shift()!;
      this.running.add(entry);
      void this.start(entry);
    }
  }

  /** Frees the place of a job; its worker is kept for the next job, or ended. */
  private release(entry: Entry, keep: boolean): void {
    if (!this.running.delete(entry)) return;
    if (entry.worker && keep) this.idle.push(entry.worker);
    else entry.worker?.terminate();
    this.next();
  }

  /** A worker whose script runs. */
  private async workerFor(entry: Entry): Promise<PoolWorker> {
    await this.coming;
    const kept = this.idle.pop();
    if (kept) return kept;
    for (const pause of [0, ...this.options.retryMs]) {
      if (pause) await wait(pause);
      if (entry.over) throw new JobCalledOff();
      const worker = await this.make();
      if (worker) return worker;
    }
    throw new JobError(
      'The part of Mint Lamp that does this could not be loaded. Is the server there? Try again.',
    );
  }

  private async attempt(entry: Entry): Promise<unknown> {
    const { name, input, options } = entry;
    const worker = await this.workerFor(entry);
    entry.worker = worker;
    if (entry.over) throw new JobCalledOff();
    const onProgress = (share: number) => {
      if (!entry.over) options.onProgress?.(share);
    };
    return Promise.race([worker.run(name, input, options.transfer ?? [], onProgress), worker.broken]);
  }

  private async start(entry: Entry): Promise<void> {
    const { retryMs } = this.options;
    for (let tries = 0; ; tries++) {
      try {
        const result = await this.attempt(entry);
        if (!entry.over) {
          entry.over = true;
          entry.done(result);
        }
        return this.release(entry, true);
      } catch (error) {
        const { name, message } = error as Error;
        const pause = retryMs[tries];
        // A part that could not be fetched is fetched again in a new worker; what was handed over cannot be again.
        if (name === 'LoadFailure' && pause !== undefined && !entry.options.transfer?.length && !entry.over) {
          entry.worker?.terminate();
          entry.worker = null;
          await wait(pause);
          continue;
        }
        if (!entry.over) {
          entry.over = true;
          entry.fail(error instanceof JobError ? error : new JobError(message));
        }
        // A job that throws leaves its worker whole; a worker that broke down is not used again.
        return this.release(entry, name !== 'LoadFailure' && name !== 'WorkerBroken');
      }
    }
  }
}
