import { type ChildProcess, fork } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { ApiError } from '../errors.ts';
import type { JobList, JobName } from './job-list.ts';
import type { JobAnswer, JobMessage } from './job-messages.ts';

export interface LaneLimits {
  /** Jobs that run side by side, each in a process of its own. */
  readonly processes: number;
  /** Jobs that may wait; one more is refused. */
  readonly waiting: number;
  /** ms that a job may take from when it has begun. */
  readonly patience: number;
  /** Bytes that its process may hold. */
  readonly memory: number;
}

/** What is told of a job that was given up. */
export interface LaneWords {
  readonly late: string;
  readonly large: string;
}

interface Waiting {
  readonly start: () => void;
  readonly leave: (why: unknown) => void;
}

/** How long a process may take to begin, ms: a new one has to start and to load what it needs. */
const START_MS = 20_000;
/** How often the memory of a process is looked at, ms. */
const LOOK_MS = 50;
/** A process with nothing to do is kept so long: starting one takes a quarter of a second. */
const IDLE_MS = 30_000;

// In development and tests the sources run as they are, by the loader that runs the server.
const isSource = import.meta.url.endsWith('.ts');
const SCRIPT = fileURLToPath(new URL(isSource ? './job-process.ts' : './job-process.js', import.meta.url));

/** Bytes that a process holds; 0 where the system does not tell. */
function memoryOf(pid: number): number {
  try {
    return Number(/^VmRSS:\s+(\d+) kB/m.exec(readFileSync(`/proc/${pid}/status`, 'latin1'))?.[1] ?? 0) * 1024;
  } catch {
    return 0;
  }
}

/**
 * A row of jobs of one kind. Each runs in a process apart from the server, so that nothing it does holds a request that
 * has nothing to do with it; and it is ended with its process when it takes too long, holds too much, or whoever asked
 * has gone.
 */
export class Lane {
  private readonly limits: LaneLimits;
  private readonly words: LaneWords;
  private readonly idle = new Map<ChildProcess, NodeJS.Timeout>();
  private readonly all = new Set<ChildProcess>();
  private readonly line: Waiting[] = [];
  private running = 0;
  private closed = false;

  constructor(limits: LaneLimits, words: LaneWords) {
    this.limits = limits;
    this.words = words;
  }

  /** Runs a job in its turn. Rejects with ApiError, with the signal's reason, or with a fault of our own. */
  async run<K extends JobName>(
    name: K,
    input: JobList[K]['input'],
    signal: AbortSignal,
  ): Promise<JobList[K]['output']> {
    await this.turn(signal);
    try {
      signal.throwIfAborted();
      return (await this.runIn(this.take(), { name, input }, signal)) as JobList[K]['output'];
    } finally {
      // Whoever is next takes the place over, so that nobody comes in between.
      const next = this.line.shift();
      if (next) next.start();
      else this.running -= 1;
    }
  }

  get counts(): { readonly running: number; readonly waiting: number } {
    return { running: this.running, waiting: this.line.length };
  }

  close(): void {
    this.closed = true;
    for (const child of this.all) child.kill('SIGKILL');
    for (const { leave } of this.line.splice(0)) leave(new Error('The server is being closed.'));
  }

  private async turn(signal: AbortSignal): Promise<void> {
    signal.throwIfAborted();
    if (this.closed) throw new Error('The server is being closed.');
    if (this.running < this.limits.processes) this.running += 1;
    else {
      if (this.line.length >= this.limits.waiting)
        throw new ApiError(
          'BUSY',
          'The server has its hands full with pictures just now. Try again shortly.',
        );
      await new Promise<void>((start, leave) => {
        const one: Waiting = { start, leave };
        this.line.push(one);
        signal.addEventListener(
          'abort',
          () => {
            const at = this.line.indexOf(one);
            if (at === -1) return;
            this.line.splice(at, 1);
            leave(signal.reason);
          },
          { once: true },
        );
      });
    }
  }

  /** A process with nothing to do, or a new one. */
  private take(): ChildProcess {
    for (const [child, timer] of this.idle) {
      clearTimeout(timer);
      this.idle.delete(child);
      if (child.connected) return child;
    }
    const child = fork(SCRIPT, {
      serialization: 'advanced',
      execArgv: isSource ? ['--import', 'tsx'] : [],
      stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
    });
    this.all.add(child);
    // Ending it may tell of an error that nobody waits for any more.
    child.on('error', () => {});
    child.once('exit', () => {
      this.all.delete(child);
      clearTimeout(this.idle.get(child));
      this.idle.delete(child);
    });
    return child;
  }

  private giveBack(child: ChildProcess): void {
    if (this.closed) child.kill('SIGKILL');
    if (!child.connected) return;
    const timer = setTimeout(() => child.kill('SIGKILL'), IDLE_MS);
    timer.unref();
    this.idle.set(child, timer);
  }

  private runIn(child: ChildProcess, message: JobMessage, signal: AbortSignal): Promise<unknown> {
    const { patience, memory } = this.limits;
    return new Promise((done, fail) => {
      /** Ends the process with the job in it. */
      const end = (why: unknown) => {
        leave();
        child.kill('SIGKILL');
        fail(why);
      };
      const giveUp = () => end(new ApiError('TOO_COSTLY', this.words.late, 'body'));
      let late = setTimeout(giveUp, Math.max(patience, START_MS));
      const look = setInterval(() => {
        if (memoryOf(child.pid!) > memory) end(new ApiError('TOO_COSTLY', this.words.large, 'body'));
      }, LOOK_MS);
      const onAbort = () => end(signal.reason);
      const onError = (error: Error) => end(error);
      const onExit = (code: number | null, by: string | null) =>
        end(new Error(`A process of ${message.name} ended by itself (${by ?? code}).`));
      const onMessage = (answer: JobAnswer) => {
        if (answer.kind === 'begun') {
          clearTimeout(late);
          late = setTimeout(giveUp, patience);
          return;
        }
        leave();
        this.giveBack(child);
        if (answer.kind === 'done') done(answer.output);
        else if (answer.kind === 'refused') fail(new ApiError(answer.code, answer.message, answer.path));
        else fail(new Error(`${message.name} failed: ${answer.why}`));
      };
      const leave = () => {
        clearTimeout(late);
        clearInterval(look);
        signal.removeEventListener('abort', onAbort);
        child.off('error', onError).off('exit', onExit).off('message', onMessage);
      };
      signal.addEventListener('abort', onAbort, { once: true });
      child.on('error', onError).on('exit', onExit).on('message', onMessage);
      child.send(message, (error) => {
        if (error) onError(error);
      });
    });
  }
}
