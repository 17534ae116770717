import type { ComponentType } from 'react';
import { toast } from 'sonner';
import type { CheckViewId } from './addresses.ts';
import { lineIsCostly } from './fetching/line.ts';
import type { JobName } from './jobs/job-list.ts';
import { fetchedPart } from './ui/fetched-part.ts';
import { yieldTurn } from './ui/turns.ts';

interface View {
  readonly default: ComponentType;
}

/**
 * Each station, and each page of what was done and said, is fetched when it is opened; and, when the page has been quiet for a
 * while, ahead, so that it can still be opened while the server is away.
 */
const LOADERS = {
  gather: () => import('./stations/gather/gather.tsx'),
  grow: () => import('./stations/grow/grow.tsx'),
  assign: () => import('./stations/assign/assign.tsx'),
  check: () => import('./stations/check/check.tsx'),
  fade: () => import('./stations/fade/fade.tsx'),
  stage: () => import('./stations/stage/stage.tsx'),
  deliver: () => import('./stations/deliver/deliver.tsx'),
  checkpoints: () => import('./checkpoints/checkpoints.tsx'),
  history: () => import('./checkpoints/history.tsx'),
  since: () => import('./checkpoints/since.tsx'),
  notes: () => import('./notes/notes-page.tsx'),
} satisfies Record<string, () => Promise<View>>;

/** Fetches a view for its route, for as long as it takes; what was there stays until then, and it is said why. */
const inTime = <T>(load: () => Promise<T>): Promise<T> =>
  fetchedPart(load, () =>
    toast.warning('The server isn’t answering, so this view hasn’t loaded. It opens as soon as it does.', {
      id: 'view-away',
    }),
  );

/** What a station has done in a worker as soon as it is there; the worker is made while the station is fetched. */
const FIRST_JOBS: Partial<Record<keyof typeof LOADERS, JobName>> = { deliver: 'writeFile' };

async function expectFirstJob(name: keyof typeof LOADERS): Promise<void> {
  const job = FIRST_JOBS[name];
  if (job) await (await import('./jobs/run-job.ts')).expectJob(job);
}

/**
 * Fetches a station for its route. The router waits for it before it draws: a view that said it was waiting would
 * stay for a third of a second, however soon the part is there.
 */
export const station = (name: keyof typeof LOADERS) => async () => {
  // What cannot be had now is had when it is run.
  void expectFirstJob(name).catch(() => {});
  return { Component: (await inTime(LOADERS[name])).default };
};

/** The pages of Check's views, by their files. */
const CHECK_PAGES = import.meta.glob<View>('./stations/check/*/*-page.tsx');

/** Fetches a view of Check for its route. */
export const checkView = (name: CheckViewId) => async () => ({
  Component: (await inTime(CHECK_PAGES[`./stations/check/${name}/${name}-page.tsx`]!)).default,
});

/** Pages of people: coming in, one's account, teams, the server. */
const PEOPLE_PAGES = import.meta.glob<View>('./people/*-page.tsx');
export const peoplePage = (name: string) => async () => ({
  Component: (await inTime(PEOPLE_PAGES[`./people/${name}-page.tsx`]!)).default,
});

export const loadPocket = async () => ({
  Component: (await inTime(() => import('./frame/pocket-page.tsx'))).default,
});

/** The page of whoever was given a share, which brings nothing of projects along. */
export const loadShare = async () => ({
  Component: (await inTime(() => import('./guest/share-page.tsx'))).default,
});

/** The list of projects, which an open project does without. */
export const loadProjects = async () => ({
  Component: (await inTime(() => import('./projects/projects-page.tsx'))).ProjectsPage,
});

/** Where a project begins. */
export const loadBegin = async () => ({
  Component: (await inTime(() => import('./begin/begin-page.tsx'))).default,
});

/** The frame of an open project is fetched when a project is opened: the list of projects does without. */
export const loadFrame = () => inTime(() => import('./frame/frame.tsx'));
export const loadFrontDoor = async () => ({ Component: (await loadFrame()).FrontDoor });

const QUIET_MS = 4000;
/** Parts that are fetched ahead at once: each is read and run when it is there, and somebody may be scrolling. */
const FEW = 4;

/**
 * Fetches the parts that were not opened yet once the page is quiet, a few at a time and when it is idle, the large ones
 * after all others and one at a time; returns the way to call it off. On a slow or metered line nothing is fetched that nobody asked for.
 */
export function fetchAhead(others: readonly (() => Promise<unknown>)[]): () => void {
  let over = false;
  const ahead = async () => {
    if (lineIsCostly()) {
      document.documentElement.dataset.ahead = 'not on this line';
      return;
    }
    const { PARTS, LARGE_PARTS } = await import('./parts-ahead.ts');
    const small = [...Object.values(LOADERS), ...Object.values(CHECK_PAGES), ...PARTS, ...others];
    for (let at = 0; at < small.length; at += FEW) {
      await yieldTurn();
      if (over) return;
      await Promise.allSettled(small.slice(at, at + FEW).map((load) => load()));
    }
    for (const load of LARGE_PARTS) {
      await yieldTurn();
      if (over) return;
      await Promise.allSettled([load()]);
    }
    document.documentElement.dataset.ahead = 'fetched';
  };
  const timer = setTimeout(() => {
    // What cannot be had now is fetched again when it is opened.
    void ahead().catch(() => {});
  }, QUIET_MS);

  return () => {
    over = true;
    clearTimeout(timer);
  };
}
