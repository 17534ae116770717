import { isIPv6 } from 'node:net';
import ipaddr from 'ipaddr.js';
import type { Allowance, AttemptStore } from '../database/people/attempt-store.ts';
import { ApiError } from '../errors.ts';

const MINUTE = 60;
const HOUR = 60 * MINUTE;

/** How often something may be tried: by one address for one person, for one person at all, and by one address at all. */
export interface Allowances {
  readonly both: Allowance;
  readonly person: Allowance;
  readonly address: Allowance;
}

export const SIGN_IN: Allowances = {
  both: { attempts: 10, seconds: 15 * MINUTE },
  person: { attempts: 60, seconds: HOUR },
  address: { attempts: 120, seconds: 15 * MINUTE },
};
/** Of letters, that anybody can have sent to somebody. */
export const LETTERS: Allowances = {
  both: { attempts: 5, seconds: HOUR },
  person: { attempts: 8, seconds: 24 * HOUR },
  address: { attempts: 120, seconds: HOUR },
};
/** Of addresses with a secret in them: they cannot be guessed; this keeps the work bounded. */
const SECRET_ADDRESSES: Allowance = { attempts: 120, seconds: 15 * MINUTE };

/** The network that an address is one of: of the long ones everybody has as many as they like. */
function networkOf(ip: string): string {
  if (!isIPv6(ip)) return ip;
  const parsed = ipaddr.process(ip);
  if (parsed.kind() === 'ipv4') return parsed.toString();
  return `${(parsed as ipaddr.IPv6).parts
    .slice(0, 4)
    .map((part) => part.toString(16))
    .join(':')}::/64`;
}

const tooOften = (seconds: number) =>
  new ApiError(
    'TOO_OFTEN',
    seconds > 90
      ? `This was tried too often. Try again in ${Math.ceil(seconds / 60)} minutes.`
      : `This was tried too often. Try again in ${seconds === 1 ? 'a second' : `${seconds} seconds`}.`,
    '',
    seconds,
  );

/** Counts an attempt before it is made, so that many at once count too. Throws ApiError where there were too many. */
export async function countAttempt(
  store: AttemptStore,
  what: string,
  { both, person, address }: Allowances,
  who: string,
  ip: string,
): Promise<void> {
  const from = networkOf(ip);
  const waits = await Promise.all([
    store.count(`${what} both ${who} ${from}`, both),
    store.count(`${what} person ${who}`, person),
    store.count(`${what} address ${from}`, address),
  ]);
  const longest = Math.max(...waits);
  if (longest) throw tooOften(longest);
}

/** After the right passphrase what this address has tried for this person is forgotten; what others try is not. */
export const forgetAttempts = (store: AttemptStore, what: string, who: string, ip: string): Promise<void> =>
  store.forget(`${what} both ${who} ${networkOf(ip)}`);

/** Counts a use of an address with a secret. */
export async function countSecretAddress(store: AttemptStore, ip: string): Promise<void> {
  const wait = await store.count(`secret address ${networkOf(ip)}`, SECRET_ADDRESSES);
  if (wait) throw tooOften(wait);
}
