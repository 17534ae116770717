import type { Noted } from '@mint-lamp/core/system/notes/note';
import type { Selection } from '../store/interface-slice.ts';

/** What a note on a selected thing is on: a stop's is on its gradient. */
export function notedBySelection(selection: Selection): Noted {
  return selection.kind === 'stop' ? { kind: 'gradient', gradient: selection.gradient } : selection;
}
