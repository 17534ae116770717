import type { ProjectDocument } from '@mint-lamp/core/document/document';
import type { HandedWhat, HandOver, HandOverList, LoadedHandOver } from '@mint-lamp/core/wire/hand-overs';
import { api } from './api.ts';

/** States are kept for so long after the last look at them, s; they never change. */
const STATES_KEPT_S = 300;

/** The hand-overs of a project. */
const handOversApi = api.injectEndpoints({
  endpoints: (build) => ({
    /** The newest first. */
    handOvers: build.query<readonly HandOver[], string>({
      query: (project) => ({ address: `/projects/${project}/hand-overs` }),
      transformResponse: ({ handOvers }: HandOverList) => handOvers,
    }),
    keepHandOver: build.mutation<HandOver, { project: string; revision: number; what: HandedWhat }>({
      query: ({ project, revision, what }) => ({
        method: 'POST',
        address: `/projects/${project}/hand-overs`,
        body: { revision, ...what },
      }),
      onQueryStarted: ({ project }, { dispatch, queryFulfilled }) =>
        queryFulfilled.then(
          ({ data }) => void dispatch(inList(project, (list) => [data, ...list])),
          () => {},
        ),
    }),
    removeHandOver: build.mutation<null, { project: string; handOver: string }>({
      query: ({ project, handOver }) => ({
        method: 'DELETE',
        address: `/projects/${project}/hand-overs/${handOver}`,
      }),
      onQueryStarted: ({ project, handOver }, { dispatch, queryFulfilled }) =>
        queryFulfilled.then(
          () => void dispatch(inList(project, (list) => list.filter(({ id }) => id !== handOver))),
          () => {},
        ),
    }),
    /** The document as it was handed over, which never changes. */
    handedState: build.query<ProjectDocument, { project: string; handOver: string }>({
      query: ({ project, handOver }) => ({ address: `/projects/${project}/hand-overs/${handOver}` }),
      transformResponse: ({ document }: LoadedHandOver) => document,
      keepUnusedDataFor: STATES_KEPT_S,
      structuralSharing: false,
    }),
  }),
});

const inList = (project: string, change: (list: readonly HandOver[]) => readonly HandOver[]) =>
  handOversApi.util.updateQueryData('handOvers', project, (list) => change(list) as HandOver[]);

export const { useHandOversQuery, useKeepHandOverMutation, useRemoveHandOverMutation, useHandedStateQuery } =
  handOversApi;
