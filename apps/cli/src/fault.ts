/** What cannot be done as it was asked for; told in a sentence, and no more. */
export class Fault extends Error {
  override name = 'Fault';
}

/** How a run ends: all is well; something is found that a build should stop at; what was asked for cannot be done. */
export const [WELL, FOUND, WRONG] = [0, 1, 2] as const;
