import type { Mailbox, SentInvitation, ServerPeople } from '@mint-lamp/core/wire/people';
import { api } from './api.ts';

/** The people of a server, and letters that stay in it. */
const requests = api.enhanceEndpoints({ addTagTypes: ['Server', 'Me'] }).injectEndpoints({
  endpoints: (build) => ({
    serverPeople: build.query<ServerPeople, void>({
      query: () => ({ address: '/server/people' }),
      providesTags: ['Server'],
    }),
    setAdministrator: build.mutation<null, { person: string; administrator: boolean }>({
      query: ({ person, administrator }) => ({
        method: 'PUT',
        address: `/server/people/${person}`,
        body: { administrator },
      }),
      invalidatesTags: ['Server', 'Me'],
    }),
    inviteToServer: build.mutation<SentInvitation, { email: string; administrator: boolean }>({
      query: (body) => ({ method: 'POST', address: '/server/invitations', body }),
      invalidatesTags: ['Server'],
    }),
    withdrawFromServer: build.mutation<null, string>({
      query: (id) => ({ method: 'DELETE', address: `/server/invitations/${id}` }),
      invalidatesTags: ['Server'],
    }),
    mailbox: build.query<Mailbox, void>({ query: () => ({ address: '/mailbox' }) }),
  }),
});

export const {
  useServerPeopleQuery,
  useSetAdministratorMutation,
  useInviteToServerMutation,
  useWithdrawFromServerMutation,
  useMailboxQuery,
} = requests;
