import type { InvitationSeen, Me } from '@mint-lamp/core/wire/people';
import { ask } from './ask.ts';

/** Coming in and going: what is asked before there is anybody, and so past the cache of answers. */

export interface SignIn {
  readonly email: string;
  readonly passphrase: string;
  readonly code?: string;
}

export const whoAmI = () => ask<Me>('GET', '/me');
export const signIn = (body: SignIn) => ask<undefined>('POST', '/sign-in', body);
export const signOut = () => ask<undefined>('POST', '/sign-out');
export const forgotPassphrase = (email: string) => ask<undefined>('POST', '/passphrase/forgotten', { email });
export const setPassphrase = (token: string, passphrase: string) =>
  ask<undefined>('POST', '/passphrase/new', { token, passphrase });
export const lookAtInvitation = (token: string) => ask<InvitationSeen>('POST', '/invitation/look', { token });

/** As a new person, or as the one who is signed in where name and passphrase are left out. */
export interface TakeInvitation {
  readonly token: string;
  readonly name?: string;
  readonly passphrase?: string;
  readonly email?: string;
}
export const takeInvitation = (body: TakeInvitation) => ask<undefined>('POST', '/invitation/take', body);
