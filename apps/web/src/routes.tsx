import { createBrowserRouter } from 'react-router';
import { Frame } from './frame/frame.tsx';
import { FrontDoor } from './frame/front-door.tsx';
import { LostPage } from './frame/lost-page.tsx';
import { ProjectsPage } from './projects/projects-page.tsx';
import { Assign, Check, Deliver, Fade, Gather, Grow, Stage } from './stations/load-stations.ts';

/** Every station, family, shade, role, pair, gradient and stop has an address. */
export function createRouter() {
  return createBrowserRouter([
    { path: '/', element: <ProjectsPage />, errorElement: <LostPage /> },
    {
      path: '/p/:projectId',
      element: <Frame />,
      errorElement: <LostPage />,
      children: [
        { index: true, element: <FrontDoor /> },
        { path: 'gather', element: <Gather /> },
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
