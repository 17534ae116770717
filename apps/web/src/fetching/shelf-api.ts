import type { NewSet } from '@mint-lamp/core/shelf/shelf-set';
import type { ShelfOrder, ShelfPage, ShelfSet } from '@mint-lamp/core/wire/shelf';
import type { ThunkAction, UnknownAction } from '@reduxjs/toolkit';
import { api } from './api.ts';

/** What is looked for on the shelf. */
export interface ShelfSearch {
  readonly words: string;
  /** A colour; sets with something near it. Null for any. */
  readonly near: string | null;
  readonly order: ShelfOrder;
  readonly only: 'all' | 'own' | 'favourites';
}

function addressOf({ words, near, order, only }: ShelfSearch, after: string | null): string {
  const asked = { words, order, only, ...(near ? { near } : {}), ...(after ? { after } : {}) };
  return `/shelf?${new URLSearchParams(asked)}`;
}

type CacheState = Parameters<typeof api.util.selectCachedArgsForQuery>[0];

/** Changes a set in every page that holds it; with null it is taken out. */
const inAllPages =
  (
    id: string,
    change: (set: ShelfSet) => ShelfSet | null,
  ): ThunkAction<void, CacheState, unknown, UnknownAction> =>
  (dispatch, getState) => {
    for (const search of shelfApi.util.selectCachedArgsForQuery(getState(), 'shelf'))
      dispatch(
        shelfApi.util.updateQueryData('shelf', search, ({ pages, pageParams }) => ({
          pageParams,
          pages: pages.map((page) => ({
            ...page,
            sets: page.sets.flatMap((set) => (set.id === id ? (change(set as ShelfSet) ?? []) : set)),
          })),
        })),
      );
  };

/** Whether each set was favoured last: two presses may be answered in another order. */
const wanted = new Map<string, boolean>();

/** How much was done to sets here: an answer that was under way meanwhile may not have known of it. */
let deeds = 0;

/** Sets on the shelf. What was done to one is put into all pages that hold it; they are not asked for again. */
const shelfApi = api.injectEndpoints({
  endpoints: (build) => ({
    /** The sets that a search finds, page by page. */
    shelf: build.infiniteQuery<ShelfPage, ShelfSearch, string | null>({
      infiniteQueryOptions: { initialPageParam: null, getNextPageParam: ({ next }) => next },
      // A search has to know of what was just favoured or taken back.
      async queryFn({ queryArg, pageParam }, { dispatch }, _options, baseQuery) {
        for (;;) {
          await Promise.all(dispatch(api.util.getRunningMutationsThunk()));
          const before = deeds;
          const { data, error } = await baseQuery({ address: addressOf(queryArg, pageParam) });
          if (error) return { error };
          if (deeds === before) return { data: data as ShelfPage };
        }
      },
      keepUnusedDataFor: 0,
    }),
    publishSet: build.mutation<ShelfSet, NewSet & { readonly team?: string }>({
      query: (set) => ({ method: 'POST', address: '/shelf', body: set }),
    }),
    takeBackSet: build.mutation<null, string>({
      query: (id) => ({ method: 'DELETE', address: `/shelf/${id}` }),
      onQueryStarted: (id, { dispatch, queryFulfilled }) => {
        deeds++;
        return queryFulfilled.then(
          () => dispatch(inAllPages(id, () => null)),
          () => {},
        );
      },
    }),
    /** Shown at once, and taken back where the server does not have it. */
    favourSet: build.mutation<null, { id: string; on: boolean }>({
      query: ({ id, on }) => ({ method: 'PUT', address: `/shelf/${id}/favour`, body: { on } }),
      async onQueryStarted({ id, on }, { dispatch, queryFulfilled }) {
        const favour = (to: boolean) =>
          dispatch(
            inAllPages(id, (set) =>
              set.favourite === to ? set : { ...set, favourite: to, favoured: set.favoured + (to ? 1 : -1) },
            ),
          );
        deeds++;
        wanted.set(id, on);
        favour(on);
        const last = () => wanted.get(id) === on;
        await queryFulfilled.then(
          // An answer that was under way may not have known of it.
          () => last() && favour(on),
          () => last() && favour(!on),
        );
      },
    }),
    countAdopted: build.mutation<null, string>({
      query: (id) => ({ method: 'POST', address: `/shelf/${id}/adopted` }),
      onQueryStarted: (id, { dispatch }) => {
        deeds++;
        dispatch(inAllPages(id, (set) => ({ ...set, adopted: set.adopted + 1 })));
      },
    }),
  }),
});

export const {
  useShelfInfiniteQuery,
  usePublishSetMutation,
  useTakeBackSetMutation,
  useFavourSetMutation,
  useCountAdoptedMutation,
} = shelfApi;
