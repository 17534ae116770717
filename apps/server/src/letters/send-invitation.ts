import type { Access } from '@mint-lamp/core/wire/access';
import type { Person, SentInvitation } from '@mint-lamp/core/wire/people';
import type { FastifyInstance } from 'fastify';
import { hashOf, newToken } from '../access/token.ts';
import { invitationLetter } from './texts.ts';

/** For how long an invitation works, days. */
export const INVITATION_DAYS = 7;

export interface ToInvite {
  readonly email: string;
  /** Null for the server alone. */
  readonly team: string | null;
  readonly access: Access | null;
  readonly from: Person;
  readonly administrator: boolean;
}

/** Invites somebody by a letter. One to the same address and team that was sent before works no more. */
export async function sendInvitation(
  { invitations, letters, teams, peopleOptions }: FastifyInstance,
  { email, team, access, from, administrator }: ToInvite,
): Promise<SentInvitation> {
  const token = newToken();
  const sent = await invitations.send(
    hashOf(token),
    { email, team, access, administrator, from: from.id },
    INVITATION_DAYS,
  );
  await letters.send(
    invitationLetter({
      to: email,
      server: peopleOptions.publicAddress,
      token,
      from: from.name,
      team: team === null ? null : await teams.nameOf(team),
      days: INVITATION_DAYS,
    }),
  );
  return sent;
}
