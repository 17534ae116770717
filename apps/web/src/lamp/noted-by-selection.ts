import type { Noted } from '@mint-lamp/core/document/naming/note-name';
import type { Selection } from '../store/interface-slice.ts';

/** What a note on a selected thing is on; null for a stop, since the notes on its gradient stand at Fade. */
export const notedBySelection = (selection: Selection): Noted | null =>
  selection.kind === 'stop' ? null : selection;
