import { useCallback, useState } from 'react';

export interface Picked {
  readonly ids: ReadonlySet<string>;
  /** Picks one alone, one more or one less, or all from the last one to this. */
  readonly pick: (id: string, how: 'alone' | 'toggle' | 'range') => void;
  readonly clear: () => void;
}

/** The colours of the tray that are chosen together; those that are gone are not among them. */
export function usePicked(order: readonly string[]): Picked {
  const [state, setState] = useState<{ ids: ReadonlySet<string>; last: string | null }>({
    ids: new Set(),
    last: null,
  });
  const pick = useCallback<Picked['pick']>(
    (id, how) =>
      setState(({ ids, last }) => {
        if (how === 'alone') return { ids: new Set([id]), last: id };
        const next = new Set(ids);
        if (how === 'toggle') {
          if (!next.delete(id)) next.add(id);
          return { ids: next, last: id };
        }
        const [from, to] = [order.indexOf(last ?? id), order.indexOf(id)].sort((a, b) => a - b);
        for (const one of order.slice(Math.max(0, from!), to! + 1)) next.add(one);
        return { ids: next, last: id };
      }),
    [order],
  );
  const clear = useCallback(() => setState({ ids: new Set(), last: null }), []);
  const present = new Set(order);
  return { ids: new Set([...state.ids].filter((id) => present.has(id))), pick, clear };
}
