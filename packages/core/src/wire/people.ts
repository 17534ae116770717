import type { Access, ExceptionAccess } from './access.ts';

/** What goes over the wire about people, sign-in, teams and letters; written once for both ends. */

export interface Person {
  readonly id: string;
  readonly name: string;
}

/** `GET /api/me`: who asks, and what this server is like. */
export interface Me {
  /** Null for nobody. */
  readonly person: SignedIn | null;
  /** Whether one is somebody here without signing in, as on the demo's own computer. */
  readonly local: boolean;
  /** Whether letters go to a mailbox that can be opened here, in place of going out. */
  readonly mailbox: boolean;
}

export interface SignedIn extends Person {
  /** Empty for the one person of a demo's own computer. */
  readonly email: string;
  /** Whether they look after the server: its people and invitations. */
  readonly administrator: boolean;
}

export const MOST_EMAIL = 254;
export const MOST_PERSON_NAME = 80;
/** Letters of a passphrase, counted as code points. */
export const LEAST_PASSPHRASE = 12;
export const MOST_PASSPHRASE = 128;

/** What an invitation says to whoever has its address. */
export interface InvitationSeen {
  /** Null for the first person of a server, who says it. */
  readonly email: string | null;
  /** The team that one is invited to; null for the server alone. */
  readonly team: string | null;
  readonly access: Access | null;
  /** Who invites; null when nobody is known any more. */
  readonly from: string | null;
  /** ISO 8601. */
  readonly endsAt: string;
  /** Whether somebody with this e-mail address is here already, who joins by signing in. */
  readonly known: boolean;
}

export interface SessionSeen {
  readonly id: string;
  /** The one that asks. */
  readonly own: boolean;
  /** As the browser calls itself. */
  readonly agent: string;
  /** ISO 8601. */
  readonly begunAt: string;
  readonly seenAt: string;
}

export interface Account extends SignedIn {
  /** When the second factor was set up, ISO 8601; null where there is none. */
  readonly factorSince: string | null;
  /** Recovery codes that have not been used. */
  readonly recoveryCodes: number;
}

/** A second factor that is being set up. */
export interface FactorBegun {
  /** For typing, base 32. */
  readonly secret: string;
  /** For a QR code, as authenticator apps read it. */
  readonly address: string;
}

export interface RecoveryCodes {
  readonly codes: readonly string[];
}

export interface ListedTeam {
  readonly id: string;
  readonly name: string;
  /** What whoever asks is in it. */
  readonly access: Access;
  readonly people: number;
  readonly projects: number;
}

export interface TeamList {
  readonly teams: readonly ListedTeam[];
}

export interface Member extends Person {
  readonly email: string;
  readonly access: Access;
}

export interface SentInvitation {
  readonly id: string;
  readonly email: string;
  readonly access: Access | null;
  /** ISO 8601. */
  readonly endsAt: string;
}

export interface Team {
  readonly id: string;
  readonly name: string;
  /** What whoever asks is in it. */
  readonly access: Access;
  readonly members: readonly Member[];
  /** Those that nobody has taken yet; empty for all but owners. */
  readonly invitations: readonly SentInvitation[];
}

/** Somebody on a project. */
export interface OnProject extends Person {
  /** What they may do with it; null for one who wrote something in it and may no longer. */
  readonly access: Access | null;
  /** What they are in its team; null for who is in none. */
  readonly inTeam: Access | null;
  /** What stands for them on this project in place of what they are in its team; null where nothing does. */
  readonly exception: ExceptionAccess | null;
}

/** `GET /api/projects/:id/people`: everybody who may see a project or has written in it. */
export interface PeopleOnProject {
  readonly team: Person | null;
  readonly people: readonly OnProject[];
}

/** One edit of a project's history. */
export interface HistoryEntry {
  readonly revision: number;
  /** Whose; null where it is not known, as before there were people. */
  readonly author: string | null;
  /** ISO 8601. */
  readonly at: string;
  /** What it did, in words. */
  readonly words: string;
  /** The kind of thing that it changed, such as "families". */
  readonly kind: string;
}

export interface History {
  /** The newest first. */
  readonly entries: readonly HistoryEntry[];
  /** The revision before which the next page begins; null when this is the last. */
  readonly before: number | null;
}

export interface ServerPerson extends SignedIn {
  /** ISO 8601. */
  readonly since: string;
  /** When they were last here, ISO 8601; null for never or long ago. */
  readonly seenAt: string | null;
  readonly teams: number;
  readonly projects: number;
}

export interface ServerPeople {
  readonly people: readonly ServerPerson[];
  readonly invitations: readonly SentInvitation[];
}

export interface LetterSeen {
  readonly id: string;
  readonly to: string;
  readonly subject: string;
  readonly text: string;
  /** ISO 8601. */
  readonly at: string;
}

export interface Mailbox {
  /** The newest first. */
  readonly letters: readonly LetterSeen[];
}
