import { expose } from 'comlink';
import { type Job, JobCalledOff, type JobContext } from './job.ts';
import { JOBS, type JobName } from './job-list.ts';
import { DocumentKeeper } from './kept-document.ts';

/** The script of every worker of the pool. */

let calledOff = false;
const documents = new DocumentKeeper();

const yieldTurn = () => new Promise<void>((resolve) => setTimeout(resolve));

async function load(name: JobName): Promise<Job<unknown, unknown>> {
  try {
    return (await JOBS[name]()).default as Job<unknown, unknown>;
  } catch {
    // A part that could not be fetched stays missing in this worker; the pool takes another.
    throw Object.assign(new Error(`The part for ${name} could not be loaded.`), { name: 'LoadFailure' });
  }
}

const api = {
  ready: () => true,
  /** Loads a job that will be run in a moment, or every job, so that they run also when the server is away. */
  async load(name?: JobName): Promise<void> {
    await Promise.all((name ? [JOBS[name]] : Object.values(JOBS)).map((part) => part()));
  },
  async run(name: JobName, input: unknown, onProgress: (share: number) => void): Promise<unknown> {
    calledOff = false;
    const context: JobContext = {
      progress: onProgress,
      async yieldTurn() {
        await yieldTurn();
        if (calledOff) throw new JobCalledOff();
      },
    };
    const whole = documents.whole(input);
    const work = await load(name);
    return work(whole, context);
  },
  callOff() {
    calledOff = true;
  },
};
export type JobWorkerApi = typeof api;

expose(api);
