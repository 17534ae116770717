import { slug } from '@mint-lamp/core/document/naming/names';
import type { ShelfSet } from '@mint-lamp/core/wire/shelf';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { addressOf } from '../../../addresses.ts';
import { reasonOf } from '../../../fetching/api.ts';
import {
  type ShelfSearch,
  useCountAdoptedMutation,
  useFavourSetMutation,
  useShelfInfiniteQuery,
  useTakeBackSetMutation,
} from '../../../fetching/shelf-api.ts';
import { useProjectId } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { EmptyState, Failure } from '../../../ui/notice.tsx';
import { setSheets } from '../sheets/sheet-files.ts';
import { AdoptSet } from './adopt-set.tsx';
import { SetCard } from './set-card.tsx';
import { SetsSearch } from './sets-search.tsx';

/** The sets that are looked for, page by page, and what can be done with them. */
export function Sets() {
  const [search, setSearch] = useState<ShelfSearch>({ words: '', near: null, order: 'new', only: 'all' });
  const { data, error, isFetching, hasNextPage, fetchNextPage, refetch } = useShelfInfiniteQuery(search);
  const sets = useMemo(() => data?.pages.flatMap((page) => page.sets) ?? [], [data]);
  const fault = error && !isFetching ? reasonOf(error) : null;
  const again = () => void (hasNextPage ? fetchNextPage() : refetch());
  const { onFavour, onTakeBack } = useSetActions();
  const [adopting, setAdopting] = useState<ShelfSet | null>(null);
  return (
    <>
      <SetsSearch search={search} onSearch={setSearch} />
      <section aria-label="Sets" aria-busy={isFetching} className="px-5 pb-5">
        {fault && !sets.length && <Failure fault={fault} onAgain={again} />}
        {!sets.length && !isFetching && !fault && (
          <EmptyState title="Nothing like that on the shelf">
            Try fewer words, another colour, or all sets.
          </EmptyState>
        )}
        <ul
          aria-label="Sets on the shelf"
          className="grid grid-cols-[repeat(auto-fill,minmax(210px,1fr))] gap-5"
        >
          {sets.map((set) => (
            <SetCard
              key={set.id}
              set={set}
              onFavour={onFavour}
              onAdopt={setAdopting}
              onTakeBack={onTakeBack}
            />
          ))}
        </ul>
        {fault && sets.length > 0 ? (
          <Failure fault={fault} onAgain={again} />
        ) : (
          // A page that failed is asked for when somebody says so, and not for as long as its place is in sight.
          hasNextPage && (
            <LoadMore
              busy={isFetching}
              onMore={() => {
                if (!isFetching && !error) void fetchNextPage();
              }}
            />
          )
        )}
      </section>
      {adopting && <Adopting set={adopting} onClose={() => setAdopting(null)} />}
    </>
  );
}

/** What is done to a set; a refusal is told. */
function useSetActions() {
  const [favourSet] = useFavourSetMutation();
  const [takeBackSet] = useTakeBackSetMutation();
  const onFavour = useCallback(
    async ({ id: set, favourite }: ShelfSet) => {
      const { error: refused } = await favourSet({ id: set, on: !favourite });
      if (refused) toast.error(reasonOf(refused));
    },
    [favourSet],
  );
  const onTakeBack = useCallback(
    async ({ id: set, name }: ShelfSet) => {
      const { error: refused } = await takeBackSet(set);
      if (refused) toast.error(reasonOf(refused));
      else toast(`${name} is off the shelf`);
    },
    [takeBackSet],
  );
  return { onFavour, onTakeBack };
}

/** A set that is adopted: into the project, or as a style sheet that is read. */
function Adopting({ set: adopted, onClose }: { set: ShelfSet; onClose: () => void }) {
  const id = useProjectId();
  const navigate = useNavigate();
  const [countAdopted] = useCountAdoptedMutation();
  const counted = (set: ShelfSet) => {
    onClose();
    // A count that does not arrive is no reason to trouble anyone.
    void countAdopted(set.id);
  };
  return (
    <AdoptSet
      set={adopted}
      onClose={onClose}
      onAdopted={(set, as) => {
        counted(set);
        const { kind } = set.content;
        const to = kind === 'gradient' ? 'fade' : kind === 'family' || as === 'families' ? 'grow' : null;
        toast(`${set.name} is adopted; undo takes it back`, {
          ...(to
            ? {
                action: {
                  label: to === 'fade' ? 'See at Fade' : 'See at Grow',
                  onClick: () => navigate(addressOf(id, to)),
                },
              }
            : {}),
        });
      }}
      onRead={(set, css) => {
        counted(set);
        setSheets(id, [{ name: `${slug(set.name) || 'set'}.css`, text: css }]);
        navigate(addressOf(id, 'gather', 'sheets'));
      }}
    />
  );
}

/** Loads on as one scrolls to it, or when it is pressed. */
function LoadMore({ busy, onMore }: { busy: boolean; onMore: () => void }) {
  const end = useRef<HTMLDivElement>(null);
  const load = useRef(onMore);
  load.current = onMore;
  // biome-ignore lint/correctness/useExhaustiveDependencies: looked at again once a page has come
  useEffect(() => {
    const observer = new IntersectionObserver(
      ([entry]) => {
        if (entry?.isIntersecting) load.current();
      },
      { rootMargin: '400px' },
    );
    observer.observe(end.current!);
    return () => observer.disconnect();
  }, [busy]);
  return (
    <div ref={end} className="mt-5 text-center">
      <Button onClick={onMore} disabled={busy}>
        {busy ? 'More is coming …' : 'Show more'}
      </Button>
    </div>
  );
}
