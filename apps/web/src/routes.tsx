import type { ComponentType } from 'react';
import { createBrowserRouter } from 'react-router';
import { CHECK_VIEWS } from './addresses.ts';
import { LostPage } from './frame/lost-page.tsx';
import {
  checkView,
  fetchAhead,
  loadBegin,
  loadFrame,
  loadFrontDoor,
  loadPocket,
  loadProjects,
  loadShare,
  peoplePage,
  station,
} from './load-parts.ts';
import { Waiting } from './ui/notice.tsx';

/** Pages of people, by where they are. */
const PEOPLE = [
  ['/sign-in', 'sign-in'],
  ['/forgotten', 'forgotten'],
  ['/new-passphrase', 'new-passphrase'],
  ['/invitation', 'invitation'],
  ['/invitation/taken', 'invitation-taken'],
  ['/account', 'account'],
  ['/teams', 'teams'],
  ['/teams/:team', 'team'],
  ['/server', 'server'],
  ['/mailbox', 'mailbox'],
] as const;

/** A page of its own, and what is told until it is there. */
const page = (path: string, says: string, lazy: () => Promise<{ Component: ComponentType }>) => ({
  path,
  hydrateFallbackElement: <Waiting>{says} …</Waiting>,
  lazy,
  errorElement: <LostPage />,
});

/** Every station, family, shade, role, pair, gradient and stop has an address. */
export function createRouter() {
  // What fails while a place is left has no place any more.
  return createBrowserRouter([
    {
      errorElement: <LostPage />,
      children: [
        page('/', 'Opening', loadProjects),
        page('/new/:from?', 'Opening', loadBegin),
        {
          path: '/p/:projectId',
          hydrateFallbackElement: <Waiting>Opening the project …</Waiting>,
          lazy: async () => {
            const { default: Frame } = await loadFrame();
            return { element: <Frame onOpen={fetchAhead} /> };
          },
          errorElement: <LostPage />,
          children: [
            { index: true, lazy: loadFrontDoor },
            { path: 'gather/:source?/:view?', lazy: station('gather') },
            { path: 'grow/:family?/:shade?', lazy: station('grow') },
            { path: 'assign/:role?', lazy: station('assign') },
            ...CHECK_VIEWS.map(({ id }) => ({ path: `check/${id}`, lazy: checkView(id) })),
            { path: 'check/:pair?', lazy: station('check') },
            { path: 'fade/:gradient?/:stop?', lazy: station('fade') },
            { path: 'stage/:scene?', lazy: station('stage') },
            { path: 'deliver/:form?/:handOver?', lazy: station('deliver') },
            { path: 'checkpoints/:before?/:after?', lazy: station('checkpoints') },
            { path: 'history', lazy: station('history') },
            { path: 'since/:revision', lazy: station('since') },
            { path: 'notes/:note?', lazy: station('notes') },
          ],
        },
        page('/p/:projectId/pocket', 'Opening the pocket', loadPocket),
        page('/s/:token', 'Opening', loadShare),
        ...PEOPLE.map(([path, name]) => page(path, 'Opening', peoplePage(name))),
        // All parts in all their states, for whoever works on them.
        ...(import.meta.env.DEV
          ? [
              page('/parts', 'Opening', async () => ({
                Component: (await import('./parts/parts-page.tsx')).default,
              })),
            ]
          : []),
        { path: '*', element: <LostPage /> },
      ],
    },
  ]);
}
