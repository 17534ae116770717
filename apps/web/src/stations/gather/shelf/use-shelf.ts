import type { ShelfOrder, ShelfSet } from '@mint-lamp/core/wire/shelf';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { listShelf } from '../../../store/api.ts';

/** What is looked for on the shelf. */
export interface ShelfSearch {
  readonly words: string;
  /** A colour; sets with something near it. Null for any. */
  readonly near: string | null;
  readonly order: ShelfOrder;
  readonly only: 'all' | 'own' | 'favourites';
}

export interface ShelfList {
  readonly sets: readonly ShelfSet[];
  readonly busy: boolean;
  /** Whether there is more to be loaded. */
  readonly more: boolean;
  readonly fault: string | null;
  readonly loadMore: () => void;
  readonly again: () => void;
  /** Changes a set that is shown, or with null takes it off the list. */
  readonly change: (id: string, part: Partial<ShelfSet> | null) => void;
  /** Lets what is sent arrive before the next search is asked for, which is to know of it. */
  readonly sending: (sent: Promise<unknown>) => void;
}

interface Loaded {
  readonly key: string;
  readonly sets: readonly ShelfSet[];
  readonly next: string | null;
}

/** The sets that a search finds, loaded page by page; what was found stays while the next search is on its way. */
export function useShelf(search: ShelfSearch): ShelfList {
  const [tries, setTries] = useState(0);
  const key = `${JSON.stringify(search)} ${tries}`;
  const [loaded, setLoaded] = useState<Loaded | null>(null);
  /** What was done here since: an answer that was under way does not know of it. */
  const [changed, setChanged] = useState<ReadonlyMap<string, Partial<ShelfSet> | null>>(new Map());
  const [busy, setBusy] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const sent = useRef(new Set<Promise<unknown>>());
  const wanted = useRef(key);
  wanted.current = key;

  const load = useCallback(
    async (own: string, after: string | null) => {
      setBusy(true);
      setFault(null);
      try {
        await Promise.allSettled(sent.current);
        if (wanted.current !== own) return;
        const page = await listShelf(search, after);
        if (wanted.current !== own) return;
        setLoaded((old) => ({
          key: own,
          sets: after && old?.key === own ? [...old.sets, ...page.sets] : page.sets,
          next: page.next,
        }));
      } catch (error) {
        if (wanted.current === own) setFault((error as Error).message);
      } finally {
        if (wanted.current === own) setBusy(false);
      }
    },
    [search],
  );
  useEffect(() => {
    void load(key, null);
  }, [load, key]);

  const sets = useMemo(
    () =>
      (loaded?.sets ?? []).flatMap((set) => {
        const part = changed.get(set.id);
        return part === null ? [] : part ? { ...set, ...part } : set;
      }),
    [loaded, changed],
  );
  const next = loaded?.key === key ? loaded.next : null;
  return {
    sets,
    busy,
    more: next !== null,
    fault,
    // A page that failed is asked for when somebody says so, and not for as long as its place is in sight.
    loadMore: () => {
      if (next && !busy && !fault) void load(key, next);
    },
    again: () => {
      if (next) void load(key, next);
      else setTries((n) => n + 1);
    },
    change: (id, part) => setChanged((old) => new Map(old).set(id, part && { ...old.get(id), ...part })),
    sending: (promise) => {
      sent.current.add(promise);
      const arrived = () => sent.current.delete(promise);
      promise.then(arrived, arrived);
    },
  };
}
