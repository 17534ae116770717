import type { FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';
import type { DataSource } from 'typeorm';
import { gate } from '../access/gate.ts';
import { type SessionCookie, sessionCookie } from '../access/session-cookie.ts';
import { type ShareDoor, shareDoor } from '../access/share-door.ts';
import { type AttemptStore, attemptStore } from '../database/people/attempt-store.ts';
import { type DoorStore, doorStore, type SessionLimits } from '../database/people/door-store.ts';
import { type InvitationStore, invitationStore } from '../database/people/invitation-store.ts';
import { type PersonStore, personStore } from '../database/people/person-store.ts';
import { type PersonalDataStore, personalDataStore } from '../database/people/personal-data.ts';
import { type ResetStore, resetStore } from '../database/people/reset-store.ts';
import { type SessionStore, sessionStore } from '../database/people/session-store.ts';
import { type TeamStore, teamStore } from '../database/people/team-store.ts';
import { type ShareStore, shareStore } from '../database/share-store.ts';
import { type Vault, vaultOf } from './second-factor.ts';

/** How this server knows who asks. */
export interface PeopleOptions {
  /** Whether whoever asks without signing in is the one person of this computer; only the demo is like that. */
  readonly local: boolean;
  /** What is encrypted or signed is so with this. */
  readonly secret: string;
  /** Where the server is reached, without a slash at its end: what letters lead to. */
  readonly publicAddress: string;
  readonly sessions: SessionLimits;
}

declare module 'fastify' {
  interface FastifyInstance {
    people: PersonStore;
    sessions: SessionStore;
    teams: TeamStore;
    invitations: InvitationStore;
    resets: ResetStore;
    attempts: AttemptStore;
    door: DoorStore;
    shareDoor: ShareDoor;
    shares: ShareStore;
    sessionCookie: SessionCookie;
    vault: Vault;
    personalData: PersonalDataStore;
    peopleOptions: PeopleOptions;
  }
}

const HOUR_MS = 60 * 60 * 1000;

/** Gives the areas their stores of people, lets in who may, and forgets what is over. */
export const people = fp(
  async (app: FastifyInstance, { database, ...options }: PeopleOptions & { database: DataSource }) => {
    const { local, secret, publicAddress, sessions } = options;
    const door = doorStore(database, sessions);
    // Browsers count addresses of this computer as safe, and send such cookies there without TLS.
    const secure = publicAddress.startsWith('https:') || !local;
    const cookie = sessionCookie(secure, sessions.hours);
    app.decorate('people', personStore(database));
    app.decorate('sessions', sessionStore(database));
    app.decorate('teams', teamStore(database));
    app.decorate('invitations', invitationStore(database));
    app.decorate('resets', resetStore(database));
    app.decorate('attempts', attemptStore(database));
    app.decorate('door', door);
    app.decorate('sessionCookie', cookie);
    app.decorate('vault', vaultOf(secret));
    app.decorate('personalData', personalDataStore(database));
    app.decorate('peopleOptions', options);
    const shares = shareStore(database);
    const ofShares = shareDoor(shares.open, secret, secure);
    app.decorate('shares', shares);
    app.decorate('shareDoor', ofShares);
    await app.register(gate, { door, cookie, shares: ofShares, local });

    const forget = async () => {
      await app.attempts.forgetOld();
      await app.sessions.forgetOld(sessions.idleHours);
    };
    const timer = setInterval(() => forget().catch((error: unknown) => app.log.warn(error)), HOUR_MS);
    timer.unref();
    app.addHook('onClose', async () => clearInterval(timer));
  },
);
