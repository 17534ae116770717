import { configureStore } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { api } from '../fetching/api.ts';
import { arrivalsReducer } from './arrivals-slice.ts';
import { interfaceReducer } from './interface-slice.ts';
import { projectReducer } from './project-slice.ts';
import { savingMiddleware } from './saving-middleware.ts';
import { underTextsReducer } from './under-texts-slice.ts';

/** The store of the page; with `saving`, what is opened in it is kept in step with the server. */
export function createStore({ saving = true } = {}) {
  return configureStore({
    reducer: {
      [api.reducerPath]: api.reducer,
      project: projectReducer,
      interface: interfaceReducer,
      arrivals: arrivalsReducer,
      underTexts: underTextsReducer,
    },
    // The checks walk the whole document at each action; the core's own tests cover what they would find.
    middleware: (defaults) =>
      defaults({ serializableCheck: false, immutableCheck: false })
        .concat(api.middleware)
        .concat(saving ? [savingMiddleware] : []),
  });
}

export type AppStore = ReturnType<typeof createStore>;
export type AppState = ReturnType<AppStore['getState']>;
export type AppDispatch = AppStore['dispatch'];

export const useAppDispatch = useDispatch.withTypes<AppDispatch>();
export const useAppSelector = useSelector.withTypes<AppState>();
