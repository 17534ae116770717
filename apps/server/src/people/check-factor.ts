import type { FastifyInstance } from 'fastify';
import type { Credentials } from '../database/people/person-store.ts';
import { changedLetter } from '../letters/texts.ts';
import { recoveryHash, stepOfCode } from './second-factor.ts';

/** Whether a code is one of somebody's second factor, or one of their recovery codes; either counts once. */
export async function checkFactor(
  { people, vault, letters, log }: FastifyInstance,
  { id, factor }: Credentials,
  code: string,
): Promise<boolean> {
  if (!factor) return true;
  const step = stepOfCode(vault.open(factor), code, Date.now());
  if (step !== null) {
    if (await people.spendStep(id, step)) return true;
    // Somebody has seen it, or was quicker: its owner is told.
    log.warn({ of: id }, 'a code of a second factor came twice');
    const { email, name } = await people.account(id);
    await letters.send(
      changedLetter(email, name, 'a code of your second factor was used a second time, and refused'),
    );
    return false;
  }
  const recovery = recoveryHash(code);
  return recovery !== null && people.spendRecoveryCode(id, recovery);
}
