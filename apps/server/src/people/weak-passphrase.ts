import { LEAST_PASSPHRASE } from '@mint-lamp/core/wire/people';
import { ZxcvbnFactory } from '@zxcvbn-ts/core';
import { adjacencyGraphs, dictionary } from '@zxcvbn-ts/language-common';
import { ApiError } from '../errors.ts';

/** Guesses that a passphrase must be good for, as a power of ten. */
const LEAST_GUESSES = 8;
/** So many letters are looked at: what is longer is good for more. */
const LOOKED_AT = 60;

let guessing: ZxcvbnFactory | undefined;

/**
 * Refuses a passphrase that is too short, or that whoever guesses comes upon soon: one of a list of common ones, with
 * digits behind it, said twice, along the keyboard, or the person's own name or address. Throws ApiError.
 */
export function refuseWeak(passphrase: string, ofThem: readonly string[], path = 'body.passphrase'): void {
  if ([...passphrase].length < LEAST_PASSPHRASE)
    throw new ApiError(
      'WEAK_PASSPHRASE',
      `A passphrase has at least ${LEAST_PASSPHRASE} letters; a few words of your own are a good one.`,
      path,
    );
  guessing ??= new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs });
  const own = ofThem
    .flatMap((text) => [text, ...text.split('@'), ...text.split(/[^\p{L}\p{N}]+/u)])
    .filter(Boolean);
  const { guessesLog10 } = guessing.check([...passphrase].slice(0, LOOKED_AT).join(''), [
    ...own,
    'mint',
    'lamp',
  ]);
  if (guessesLog10 < LEAST_GUESSES)
    throw new ApiError(
      'WEAK_PASSPHRASE',
      'This passphrase is easily guessed: it is among the common ones, or nearly. Take a few words that only you would put together.',
      path,
    );
}
