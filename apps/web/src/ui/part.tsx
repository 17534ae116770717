import { type ComponentType, type ReactNode, useEffect, useState } from 'react';

/**
 * A part that is fetched when it is first drawn. Unlike one that suspends, it is there with the next frame once it has
 * been fetched: a waiting view would be kept up for a third of a second. What cannot be fetched is an error of the view.
 */
export function part<P extends object>(
  load: () => Promise<{ readonly default: ComponentType<P> }>,
  meanwhile: ReactNode = null,
): ComponentType<P> {
  let known: ComponentType<P> | null = null;
  // biome-ignore lint/correctness/noComponentHookFactories: made once for each part, where its module begins
  return function Part(props: P) {
    const [failure, setFailure] = useState<unknown>(null);
    const [, setFetched] = useState(known !== null);
    useEffect(() => {
      if (known) return;
      let left = false;
      load().then(
        (fetched) => {
          known = fetched.default;
          if (!left) setFetched(true);
        },
        (error: unknown) => {
          if (!left) setFailure(error ?? new Error('A part of the page could not be fetched.'));
        },
      );
      return () => {
        left = true;
      };
    }, []);
    if (failure !== null) throw failure;
    const Known = known;
    return Known ? <Known {...props} /> : meanwhile;
  };
}
