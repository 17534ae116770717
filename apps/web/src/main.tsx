import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router';
import './look/base.css';
import { createRouter } from './routes.tsx';
import { createStore } from './store/store.ts';
import { HintProvider } from './ui/hint.tsx';
import { Toasts } from './ui/toasts.tsx';

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <Provider store={createStore()}>
      <HintProvider delayDuration={400}>
        <RouterProvider router={createRouter()} />
        <Toasts />
      </HintProvider>
    </Provider>
  </StrictMode>,
);
