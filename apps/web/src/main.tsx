import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router';
import './look/base.css';
import { TurnedAway } from './people/turned-away.tsx';
import { createRouter } from './routes.tsx';
import { Toasts } from './ui/toasts.tsx';

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <RouterProvider router={createRouter()} />
    <Toasts />
    <TurnedAway />
  </StrictMode>,
);
