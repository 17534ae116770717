/** Waits before a part is fetched again, ms each; the last one again and again. */
const PAUSES_MS = [500, 1000, 2000, 4000];

/**
 * Fetches a part of the page until it is there. `onAway` is called when it could not be had, each time; `signal` ends
 * the tries, and the promise stays open then.
 */
export function fetchedPart<T>(load: () => Promise<T>, onAway: () => void, signal?: AbortSignal): Promise<T> {
  return new Promise((resolve) => {
    const attempt = (tries: number) => {
      if (signal?.aborted) return;
      load().then(resolve, () => {
        if (signal?.aborted) return;
        onAway();
        setTimeout(() => attempt(tries + 1), PAUSES_MS[Math.min(tries, PAUSES_MS.length - 1)]);
      });
    };
    attempt(0);
  });
}
