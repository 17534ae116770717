import { Suspense } from 'react';
import { createBrowserRouter } from 'react-router';
import { LostPage } from './frame/lost-page.tsx';
import {
  Assign,
  Check,
  Deliver,
  Fade,
  Frame,
  FrontDoor,
  fetchAhead,
  Gather,
  Grow,
  Stage,
} from './load-parts.ts';
import { ProjectsPage } from './projects/projects-page.tsx';
import { Waiting } from './ui/notice.tsx';

/** Every station, family, shade, role, pair, gradient and stop has an address. */
export function createRouter() {
  return createBrowserRouter([
    { path: '/', element: <ProjectsPage />, errorElement: <LostPage /> },
    {
      path: '/p/:projectId',
      element: (
        <Suspense fallback={<Waiting>Opening the project …</Waiting>}>
          <Frame onOpen={fetchAhead} />
        </Suspense>
      ),
      errorElement: <LostPage />,
      children: [
        { index: true, element: <FrontDoor /> },
        { path: 'gather/:source?/:view?', element: <Gather /> },
        { path: 'grow/:family?/:shade?', element: <Grow /> },
        { path: 'assign/:role?', element: <Assign /> },
        { path: 'check/:pair?', element: <Check /> },
        { path: 'fade/:gradient?/:stop?', element: <Fade /> },
        { path: 'stage/:scene?', element: <Stage /> },
        { path: 'deliver', element: <Deliver /> },
      ],
    },
    { path: '*', element: <LostPage /> },
  ]);
}
