import type { ExceptionAccess } from '@mint-lamp/core/wire/access';
import type { History, PeopleOnProject } from '@mint-lamp/core/wire/people';
import { api } from './api.ts';

/** Who is on a project, and who did what in it. */
const requests = api.enhanceEndpoints({ addTagTypes: ['OnProject', 'History'] }).injectEndpoints({
  endpoints: (build) => ({
    onProject: build.query<PeopleOnProject, string>({
      query: (id) => ({ address: `/projects/${id}/people` }),
      providesTags: ['OnProject'],
    }),
    except: build.mutation<null, { project: string; person: string; access: ExceptionAccess | null }>({
      query: ({ project, person, access }) => ({
        method: 'PUT',
        address: `/projects/${project}/people/${person}`,
        body: { access },
      }),
      invalidatesTags: ['OnProject'],
    }),
    history: build.infiniteQuery<History, string, number | null>({
      infiniteQueryOptions: { initialPageParam: null, getNextPageParam: ({ before }) => before ?? undefined },
      query: ({ queryArg: id, pageParam }) => ({
        address: `/projects/${id}/history${pageParam === null ? '' : `?before=${pageParam}`}`,
      }),
      providesTags: ['History'],
    }),
  }),
});

export const { useOnProjectQuery, useExceptMutation, useHistoryInfiniteQuery } = requests;
