import type { Account, FactorBegun, Me, RecoveryCodes, SessionSeen } from '@mint-lamp/core/wire/people';
import { api } from './api.ts';

/** What proves that it is really them, for what is hard to take back. */
export interface Proof {
  readonly passphrase: string;
  readonly code?: string;
}

/** One's own account. */
const requests = api.enhanceEndpoints({ addTagTypes: ['Me', 'Account', 'Sessions'] }).injectEndpoints({
  endpoints: (build) => ({
    me: build.query<Me, void>({ query: () => ({ address: '/me' }), providesTags: ['Me'] }),
    account: build.query<Account, void>({
      query: () => ({ address: '/account' }),
      providesTags: ['Account'],
    }),
    renameMe: build.mutation<null, string>({
      query: (name) => ({ method: 'PUT', address: '/account', body: { name } }),
      invalidatesTags: ['Account', 'Me'],
    }),
    changePassphrase: build.mutation<null, { present: string; next: string }>({
      query: (body) => ({ method: 'PUT', address: '/account/passphrase', body }),
      invalidatesTags: ['Sessions'],
    }),
    sessions: build.query<readonly SessionSeen[], void>({
      query: () => ({ address: '/account/sessions' }),
      transformResponse: ({ sessions }: { sessions: SessionSeen[] }) => sessions,
      providesTags: ['Sessions'],
    }),
    endSession: build.mutation<null, string>({
      query: (id) => ({ method: 'DELETE', address: `/account/sessions/${id}` }),
      invalidatesTags: ['Sessions'],
    }),
    endOtherSessions: build.mutation<null, void>({
      query: () => ({ method: 'DELETE', address: '/account/sessions' }),
      invalidatesTags: ['Sessions'],
    }),
    beginFactor: build.mutation<FactorBegun, Proof>({
      query: (body) => ({ method: 'POST', address: '/account/second-factor', body }),
    }),
    useFactor: build.mutation<RecoveryCodes, string>({
      query: (code) => ({ method: 'PUT', address: '/account/second-factor', body: { code } }),
      invalidatesTags: ['Account', 'Sessions'],
    }),
    dropFactor: build.mutation<null, Proof>({
      query: (body) => ({ method: 'DELETE', address: '/account/second-factor', body }),
      invalidatesTags: ['Account'],
    }),
    newRecoveryCodes: build.mutation<RecoveryCodes, Proof>({
      query: (body) => ({ method: 'POST', address: '/account/recovery-codes', body }),
      invalidatesTags: ['Account'],
    }),
    deleteAccount: build.mutation<null, Proof>({
      query: (body) => ({ method: 'DELETE', address: '/account', body }),
    }),
  }),
});

export const {
  useMeQuery,
  useAccountQuery,
  useRenameMeMutation,
  useChangePassphraseMutation,
  useSessionsQuery,
  useEndSessionMutation,
  useEndOtherSessionsMutation,
  useBeginFactorMutation,
  useUseFactorMutation,
  useDropFactorMutation,
  useNewRecoveryCodesMutation,
  useDeleteAccountMutation,
} = requests;
