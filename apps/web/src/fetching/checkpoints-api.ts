import type { ProjectDocument } from '@mint-lamp/core/document/document';
import type { Checkpoint, CheckpointList, LoadedCheckpoint } from '@mint-lamp/core/wire/checkpoints';
import { api } from './api.ts';

/** One checkpoint of a project. */
interface OfProject {
  readonly project: string;
  readonly checkpoint: string;
}

/** States of checkpoints are kept for so long after the last look at them, s; they never change. */
const STATES_KEPT_S = 300;

const addressOf = ({ project, checkpoint }: OfProject) => `/projects/${project}/checkpoints/${checkpoint}`;

/** The checkpoints of a project. What was done to one is put into the list, and the rest of it is not asked for again. */
const checkpointsApi = api.injectEndpoints({
  endpoints: (build) => ({
    /** The newest first. */
    checkpoints: build.query<readonly Checkpoint[], string>({
      query: (project) => ({ address: `/projects/${project}/checkpoints` }),
      transformResponse: ({ checkpoints }: CheckpointList) => checkpoints,
    }),
    /** The document at a revision, which never changes. */
    stateAtRevision: build.query<ProjectDocument, { project: string; revision: number }>({
      query: ({ project, revision }) => ({ address: `/projects/${project}/revisions/${revision}` }),
      transformResponse: ({ document }: { document: ProjectDocument }) => document,
      keepUnusedDataFor: STATES_KEPT_S,
      structuralSharing: false,
    }),
    saveCheckpoint: build.mutation<Checkpoint, { project: string; name: string; revision: number }>({
      query: ({ project, name, revision }) => ({
        method: 'POST',
        address: `/projects/${project}/checkpoints`,
        body: { name, revision },
      }),
      onQueryStarted: ({ project }, { dispatch, queryFulfilled }) =>
        queryFulfilled.then(
          ({ data }) => void dispatch(inList(project, (list) => [data, ...list])),
          () => {},
        ),
    }),
    renameCheckpoint: build.mutation<Checkpoint, OfProject & { name: string }>({
      query: ({ name, ...of }) => ({ method: 'PUT', address: addressOf(of), body: { name } }),
      onQueryStarted: ({ project, checkpoint }, { dispatch, queryFulfilled }) =>
        queryFulfilled.then(
          ({ data }) =>
            void dispatch(inList(project, (list) => list.map((one) => (one.id === checkpoint ? data : one)))),
          () => {},
        ),
    }),
    removeCheckpoint: build.mutation<null, OfProject>({
      query: (of) => ({ method: 'DELETE', address: addressOf(of) }),
      onQueryStarted: ({ project, checkpoint }, { dispatch, queryFulfilled }) =>
        queryFulfilled.then(
          () => void dispatch(inList(project, (list) => list.filter(({ id }) => id !== checkpoint))),
          () => {},
        ),
    }),
    /** The document at a checkpoint, which never changes. */
    stateAt: build.query<ProjectDocument, OfProject>({
      query: (of) => ({ address: addressOf(of) }),
      transformResponse: ({ document }: LoadedCheckpoint) => document,
      keepUnusedDataFor: STATES_KEPT_S,
      structuralSharing: false,
    }),
  }),
});

const inList = (project: string, change: (list: readonly Checkpoint[]) => readonly Checkpoint[]) =>
  checkpointsApi.util.updateQueryData('checkpoints', project, (list) => change(list) as Checkpoint[]);

export const {
  useCheckpointsQuery,
  useSaveCheckpointMutation,
  useRenameCheckpointMutation,
  useRemoveCheckpointMutation,
  useStateAtQuery,
  useStateAtRevisionQuery,
} = checkpointsApi;
