import type { LibraryAnswer } from '@mint-lamp/core/wire/pictures';
import { api } from './api.ts';

/** The pictures, drawings and pages that can be fetched by address where a library stands for the web. */
export const { useLibraryQuery } = api.injectEndpoints({
  endpoints: (build) => ({
    library: build.query<LibraryAnswer, void>({
      query: () => ({ address: '/library' }),
    }),
  }),
});
