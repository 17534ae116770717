import { useEffect } from 'react';
import { useStore } from 'react-redux';
import { useNavigate } from 'react-router';
import { addressOf, STATIONS } from '../addresses.ts';
import { askedAbout, wordOf } from '../help/asked-about.ts';
import { useThemeSwitch } from '../kinds/themes/use-theme-switch.ts';
import { rememberSurround } from '../look/appearance.ts';
import { isMac, singleKeyOf } from '../shortcuts.ts';
import { step } from '../store/editing.ts';
import { dialogOpened, surroundSwitched } from '../store/interface-slice.ts';
import { selectProject } from '../store/selectors.ts';
import type { AppStore } from '../store/store.ts';

/** Whether a text is being changed that has an undo of its own; a field with nothing new in it has none. */
const isDrafting = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  target.closest('input:not([data-settled], [type=checkbox]), textarea, [contenteditable=true]') !== null;

/** Moves the focus into a part of the frame: to what comes next there, else to its first control, or to itself. */
function jumpTo(id: string) {
  // Where it is a sheet that is opened, that is what has to be done first.
  if (!document.getElementById(id)) document.querySelector<HTMLElement>(`[data-opens=${id}]`)?.click();
  const part = document.getElementById(id);
  const first =
    part?.querySelector<HTMLElement>('[data-next]:not(:disabled)') ??
    part?.querySelector<HTMLElement>(
      'button:not(:disabled, [data-help-open]), input, a[href], [tabindex="0"]',
    );
  (first ?? part)?.focus();
}

/** The shortcuts that work anywhere in the frame. Single keys do nothing while a text is typed or a dialog is open. */
export function useShortcuts() {
  const store = useStore() as AppStore;
  const navigate = useNavigate();
  const switchTheme = useThemeSwitch();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const key = event.key.toLowerCase();
      const mod = isMac ? event.metaKey : event.ctrlKey;
      if (mod && key === 'k') {
        event.preventDefault();
        store.dispatch(dialogOpened(store.getState().interface.dialog === 'finder' ? null : 'finder'));
        return;
      }
      if (mod && key === 'z' && !isDrafting(event.target)) {
        event.preventDefault();
        store.dispatch(step(event.shiftKey ? 'redo' : 'undo'));
        return;
      }
      const single = singleKeyOf(event);
      if (single === null) return;
      const station = STATIONS[Number(single) - 1];
      if (station) navigate(addressOf(selectProject(store.getState()).id, station.id));
      else if (single === 'n') switchTheme();
      else if (single === 'j') jumpTo('lamp');
      else if (single === 'b') jumpTo('tray');
      else if (single === 'm') jumpTo('station');
      else if (single === 'g') {
        const on = !store.getState().interface.surround;
        store.dispatch(surroundSwitched(on));
        rememberSurround(on);
      } else if (single === '?') {
        const asked = askedAbout();
        store.dispatch(dialogOpened(asked ? wordOf(asked) : 'shortcuts'));
      } else return;
      event.preventDefault();
    };
    // What asks for help need not know of the frame that gives it.
    const onClick = ({ target }: MouseEvent) => {
      const mark = target instanceof Element && target.closest<HTMLElement>('[data-help-open]');
      if (mark) store.dispatch(dialogOpened(`help:${mark.dataset.helpOpen}`));
    };
    addEventListener('keydown', onKey);
    addEventListener('click', onClick);
    return () => {
      removeEventListener('keydown', onKey);
      removeEventListener('click', onClick);
    };
  }, [store, navigate, switchTheme]);
}
