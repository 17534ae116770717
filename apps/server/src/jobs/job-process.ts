import { ApiError } from '../errors.ts';
import { JOBS, type JobName } from './job-list.ts';
import type { JobAnswer, JobMessage } from './job-messages.ts';

/** The script of a process that runs jobs, one at a time, for as long as the server keeps it. */

async function answerOf({ name, input }: JobMessage): Promise<JobAnswer> {
  try {
    const job = (await JOBS[name as JobName]()) as (input: unknown) => Promise<unknown>;
    process.send!({ kind: 'begun' } satisfies JobAnswer);
    return { kind: 'done', output: await job(input) };
  } catch (error) {
    if (error instanceof ApiError) {
      const { code, message, path } = error;
      return { kind: 'refused', code, message, path };
    }
    return { kind: 'failed', why: error instanceof Error ? (error.stack ?? error.message) : String(error) };
  }
}

process.on('message', async (message: JobMessage) => {
  process.send!(await answerOf(message));
});
// The server is gone.
process.on('disconnect', () => process.exit());
