import { useCallback, useEffect, useState } from 'react';
import { JobCalledOff } from './job.ts';
import type { InputOf, JobName, OutputOf } from './job-list.ts';
import { runJob } from './run-job.ts';

export interface JobState<Output> {
  /** The last result; it stays while the next is on its way. */
  readonly result: Output | null;
  readonly busy: boolean;
  /** 0–1. */
  readonly progress: number;
  /** Why there is no newer result, in words. */
  readonly fault: string | null;
  readonly again: () => void;
}

/**
 * Runs a job whenever its input changes (by identity); an input of null needs none. The latest input wins, and what
 * still runs when the view is left is called off.
 */
export function useJob<N extends JobName>(name: N, input: InputOf<N> | null): JobState<OutputOf<N>> {
  const [done, setDone] = useState<{ input: InputOf<N>; result: OutputOf<N> } | null>(null);
  const [failed, setFailed] = useState<{ input: InputOf<N>; fault: string } | null>(null);
  const [progress, setProgress] = useState(0);
  const [tries, setTries] = useState(0);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another try of the same input
  useEffect(() => {
    if (input === null) return;
    const leave = new AbortController();
    setFailed(null);
    setProgress(0);
    runJob(name, input, { signal: leave.signal, onProgress: setProgress }).then(
      (result) => setDone({ input, result }),
      (error: Error) => {
        if (!(error instanceof JobCalledOff)) setFailed({ input, fault: error.message });
      },
    );
    return () => leave.abort();
  }, [name, input, tries]);
  const again = useCallback(() => setTries((n) => n + 1), []);
  const fault = failed && failed.input === input ? failed.fault : null;
  return {
    result: done?.result ?? null,
    busy: input !== null && done?.input !== input && fault === null,
    progress,
    fault,
    again,
  };
}
