import type { Letter } from '../database/people/letter-store.ts';

/** The text of an address whose secret stands behind `#`, which no browser sends to a server or tells another page. */
const at = (server: string, path: string, token: string) => `${server}${path}#${token}`;

export interface InvitationWords {
  readonly to: string;
  readonly server: string;
  readonly token: string;
  readonly from: string;
  /** Null for the server alone. */
  readonly team: string | null;
  readonly days: number;
}

export function invitationLetter({ to, server, token, from, team, days }: InvitationWords): Letter {
  const where = team === null ? 'Mint Lamp' : `the team ${team} on Mint Lamp`;
  return {
    to,
    subject: `${from} invites you to ${where}`,
    text: `Hello,

${from} invites you to ${where}, where colour systems are made:

${invitationAddress(server, token)}

The link works once, for ${days} days, and only for this e-mail address. If you don't know ${from}, you can ignore this letter.
`,
  };
}

/** Where an invitation is taken; of a server's first person, the start prints it. */
export const invitationAddress = (server: string, token: string): string => at(server, '/invitation', token);

/** Where a new passphrase is set. */
export const passphraseAddress = (server: string, token: string): string =>
  at(server, '/new-passphrase', token);

export function resetLetter(
  to: string,
  name: string,
  server: string,
  token: string,
  minutes: number,
): Letter {
  return {
    to,
    subject: 'Set a new passphrase for Mint Lamp',
    text: `Hello ${name},

Somebody, probably you, has asked for a new passphrase for Mint Lamp. Set it here:

${passphraseAddress(server, token)}

The link works once, for ${minutes} minutes. If it wasn't you, ignore this letter: your passphrase stays as it is.
`,
  };
}

/** Told after the fact, so that nobody else changes it unseen. */
export function changedLetter(to: string, name: string, what: string): Letter {
  return {
    to,
    subject: `Mint Lamp: ${what}`,
    text: `Hello ${name},

${what.charAt(0).toUpperCase() + what.slice(1)}. If that was you, there is nothing to do. If not, set a new passphrase at once (“Forgotten your passphrase?” on the sign-in page) and tell whoever looks after your server.
`,
  };
}

export interface MentionWords {
  readonly to: string;
  readonly name: string;
  readonly server: string;
  /** The project's id and what it is called. */
  readonly project: { readonly id: string; readonly name: string };
  readonly said: readonly {
    readonly note: string;
    /** What the note is on. */
    readonly on: string;
    /** Null where that is not known. */
    readonly from: string | null;
    readonly text: string;
  }[];
}

/** Told to somebody who is named in notes. */
export function mentionLetter({ to, name, server, project, said }: MentionWords): Letter {
  const [first] = said;
  const who = first?.from ?? 'Somebody';
  return {
    to,
    subject:
      said.length === 1
        ? `${who} asks you about ${first!.on} in ${project.name}`
        : `You are named in ${said.length} notes in ${project.name}`,
    text: `Hello ${name},

${said
  .map(
    ({ note, on, from, text }) => `${from ?? 'Somebody'} wrote on ${on} in ${project.name}:

${text.replace(/^/gm, '> ')}

${noteAddress(server, project.id, note)}
`,
  )
  .join('\n')}`,
  };
}

/** Where a note stands among all. */
const noteAddress = (server: string, project: string, note: string): string =>
  `${server}/p/${encodeURIComponent(project)}/notes/${encodeURIComponent(note)}`;
