import type { ShelfSet } from '@mint-lamp/core/wire/shelf';
import clsx from 'clsx';
import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { reasonOf } from '../fetching/api.ts';
import { useShelfInfiniteQuery } from '../fetching/shelf-api.ts';
import { SetBar } from '../stations/gather/shelf/set-bar.tsx';
import { Button } from '../ui/button.tsx';
import { Failure } from '../ui/notice.tsx';
import { SearchField } from '../ui/search-field.tsx';
import type { ToBeginWith, WayProps } from './to-begin-with.ts';

/** What a set is to a project that begins with it. */
function givenBy({ name, content, colors }: ShelfSet): ToBeginWith {
  if (content.kind === 'system')
    return { given: { of: 'sheets', files: [{ name: `${name}.css`, text: content.css }] }, name };
  const given =
    content.kind === 'palette'
      ? content.colors
      : content.kind === 'family'
        ? [{ color: content.base, name }]
        : colors.map((color) => ({ color }));
  return { given: { of: 'colors', colors: given, level: 'AA' }, name };
}

/** From a set on the shelf. */
export default function FromSet({ onGiven }: WayProps) {
  const [words, setWords] = useState('');
  const looked = useDeferredValue(words);
  const { data, error, isFetching, hasNextPage, fetchNextPage, refetch } = useShelfInfiniteQuery({
    words: looked,
    near: null,
    order: 'new',
    only: 'all',
  });
  const sets = useMemo(() => data?.pages.flatMap((page) => page.sets) ?? [], [data]);
  const [chosen, setChosen] = useState<ShelfSet | null>(null);
  const given = useMemo(() => chosen && givenBy(chosen), [chosen]);
  useEffect(() => onGiven(given), [given, onGiven]);
  return (
    <>
      <SearchField label="Search the shelf" value={words} onChange={setWords} />
      <p className="mt-1 mb-2 text-sm text-quiet">Ready-made sets, and what people here have shared.</p>
      {error && !isFetching && <Failure fault={reasonOf(error)} onAgain={() => void refetch()} />}
      {!sets.length && !isFetching && !error && (
        <p role="status">
          Nothing like that on the shelf. <Button onClick={() => setWords('')}>Show all</Button>
        </p>
      )}
      <ul aria-label="Sets on the shelf" className="grid grid-cols-2 gap-3">
        {sets.map((set) => (
          <li key={set.id} className="min-w-0 [contain-intrinsic-size:auto_92px] [content-visibility:auto]">
            <button
              type="button"
              aria-pressed={set.id === chosen?.id}
              onClick={() => setChosen(set)}
              className={clsx(
                'block w-full rounded-md border p-1 text-left',
                set.id === chosen?.id ? 'border-main bg-pressed' : 'border-transparent hover:bg-sunken',
              )}
            >
              <SetBar content={set.content} colors={set.colors} />
              <span className="mt-0.5 block truncate px-0.5" title={set.name}>
                {set.name}
              </span>
            </button>
          </li>
        ))}
      </ul>
      {hasNextPage && (
        <p className="mt-3">
          <Button disabled={isFetching} onClick={() => void fetchNextPage()}>
            Show more
          </Button>
        </p>
      )}
    </>
  );
}
