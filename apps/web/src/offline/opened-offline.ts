import type { Opened } from '../store/project-slice.ts';

/** Told while a project is shown as this browser last had it. */
export const OFFLINE =
  'The server does not answer, so this is the project as this browser last had it: look, copy, download. It can be changed as soon as the server is back.';

/** A project that this browser kept, to be looked at; what is unsent stays where it is until the server is back. */
export const openedOffline = (loaded: Omit<Opened, 'unsent' | 'undo' | 'redo' | 'readOnly'>): Opened => ({
  ...loaded,
  unsent: [],
  undo: [],
  redo: [],
  readOnly: OFFLINE,
});
