import { weakMapMemoize } from '@reduxjs/toolkit';

/**
 * Remembers what `work` comes to for as long as its arguments are in use, so that what is shown, what was before and
 * what is proposed can be looked at side by side. A new one is worked out from the one last asked for, which costs what
 * differs between the two.
 */
export function fromLast<Args extends readonly object[], T>(
  work: (last: T | undefined, ...args: Args) => T,
): (...args: Args) => T {
  let last: T | undefined;
  const remembered = weakMapMemoize((...args: Args) => work(last, ...args));
  return (...args) => {
    last = remembered(...args);
    return last;
  };
}
