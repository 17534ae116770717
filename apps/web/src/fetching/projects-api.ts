import type {
  CommitAnswer,
  ListedProject,
  LoadedProject,
  RemovedAnswer,
  RemovedProject,
} from '@mint-lamp/core/wire/projects';
import { api } from './api.ts';

/** The owner's projects, and those that were removed. */
const projectsApi = api.injectEndpoints({
  endpoints: (build) => ({
    projects: build.query<readonly ListedProject[], void>({
      query: () => ({ address: '/projects' }),
      transformResponse: ({ projects }: { projects: ListedProject[] }) => projects,
      providesTags: ['Projects'],
    }),
    createProject: build.mutation<LoadedProject, string>({
      query: (name) => ({ method: 'POST', address: '/projects', body: { name } }),
    }),
    /** Renames a project that is not open, as an edit of it. Resolves to why it is refused, or null. */
    renameProject: build.mutation<string | null, { project: ListedProject; name: string }>({
      query: ({ project: { id, revision }, name }) => ({
        method: 'POST',
        address: `/projects/${id}/commands`,
        body: {
          revision,
          commands: [{ id: crypto.randomUUID(), command: { type: 'renameProject', name } }],
        },
      }),
      transformResponse: ({ outcomes: [outcome] }: CommitAnswer) =>
        outcome?.status === 'refused' ? outcome.reason : null,
      invalidatesTags: ['Projects'],
    }),
    removeProject: build.mutation<null, string>({
      query: (id) => ({ method: 'DELETE', address: `/projects/${id}` }),
      invalidatesTags: ['Projects', 'Removed'],
    }),
    removedProjects: build.query<readonly RemovedProject[], void>({
      query: () => ({ address: '/projects/removed' }),
      transformResponse: ({ projects }: RemovedAnswer) => projects,
      providesTags: ['Removed'],
    }),
    bringBack: build.mutation<null, string>({
      query: (id) => ({ method: 'POST', address: `/projects/removed/${id}/back` }),
      invalidatesTags: ['Projects', 'Removed'],
    }),
    letGoForGood: build.mutation<null, string>({
      query: (id) => ({ method: 'DELETE', address: `/projects/removed/${id}` }),
      invalidatesTags: ['Removed'],
    }),
  }),
});

export const {
  useProjectsQuery,
  useCreateProjectMutation,
  useRenameProjectMutation,
  useRemoveProjectMutation,
  useRemovedProjectsQuery,
  useBringBackMutation,
  useLetGoForGoodMutation,
} = projectsApi;
/** What is known of the list of projects, without asking for it. */
export const useProjectsState = projectsApi.endpoints.projects.useQueryState;
