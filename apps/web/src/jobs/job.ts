/** What a job is given besides its input. */
export interface JobContext {
  /** Tells how far it is, 0–1. */
  progress(share: number): void;
  /**
   * Lets what was said to the worker meanwhile be heard; throws when the job has been called off. For long jobs, every
   * now and then.
   */
  yieldTurn(): Promise<void>;
}

/** Work off the page's thread: a function of its input and of nothing else. */
export type Job<Input, Output> = (input: Input, context: JobContext) => Output | Promise<Output>;

/** Why a job has no result, in words for people. */
export class JobError extends Error {
  override name = 'JobError';
}

/** A job that was called off, by hand or since a later one took its place. Nobody needs to be told. */
export class JobCalledOff extends Error {
  override name = 'JobCalledOff';
}
