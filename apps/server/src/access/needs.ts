import type { Ability } from '@mint-lamp/core/wire/access';

/**
 * What a route needs of whoever asks. Every route says it (`config: { needs }`), one that does not is none: the server
 * does not start with it.
 *
 * - `anyone`: nobody has to be signed in.
 * - `person`: somebody; the one person of a demo's computer is.
 * - `account`: somebody who signed in.
 * - `administrator`: somebody who looks after the server.
 * - of a project, one that was removed, or a team (`:id` of the address): what is to be done with it. Whoever may not even
 *   look at it is told that it is not there.
 * - of a share (`:token` of the address): `door` that it is open; the others that its passphrase was given too, where it has
 *   one, and that it is for that.
 */
export type Needs =
  | 'anyone'
  | 'person'
  | 'account'
  | 'administrator'
  | { readonly project: Ability }
  | { readonly removed: Ability }
  | { readonly team: Exclude<Ability, 'note'> }
  | { readonly share: ShareNeed };

/** What is to be done with a share. */
export type ShareNeed = 'door' | 'look' | 'try' | 'note' | 'css';

declare module 'fastify' {
  interface FastifyContextConfig {
    needs?: Needs;
  }
}

/** The part of a route's options that says what it needs. */
export const needs = (what: Needs) => ({ config: { needs: what } });
