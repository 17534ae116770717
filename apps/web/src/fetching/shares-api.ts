import type {
  MadeShare,
  NewShare,
  Proposal,
  ProposalList,
  ProposalState,
  Share,
  ShareChange,
  ShareList,
} from '@mint-lamp/core/wire/shares';
import { api } from './api.ts';

interface OfShare {
  readonly project: string;
  readonly share: string;
}
interface OfProposal {
  readonly project: string;
  readonly proposal: string;
}

const shareAt = ({ project, share }: OfShare, more = '') => `/projects/${project}/shares/${share}${more}`;
const proposalAt = ({ project, proposal }: OfProposal) => `/projects/${project}/proposals/${proposal}`;

/** The shares of a project, and what came back by them. */
const requests = api.enhanceEndpoints({ addTagTypes: ['Shares', 'Proposals'] }).injectEndpoints({
  endpoints: (build) => ({
    /** The newest first. */
    shares: build.query<readonly Share[], string>({
      query: (project) => ({ address: `/projects/${project}/shares` }),
      transformResponse: ({ shares }: ShareList) => shares,
      providesTags: ['Shares'],
    }),
    makeShare: build.mutation<MadeShare, { project: string; share: NewShare }>({
      query: ({ project, share }) => ({
        method: 'POST',
        address: `/projects/${project}/shares`,
        body: share,
      }),
      invalidatesTags: ['Shares'],
    }),
    changeShare: build.mutation<Share, OfShare & { change: ShareChange }>({
      query: ({ change, ...of }) => ({ method: 'PUT', address: shareAt(of), body: change }),
      invalidatesTags: ['Shares'],
    }),
    shutShare: build.mutation<Share, OfShare>({
      query: (of) => ({ method: 'POST', address: shareAt(of, '/shut') }),
      invalidatesTags: ['Shares'],
    }),
    readdressShare: build.mutation<MadeShare, OfShare>({
      query: (of) => ({ method: 'POST', address: shareAt(of, '/address') }),
      invalidatesTags: ['Shares'],
    }),
    removeShare: build.mutation<null, OfShare>({
      query: (of) => ({ method: 'DELETE', address: shareAt(of) }),
      invalidatesTags: ['Shares'],
    }),
    /** The newest first. */
    proposals: build.query<readonly Proposal[], string>({
      query: (project) => ({ address: `/projects/${project}/proposals` }),
      transformResponse: ({ proposals }: ProposalList) => proposals,
      providesTags: ['Proposals'],
    }),
    setProposalState: build.mutation<null, OfProposal & { state: ProposalState }>({
      query: ({ state, ...of }) => ({ method: 'PUT', address: proposalAt(of), body: { state } }),
      invalidatesTags: ['Proposals'],
    }),
    removeProposal: build.mutation<null, OfProposal>({
      query: (of) => ({ method: 'DELETE', address: proposalAt(of) }),
      invalidatesTags: ['Proposals'],
    }),
  }),
});

export const {
  useSharesQuery,
  useMakeShareMutation,
  useChangeShareMutation,
  useShutShareMutation,
  useReaddressShareMutation,
  useRemoveShareMutation,
  useProposalsQuery,
  useSetProposalStateMutation,
  useRemoveProposalMutation,
} = requests;
