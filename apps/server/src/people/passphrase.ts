import { hash, verify } from '@node-rs/argon2';
import { ApiError } from '../errors.ts';

/** argon2id with 19 MiB and two passes, one of the settings that OWASP's Password Storage Cheat Sheet names. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;
/** Each takes memory and a thread of four; more wait, and more than so many are sent away. */
const AT_ONCE = 2;
const MOST_WAITING = 200;

let running = 0;
const waiting: (() => void)[] = [];

/** Does it when fewer than so many are being done. */
async function inTurn<T>(body: () => Promise<T>): Promise<T> {
  if (running >= AT_ONCE) {
    if (waiting.length >= MOST_WAITING)
      throw new ApiError('BUSY', 'Too many sign in at this moment. Try again shortly.');
    await new Promise<void>((resolve) => waiting.push(resolve));
  } else running += 1;
  try {
    return await body();
  } finally {
    const next = waiting.shift();
    if (next) next();
    else running -= 1;
  }
}

/** One spelling for letters that look the same, however a keyboard sends them. */
const spelt = (passphrase: string): string => passphrase.normalize('NFKC');

/** A passphrase as it is kept, with its salt and cost. */
export const hashPassphrase = (passphrase: string): Promise<string> =>
  inTurn(() => hash(spelt(passphrase), COST));

/** What the passphrase of somebody who is not there is held against, so that it takes as long as of one who is. */
let nobodys: Promise<string> | undefined;

/** Whether a passphrase is the one that is kept; null is nobody's, which takes as long and is never right. */
export async function isPassphrase(kept: string | null, passphrase: string): Promise<boolean> {
  nobodys ??= hash(spelt('a lamp that nobody lights'), COST);
  const against = kept ?? (await nobodys);
  const right = await inTurn(() => verify(against, spelt(passphrase)));
  return right && kept !== null;
}
