import { canonical } from '@mint-lamp/core/color/write';
import { SHELF_ORDERS, type ShelfSet } from '@mint-lamp/core/wire/shelf';
import clsx from 'clsx';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
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
import { ofTab } from '../../../storing/storage.ts';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { ColorChip } from '../../../ui/color-chip.tsx';
import { colorTyping, takeTyped } from '../../../ui/color-text.ts';
import { EmptyState, Failure } from '../../../ui/notice.tsx';
import { SearchField } from '../../../ui/search-field.tsx';
import { TextField } from '../../../ui/text-field.tsx';
import { useResting } from '../../../ui/use-resting.ts';
import { GatherHeader } from '../gather-header.tsx';
import { AdoptSet } from './adopt-set.tsx';
import { NamesSearch } from './names-search.tsx';
import { PublishDialog } from './publish-dialog.tsx';
import { SetCard } from './set-card.tsx';

const ORDER_WORDS = { new: 'Newest first', adopted: 'Most adopted', favoured: 'Most favoured' } as const;
const ORDERS = SHELF_ORDERS.map((value) => ({ value, label: ORDER_WORDS[value] }));
const ONLY = [
  { value: 'all', label: 'All sets' },
  { value: 'favourites', label: 'My favourites' },
  { value: 'own', label: 'Published by me' },
] as const;

/** Ready-made sets and sets that people have published; or colours by their names. @public Found by its file. */
export default function ShelfSource({ view }: { view: string | null }) {
  const [publishing, setPublishing] = useState(false);
  const [published, setPublished] = useState(0);
  const id = useProjectId();
  const names = view === 'names';
  return (
    <div className="flex min-h-full flex-col">
      <GatherHeader
        source="shelf"
        lead={
          <nav aria-label="On the shelf" className="mt-1 flex gap-1">
            {[
              { to: addressOf(id, 'gather', 'shelf'), label: 'Sets', here: !names },
              { to: addressOf(id, 'gather', 'shelf', 'names'), label: 'Names of colours', here: names },
            ].map(({ to, label, here }) => (
              <Link
                key={label}
                to={to}
                aria-current={here ? 'page' : undefined}
                className={clsx('rounded-md px-2 py-0.5', here ? 'bg-pressed text-main' : 'hover:bg-pressed')}
              >
                {label}
              </Link>
            ))}
          </nav>
        }
      >
        <Button look="primary" onClick={() => setPublishing(true)}>
          Publish …
        </Button>
      </GatherHeader>
      {names ? <NamesSearch /> : <Sets key={published} />}
      {publishing && (
        <PublishDialog
          onClose={() => setPublishing(false)}
          onDone={({ name }) => {
            setPublishing(false);
            setPublished((n) => n + 1);
            toast(`${name} is on the shelf`);
          }}
        />
      )}
    </div>
  );
}

function Sets() {
  const id = useProjectId();
  const navigate = useNavigate();
  const [words, setWords] = useState('');
  const [near, setNear] = useState<string | null>(null);
  const [order, setOrder] = useState<ShelfSearch['order']>('new');
  const [only, setOnly] = useState<ShelfSearch['only']>('all');
  const resting = useResting(words.trim());
  const search = useMemo(() => ({ words: resting, near, order, only }), [resting, near, order, only]);
  const { data, error, isFetching, hasNextPage, fetchNextPage, refetch } = useShelfInfiniteQuery(search);
  const sets = useMemo(() => data?.pages.flatMap((page) => page.sets) ?? [], [data]);
  const fault = error && !isFetching ? reasonOf(error) : null;
  const again = () => void (hasNextPage ? fetchNextPage() : refetch());
  const [favourSet] = useFavourSetMutation();
  const [takeBackSet] = useTakeBackSetMutation();
  const [countAdopted] = useCountAdoptedMutation();
  const [adopting, setAdopting] = useState<ShelfSet | null>(null);

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
  const counted = (set: ShelfSet) => {
    setAdopting(null);
    // A count that does not arrive is no reason to trouble anyone.
    void countAdopted(set.id);
  };

  return (
    <>
      <search className="flex flex-wrap items-end gap-3 px-5 pb-4">
        <SearchField
          label="By words: fog, copper, bakery …"
          value={words}
          onChange={setWords}
          className="min-w-52 flex-1"
        />
        <div className="flex items-end gap-1.5">
          <TextField
            label="With something near"
            value={near ?? ''}
            mono
            className="w-36"
            onCommit={(text) => {
              if (!text) {
                setNear(null);
                return null;
              }
              return takeTyped(text, (typed) => {
                setNear(canonical({ ...typed, alpha: 1 }));
                return null;
              });
            }}
            {...colorTyping}
          />
          {near && <ColorChip css={near} className="size-8" />}
        </div>
        <Choice label="Order" value={order} options={ORDERS} className="w-36" onChange={setOrder} />
        <Choice label="Which" value={only} options={ONLY} className="w-40" onChange={setOnly} />
      </search>
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
      {adopting && (
        <AdoptSet
          set={adopting}
          onClose={() => setAdopting(null)}
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
            // As if it had been pasted: the draft of the other source.
            ofTab.write(`mint-lamp/gather/${id}`, css);
            navigate(addressOf(id, 'gather', 'text', 'system'));
          }}
        />
      )}
    </>
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
