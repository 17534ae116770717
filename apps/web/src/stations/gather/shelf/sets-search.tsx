import { canonical } from '@mint-lamp/core/color/write';
import { SHELF_ORDERS } from '@mint-lamp/core/wire/shelf';
import { useEffect, useRef, useState } from 'react';
import type { ShelfSearch } from '../../../fetching/shelf-api.ts';
import { Choice } from '../../../ui/choice.tsx';
import { ColorChip } from '../../../ui/color-chip.tsx';
import { colorTyping, takeTyped } from '../../../ui/color-text.ts';
import { SearchField } from '../../../ui/search-field.tsx';
import { TextField } from '../../../ui/text-field.tsx';
import { useResting } from '../../../ui/use-resting.ts';

const ORDER_WORDS = { new: 'Newest first', adopted: 'Most adopted', favoured: 'Most favoured' } as const;
const ORDERS = SHELF_ORDERS.map((value) => ({ value, label: ORDER_WORDS[value] }));
const ONLY = [
  { value: 'all', label: 'All sets' },
  { value: 'favourites', label: 'My favourites' },
  { value: 'own', label: 'Published by me' },
] as const;

interface SetsSearchProps {
  search: ShelfSearch;
  onSearch: (search: ShelfSearch) => void;
}

/** What is looked for; words are searched for once they rest. */
export function SetsSearch({ search, onSearch }: SetsSearchProps) {
  const { near, order, only } = search;
  const [words, setWords] = useState(search.words);
  const resting = useResting(words.trim());
  const latest = useRef({ search, onSearch });
  latest.current = { search, onSearch };
  useEffect(() => {
    const { search: now, onSearch: tell } = latest.current;
    if (resting !== now.words) tell({ ...now, words: resting });
  }, [resting]);
  return (
    <search className="flex flex-wrap items-end gap-3 px-5 pb-4">
      <SearchField
        label="By words: fog, copper, bakery …"
        value={words}
        onChange={setWords}
        className="min-w-52 flex-1"
      />
      <div className="flex items-end gap-1.5">
        <TextField
          label="Near a colour"
          value={near ?? ''}
          mono
          className="w-36"
          onCommit={(text) => {
            if (!text) {
              onSearch({ ...search, near: null });
              return null;
            }
            return takeTyped(text, (typed) => {
              onSearch({ ...search, near: canonical({ ...typed, alpha: 1 }) });
              return null;
            });
          }}
          {...colorTyping}
        />
        {near && <ColorChip css={near} className="size-8" />}
      </div>
      <Choice
        label="Order"
        value={order}
        options={ORDERS}
        className="w-36"
        onChange={(next) => onSearch({ ...search, order: next })}
      />
      <Choice
        label="Which"
        value={only}
        options={ONLY}
        className="w-40"
        onChange={(next) => onSearch({ ...search, only: next })}
      />
    </search>
  );
}
