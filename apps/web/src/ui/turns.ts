/** How long it waits for the page to have nothing else to do, ms; what is being drawn goes first. */
const IDLE_WITHIN_MS = 250;

/** When the page has nothing else to do, or after a quarter of a second. */
export const yieldTurn = () =>
  new Promise<void>((resolve) => {
    if ('requestIdleCallback' in globalThis)
      requestIdleCallback(() => resolve(), { timeout: IDLE_WITHIN_MS });
    else setTimeout(resolve);
  });

/** Does what stops now and then for some milliseconds; what it comes to, or undefined where it is not done yet. */
export function forMs<T>(parts: Generator<void, T>, ms: number): { readonly value: T } | undefined {
  const until = performance.now() + ms;
  do {
    const step = parts.next();
    if (step.done) return { value: step.value };
  } while (performance.now() < until);
}

/** Does what stops now and then in turns of some milliseconds, so that the page is not held. */
export async function inTurns<T>(parts: Generator<void, T>, ms: number): Promise<T> {
  for (;;) {
    await yieldTurn();
    const done = forMs(parts, ms);
    if (done) return done.value;
  }
}
