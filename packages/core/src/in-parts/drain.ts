/** Work in parts is a generator: it stops now and then, may say how far it is, and returns what it comes to. */

/** Does work in parts to its end, at once; `told` hears what it says at each stop. */
export function drain<T, R>(parts: Generator<T, R>, told?: (said: T) => void): R {
  let step = parts.next();
  for (; !step.done; step = parts.next()) told?.(step.value);
  return step.value;
}

/** Does work in parts to its end, and lets something else have its turn at each stop. */
export async function drainInTurns<T, R>(
  parts: Generator<T, R>,
  turn: (said: T) => Promise<unknown>,
): Promise<R> {
  let step = parts.next();
  for (; !step.done; step = parts.next()) await turn(step.value);
  return step.value;
}

/** Work in parts as a part of other work, which says something else at each stop. */
export function* saidAs<T, U, R>(parts: Generator<T, R>, as: (said: T) => U): Generator<U, R> {
  let step = parts.next();
  for (; !step.done; step = parts.next()) yield as(step.value);
  return step.value;
}
