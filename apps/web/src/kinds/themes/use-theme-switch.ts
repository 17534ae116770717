import { useCallback } from 'react';
import { useStore } from 'react-redux';
import { themeChosen } from '../../store/interface-slice.ts';
import { selectDocument, selectProject, selectTheme } from '../../store/selectors.ts';
import type { AppStore } from '../../store/store.ts';
import { rememberTheme } from './theme-memory.ts';

/** Switches the project's theme everywhere in the app: to one with an id, or to the next. */
export function useThemeSwitch() {
  const store = useStore() as AppStore;
  return useCallback(
    (id?: string) => {
      const state = store.getState();
      const { themes } = selectDocument(state);
      const at = themes.findIndex((theme) => theme.id === selectTheme(state).theme.id);
      const next = id ?? themes[(at + 1) % themes.length]!.id;
      store.dispatch(themeChosen(next));
      rememberTheme(selectProject(state).id, next);
    },
    [store],
  );
}
