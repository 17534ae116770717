import type { ComponentType } from 'react';

interface Part {
  readonly default: ComponentType;
}

/**
 * Each station, and the page of checkpoints, is fetched when it is opened; and, when the page has been quiet for a
 * while, ahead, so that it can still be opened while the server is away.
 */
const LOADERS = {
  gather: () => import('./stations/gather/gather.tsx'),
  grow: () => import('./stations/grow/grow.tsx'),
  assign: () => import('./stations/assign/assign.tsx'),
  check: () => import('./stations/check/check.tsx'),
  readers: () => import('./stations/check/readers/readers-page.tsx'),
  report: () => import('./stations/check/report/report-page.tsx'),
  matrix: () => import('./stations/check/matrix/matrix-page.tsx'),
  fade: () => import('./stations/fade/fade.tsx'),
  stage: () => import('./stations/stage/stage.tsx'),
  deliver: () => import('./stations/deliver/deliver.tsx'),
  checkpoints: () => import('./checkpoints/checkpoints.tsx'),
} satisfies Record<string, () => Promise<Part>>;

/**
 * Fetches a station for its route. The router waits for it before it draws: a view that said it was waiting would
 * stay for a third of a second, however soon the part is there.
 */
export const station = (name: keyof typeof LOADERS) => async () => ({
  Component: (await LOADERS[name]()).default,
});

/** The list of projects, which an open project does without. */
export const loadProjects = async () => ({
  Component: (await import('./projects/projects-page.tsx')).ProjectsPage,
});

/** The frame of an open project is fetched when a project is opened: the list of projects does without. */
export const loadFrame = () => import('./frame/frame.tsx');
export const loadFrontDoor = async () => ({ Component: (await import('./frame/front-door.tsx')).default });

/** What stations fetch only when it is needed. */
const PARTS = [
  () => import('./stations/fade/profile.tsx'),
  () => import('./stations/grow/growth/curve-charts.tsx'),
  () => import('./stations/check/board/pair-axis.tsx'),
  () => import('./stations/check/repair/ways-list.tsx'),
  () => import('./lamp/plane.tsx'),
  () => import('./lamp/moves.tsx'),
  () => import('./lamp/used-by.tsx'),
  () => import('./lamp/source-of-link.tsx'),
  () => import('./lamp/near-links.tsx'),
  () => import('./lamp/replace-everywhere.tsx'),
  () => import('./frame/steps-list.tsx'),
  () => import('./readout/thing-list.tsx'),
  () => import('./kinds/roles/role-actions.tsx'),
  () => import('./links/link-panel.tsx'),
  () => import('./tray/picked-tools.tsx'),
  () => import('./tray/add-color-form.tsx'),
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
