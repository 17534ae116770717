import { lazy } from 'react';

/** The frame of an open project is fetched when a project is opened: the list of projects does without. */
export const Frame = lazy(() => import('./frame/frame.tsx'));
export const FrontDoor = lazy(() => import('./frame/front-door.tsx'));

/**
 * Each station is fetched when it is opened; and, when the page has been quiet for a while, ahead, so that it
 * can still be opened while the server is away.
 */
const LOADERS = {
  gather: () => import('./stations/gather/gather.tsx'),
  grow: () => import('./stations/grow/grow.tsx'),
  assign: () => import('./stations/assign/assign.tsx'),
  check: () => import('./stations/check/check.tsx'),
  fade: () => import('./stations/fade/fade.tsx'),
  stage: () => import('./stations/stage/stage.tsx'),
  deliver: () => import('./stations/deliver/deliver.tsx'),
};

export const Gather = lazy(LOADERS.gather);
export const Grow = lazy(LOADERS.grow);
export const Assign = lazy(LOADERS.assign);
export const Check = lazy(LOADERS.check);
export const Fade = lazy(LOADERS.fade);
export const Stage = lazy(LOADERS.stage);
export const Deliver = lazy(LOADERS.deliver);

/** What stations fetch only when it is needed. */
const PARTS = [
  () => import('./stations/fade/profile.tsx'),
  async () => (await import('./jobs/run-job.ts')).loadJobsAhead(),
];

const QUIET_MS = 4000;

/** Fetches the parts that were not opened yet once the page is quiet; returns the way to call it off. */
export function fetchAhead(others: readonly (() => Promise<unknown>)[]): () => void {
  const timer = setTimeout(() => {
    // What cannot be had now is fetched again when it is opened.
    const parts = [...Object.values(LOADERS), ...PARTS, ...others].map((load) => load());
    void Promise.allSettled(parts).then(() => {
      document.documentElement.dataset.ahead = 'fetched';
    });
  }, QUIET_MS);
  return () => clearTimeout(timer);
}
