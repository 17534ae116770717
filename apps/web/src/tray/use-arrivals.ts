import { useEffect, useRef, useState } from 'react';

const SEEN_MS = 1600;

/** The ids that have come since the last time, for as long as they are to be noticed. */
export function useArrivals(ids: readonly string[]): ReadonlySet<string> {
  const known = useRef<ReadonlySet<string> | null>(null);
  const [fresh, setFresh] = useState<ReadonlySet<string>>(new Set());
  useEffect(() => {
    const before = known.current;
    known.current = new Set(ids);
    const arrived = before ? ids.filter((id) => !before.has(id)) : [];
    if (!arrived.length) return;
    setFresh(new Set(arrived));
    const timer = setTimeout(() => setFresh(new Set()), SEEN_MS);
    return () => clearTimeout(timer);
  }, [ids]);
  return fresh;
}
