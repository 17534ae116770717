import type { LibraryAnswer } from '@mint-lamp/core/wire/pictures';
import { api } from './api.ts';

/** The pictures that can be fetched by address where a library stands for the web. */
export const { useLibraryQuery } = api.injectEndpoints({
  endpoints: (build) => ({
    library: build.query<LibraryAnswer['pictures'], void>({
      query: () => ({ address: '/library' }),
      transformResponse: ({ pictures }: LibraryAnswer) => pictures,
    }),
  }),
});
