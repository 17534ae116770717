import { randomUUID } from 'node:crypto';
import { PERSON_HEADER } from '@mint-lamp/core/wire/access';
import type { TeamServer } from './team-server.ts';
import { FORM } from './test.ts';

/** Somebody with an account, and with a session of their own besides those of their browsers. */
export interface Somebody {
  readonly id: string;
  readonly name: string;
  readonly email: string;
  readonly passphrase: string;
  readonly cookie: string;
}

export const PASSPHRASE = 'four gulls over Grey Holm';

/** Asks a server as somebody, or as nobody; throws on anything but success. */
export async function askAs(
  address: string,
  who: Pick<Somebody, 'id' | 'cookie'> | null,
  method: string,
  path: string,
  body?: object,
): Promise<Response> {
  const answer = await fetch(`${address}/api${path}`, {
    method,
    headers: {
      ...FORM,
      ...(who ? { cookie: who.cookie, [PERSON_HEADER]: who.id } : {}),
      ...(body ? { 'content-type': 'application/json' } : {}),
    },
    ...(body ? { body: JSON.stringify(body) } : {}),
  });
  if (!answer.ok) throw new Error(`${method} ${path}: ${await answer.text()}`);
  return answer;
}

/** Comes in by the address of an invitation, as somebody new. */
async function comeIn(address: string, letter: string, name: string, email: string): Promise<Somebody> {
  const answer = await askAs(address, null, 'POST', '/invitation/take', {
    token: letter.split('#')[1]!,
    name,
    passphrase: PASSPHRASE,
    email,
  });
  const cookie = answer.headers.get('set-cookie')!.split(';')[0]!;
  const me = await fetch(`${address}/api/me`, { headers: { cookie } });
  const { person } = (await me.json()) as { person: { id: string } };
  return { id: person.id, name, email, passphrase: PASSPHRASE, cookie };
}

const addressOf = (name: string) =>
  `${name.split(' ')[0]!.toLowerCase()}-${randomUUID().slice(0, 8)}@skerry-line.example`;

/** The first person of a server, who looks after it. */
export const firstPerson = (server: TeamServer): Promise<Somebody> =>
  comeIn(server.address, server.first(), 'Maren Holm', addressOf('Maren Holm'));

/** Where the newest letter to somebody leads, as it lies in the mailbox. */
export async function letterTo(address: string, keeper: Somebody, email: string): Promise<string> {
  const { letters } = (await (await askAs(address, keeper, 'GET', '/mailbox')).json()) as {
    letters: { to: string; text: string }[];
  };
  const letter = letters.find(({ to }) => to === email);
  return /https?:\/\/\S+/.exec(letter?.text ?? '')![0];
}

/** Somebody new, invited by who looks after the server. */
export async function invited(address: string, keeper: Somebody, name: string): Promise<Somebody> {
  const email = addressOf(name);
  await askAs(address, keeper, 'POST', '/server/invitations', { email });
  return comeIn(address, await letterTo(address, keeper, email), name, email);
}

/** Puts somebody who has an account into a team. */
export async function join(
  address: string,
  keeper: Somebody,
  owner: Somebody,
  team: string,
  who: Somebody,
  access: string,
): Promise<void> {
  await askAs(address, owner, 'POST', `/teams/${team}/invitations`, { email: who.email, access });
  const letter = await letterTo(address, keeper, who.email);
  await askAs(address, who, 'POST', '/invitation/take', { token: letter.split('#')[1]! });
}

/** A team of an owner and an editor, with a project that has a colour in its tray. */
export interface Crew {
  readonly ula: Somebody;
  readonly nis: Somebody;
  readonly team: string;
  readonly project: string;
}

export async function newCrew(address: string, keeper: Somebody): Promise<Crew> {
  const [ula, nis] = [
    await invited(address, keeper, 'Ula Harbour'),
    await invited(address, keeper, 'Nis Lantern'),
  ];
  const made = await askAs(address, ula, 'POST', '/teams', { name: 'Ferry crew' });
  const { id: team } = (await made.json()) as { id: string };
  await join(address, keeper, ula, team, nis, 'editor');
  const begun = await askAs(address, ula, 'POST', `/teams/${team}/projects`, { name: 'Skerry Line' });
  const { id: project } = (await begun.json()) as { id: string };
  await askAs(address, ula, 'POST', `/projects/${project}/commands`, {
    revision: 0,
    commands: [
      {
        id: randomUUID(),
        command: {
          type: 'addSwatch',
          swatch: { id: 'deep', name: 'Deep', color: '#0b5f6b', group: '', added: 0 },
        },
      },
    ],
  });
  return { ula, nis, team, project };
}
