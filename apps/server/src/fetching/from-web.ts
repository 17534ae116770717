import { lookup as lookUp } from 'node:dns/promises';
import http, { type IncomingMessage } from 'node:http';
import https from 'node:https';
import type { LookupFunction } from 'node:net';
import { ApiError } from '../errors.ts';
import { atMost, type Incoming, writeIncoming } from '../pictures/storing/incoming.ts';
import { addressInHost, isPublicAddress } from './allowed-address.ts';

/** The IP addresses of a name. */
type Resolve = (name: string) => Promise<readonly string[]>;

interface FetchLimits {
  /** ms for all of it, redirects too. */
  readonly patience: number;
  readonly redirects: number;
  readonly bytes: number;
}

export interface FetchOptions {
  readonly limits?: FetchLimits;
  readonly resolve?: Resolve;
  /** Names that stand for the outside world, with the port of this computer that answers for each. */
  readonly standIns?: ReadonlyMap<string, number>;
}

/** What is fetched: in words, what is asked for, and how large it may be. */
export interface Wanted {
  readonly one: string;
  readonly many: string;
  readonly accept: string;
  readonly bytes: number;
  readonly tooLarge: () => ApiError;
}

const USUAL = { patience: 15_000, redirects: 5 };

const resolveByDns: Resolve = async (name) =>
  (await lookUp(name, { all: true, verbatim: true })).map(({ address }) => address);

const fail = (message: string) => new ApiError('ADDRESS_FAILED', message, 'body.address');
const refuse = (message: string) => new ApiError('ADDRESS_REFUSED', message, 'body.address');
const notPublic = (host: string, { many }: Wanted) =>
  refuse(
    `${host} is an address of this computer or its network, or a reserved one; ${many} are fetched from the public web only.`,
  );

/** A web address that may be asked, as far as its text says. */
function webAddress(text: string, { many }: Wanted): URL {
  let url: URL;
  try {
    url = new URL(text.trim());
  } catch {
    throw refuse('This is no web address; one begins with https:// and names a server.');
  }
  if (url.protocol !== 'https:' && url.protocol !== 'http:')
    throw refuse(
      `${many[0]!.toUpperCase()}${many.slice(1)} are fetched by https or http, not by ${url.protocol.slice(0, -1)}.`,
    );
  if (url.username || url.password)
    throw refuse('An address with a name or password in it is not fetched from; leave them out.');
  return url;
}

/** Names that mean this computer whatever is looked up (RFC 6761). */
const OWN_NAME = /(?:^|\.)localhost\.?$/i;

interface Target {
  readonly addresses: readonly string[];
  /** Null for the port in the address. */
  readonly port: number | null;
}

/** Where a server really is; the connection goes there and nowhere that the name may lead to a moment later. */
async function targetOf(
  { hostname }: URL,
  { resolve = resolveByDns, standIns }: FetchOptions,
  wanted: Wanted,
): Promise<Target> {
  const port = standIns?.get(hostname.toLowerCase());
  if (port !== undefined) return { addresses: ['127.0.0.1'], port };
  if (OWN_NAME.test(hostname)) throw notPublic(hostname, wanted);
  const literal = addressInHost(hostname);
  const addresses = literal
    ? [literal]
    : await resolve(hostname).catch(() => {
        throw fail(`There is no server named ${hostname}, or it could not be looked up from here.`);
      });
  // One that is not public is reason enough: nobody names a private address beside a public one by accident.
  if (!addresses.length || !addresses.every(isPublicAddress)) throw notPublic(hostname, wanted);
  return { addresses, port: null };
}

function ask(
  url: URL,
  { addresses, port }: Target,
  { accept }: Wanted,
  signal: AbortSignal,
): Promise<IncomingMessage> {
  const lookup: LookupFunction = (_name, options, done) => {
    const all = addresses.map((address) => ({ address, family: address.includes(':') ? 6 : 4 }));
    if (options.all) done(null, all);
    else done(null, all[0]!.address, all[0]!.family);
  };
  return new Promise((answered, failed) => {
    const request = (url.protocol === 'https:' ? https : http).request(
      {
        protocol: url.protocol,
        hostname: url.hostname.replace(/^\[|\]$/g, ''),
        port: url.port,
        path: `${url.pathname}${url.search}`,
        lookup,
        signal,
        agent: false,
        ...(port === null ? {} : { hostname: '127.0.0.1', port }),
        headers: {
          host: url.host,
          accept,
          'accept-encoding': 'identity',
          'user-agent': 'Mint-Lamp',
        },
      },
      answered,
    );
    request.once('error', failed);
    request.end();
  });
}

/** Writes what comes to a file, so that no memory holds it. */
async function fileOf(answer: IncomingMessage, { one, tooLarge }: Wanted, most: number): Promise<Incoming> {
  if (Number(answer.headers['content-length'] ?? 0) > most) throw tooLarge();
  return writeIncoming(answer, [atMost(most, tooLarge)]).catch((error: unknown) => {
    if (error instanceof ApiError || answer.complete) throw error;
    throw fail(`The server broke off before the ${one} was whole.`);
  });
}

/** What the server at an address sends, whatever it is; redirects are followed, each checked as the first one. */
async function follow(
  address: string,
  wanted: Wanted,
  options: FetchOptions,
  limits: FetchLimits,
  signal: AbortSignal,
) {
  let url = webAddress(address, wanted);
  for (let turns = 0; turns <= limits.redirects; turns++) {
    const target = await targetOf(url, options, wanted);
    signal.throwIfAborted();
    const answer = await ask(url, target, wanted, signal);
    const { statusCode = 0, headers } = answer;
    try {
      if (statusCode >= 300 && statusCode < 400 && headers.location) {
        if (!URL.canParse(headers.location, url.href)) throw fail(`${url.host} points on to no web address.`);
        url = webAddress(new URL(headers.location, url).href, wanted);
        continue;
      }
      if (statusCode !== 200)
        throw fail(`${url.host} answers with ${statusCode} instead of a ${wanted.one}.`);
      return { url, incoming: await fileOf(answer, wanted, limits.bytes) };
    } finally {
      answer.destroy();
    }
  }
  throw fail(`${url.host} points on and on; after ${limits.redirects} times it was given up.`);
}

/** Rejects when a signal goes off, also while something that does not listen to it is waited for. */
const whenAborted = (signal: AbortSignal) =>
  new Promise<never>((_, reject) => {
    signal.addEventListener('abort', () => reject(signal.reason), { once: true });
  });

/**
 * Fetches what is at a web address into a file: https and http, from public addresses only, by their IP address as it is
 * connected to, also after a redirect; within limits of time and size. Throws ApiError with one sentence.
 */
export async function fetchFromWeb(
  address: string,
  wanted: Wanted,
  options: FetchOptions = {},
  left: AbortSignal = new AbortController().signal,
): Promise<{ readonly url: URL; readonly incoming: Incoming }> {
  const limits = options.limits ?? { ...USUAL, bytes: wanted.bytes };
  const signal = AbortSignal.any([AbortSignal.timeout(limits.patience), left]);
  const late = whenAborted(signal);
  late.catch(() => {});
  const following = follow(address, wanted, options, limits, signal);
  try {
    return await Promise.race([following, late]);
  } catch (error) {
    // What comes after all is of no use to anybody.
    following.then(({ incoming }) => incoming.remove()).catch(() => {});
    if (error instanceof ApiError) throw error;
    if (signal.aborted)
      throw fail(
        `The ${wanted.one} did not come within ${limits.patience / 1000} seconds, and was given up.`,
      );
    throw fail(
      `The server at that address could not be reached (${(error as NodeJS.ErrnoException).code ?? 'no reason given'}).`,
    );
  }
}
