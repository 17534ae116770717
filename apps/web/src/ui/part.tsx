import { type ComponentType, type ReactNode, useEffect, useState } from 'react';
import { fetchedPart } from './fetched-part.ts';

/**
 * A part that is fetched when it is first drawn. Unlike one that suspends, it is there with the next frame once it has
 * been fetched: a waiting view would be kept up for a third of a second. One that cannot be fetched says so in its own
 * place, and is there as soon as the server is.
 */
export function part<P extends object>(
  load: () => Promise<{ readonly default: ComponentType<P> }>,
  meanwhile: ReactNode = null,
): ComponentType<P> {
  let known: ComponentType<P> | null = null;
  // biome-ignore lint/correctness/noComponentHookFactories: made once for each part, where its module begins
  return function Part(props: P) {
    const [away, setAway] = useState(false);
    const [, setFetched] = useState(known !== null);
    useEffect(() => {
      if (known) return;
      const left = new AbortController();
      void fetchedPart(load, () => setAway(true), left.signal).then((fetched) => {
        known = fetched.default;
        if (left.signal.aborted) return;
        setAway(false);
        setFetched(true);
      });
      return () => left.abort();
    }, []);
    const Known = known;
    if (Known) return <Known {...props} />;
    if (!away) return meanwhile;
    return (
      <>
        {meanwhile}
        <span role="status" className="inline-block max-w-72 px-2 py-1 text-sm text-look">
          The server isn’t answering, so this part hasn’t loaded. It appears as soon as it does.
        </span>
      </>
    );
  };
}
