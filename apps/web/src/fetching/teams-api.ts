import type { Access } from '@mint-lamp/core/wire/access';
import type { ListedTeam, SentInvitation, Team, TeamList } from '@mint-lamp/core/wire/people';
import type { LoadedProject } from '@mint-lamp/core/wire/projects';
import { api } from './api.ts';

/** Teams, who is in them, and projects that are theirs. */
const requests = api.enhanceEndpoints({ addTagTypes: ['Teams', 'Team', 'OnProject'] }).injectEndpoints({
  endpoints: (build) => ({
    teams: build.query<readonly ListedTeam[], void>({
      query: () => ({ address: '/teams' }),
      transformResponse: ({ teams }: TeamList) => teams,
      providesTags: ['Teams'],
    }),
    makeTeam: build.mutation<ListedTeam, string>({
      query: (name) => ({ method: 'POST', address: '/teams', body: { name } }),
      invalidatesTags: ['Teams'],
    }),
    team: build.query<Team, string>({ query: (id) => ({ address: `/teams/${id}` }), providesTags: ['Team'] }),
    renameTeam: build.mutation<null, { team: string; name: string }>({
      query: ({ team, name }) => ({ method: 'PUT', address: `/teams/${team}`, body: { name } }),
      invalidatesTags: ['Team', 'Teams', 'Projects'],
    }),
    removeTeam: build.mutation<null, string>({
      query: (team) => ({ method: 'DELETE', address: `/teams/${team}` }),
      invalidatesTags: ['Teams'],
    }),
    leaveTeam: build.mutation<null, string>({
      query: (team) => ({ method: 'POST', address: `/teams/${team}/leave` }),
      invalidatesTags: ['Teams', 'Projects'],
    }),
    setAccess: build.mutation<null, { team: string; person: string; access: Access }>({
      query: ({ team, person, access }) => ({
        method: 'PUT',
        address: `/teams/${team}/members/${person}`,
        body: { access },
      }),
      invalidatesTags: ['Team', 'Teams'],
    }),
    removeMember: build.mutation<null, { team: string; person: string }>({
      query: ({ team, person }) => ({ method: 'DELETE', address: `/teams/${team}/members/${person}` }),
      invalidatesTags: ['Team', 'Teams'],
    }),
    invite: build.mutation<SentInvitation, { team: string; email: string; access: Access }>({
      query: ({ team, ...body }) => ({ method: 'POST', address: `/teams/${team}/invitations`, body }),
      invalidatesTags: ['Team'],
    }),
    inviteAgain: build.mutation<SentInvitation, { team: string; invitation: string }>({
      query: ({ team, invitation }) => ({
        method: 'POST',
        address: `/teams/${team}/invitations/${invitation}/again`,
      }),
      invalidatesTags: ['Team'],
    }),
    withdraw: build.mutation<null, { team: string; invitation: string }>({
      query: ({ team, invitation }) => ({
        method: 'DELETE',
        address: `/teams/${team}/invitations/${invitation}`,
      }),
      invalidatesTags: ['Team'],
    }),
    createInTeam: build.mutation<LoadedProject, { team: string; name: string }>({
      query: ({ team, name }) => ({ method: 'POST', address: `/teams/${team}/projects`, body: { name } }),
      invalidatesTags: ['Projects'],
    }),
    giveProject: build.mutation<null, { project: string; team: string | null }>({
      query: ({ project, team }) => ({
        method: 'PUT',
        address: `/projects/${project}/owner`,
        body: { team },
      }),
      invalidatesTags: ['Projects', 'OnProject', 'Teams'],
    }),
  }),
});

export const {
  useTeamsQuery,
  useMakeTeamMutation,
  useTeamQuery,
  useRenameTeamMutation,
  useRemoveTeamMutation,
  useLeaveTeamMutation,
  useSetAccessMutation,
  useRemoveMemberMutation,
  useInviteMutation,
  useInviteAgainMutation,
  useWithdrawMutation,
  useCreateInTeamMutation,
  useGiveProjectMutation,
} = requests;
