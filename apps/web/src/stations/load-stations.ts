import { lazy } from 'react';

/**
 * Each station is fetched when it is opened; and, when the page has been quiet for a while, ahead, so that it
 * can still be opened while the server is away.
 */
const LOADERS = {
  gather: () => import('./gather/gather.tsx'),
  grow: () => import('./grow/grow.tsx'),
  assign: () => import('./assign/assign.tsx'),
  check: () => import('./check/check.tsx'),
  fade: () => import('./fade/fade.tsx'),
  stage: () => import('./stage/stage.tsx'),
  deliver: () => import('./deliver/deliver.tsx'),
};

export const Gather = lazy(LOADERS.gather);
export const Grow = lazy(LOADERS.grow);
export const Assign = lazy(LOADERS.assign);
export const Check = lazy(LOADERS.check);
export const Fade = lazy(LOADERS.fade);
export const Stage = lazy(LOADERS.stage);
export const Deliver = lazy(LOADERS.deliver);

const QUIET_MS = 4000;

/** Fetches the parts that were not opened yet once the page is quiet; returns the way to call it off. */
export function fetchAhead(others: readonly (() => Promise<unknown>)[]): () => void {
  const timer = setTimeout(() => {
    // What cannot be had now is fetched again when it is opened.
    for (const load of [...Object.values(LOADERS), ...others]) load().catch(() => {});
  }, QUIET_MS);
  return () => clearTimeout(timer);
}
