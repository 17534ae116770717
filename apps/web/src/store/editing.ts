import { applyCommand } from '@mint-lamp/core/system/commands/apply';
import type { Command } from '@mint-lamp/core/system/commands/command';
import { describeCommand } from '@mint-lamp/core/system/commands/describe';
import { useCallback, useMemo } from 'react';
import { toast } from 'sonner';
import { edited, type HistoryStep, previewed, stepDropped } from './project-slice.ts';
import { selectProject } from './selectors.ts';
import { type AppDispatch, type AppState, useAppDispatch } from './store.ts';
import { rememberUnsent } from './unsent.ts';

type Thunk<T> = (dispatch: AppDispatch, getState: () => AppState) => T;

function perform(command: Command, as: 'edit' | 'undo' | 'redo', label: string): Thunk<string | null> {
  return (dispatch, getState) => {
    const project = selectProject(getState());
    if (project.readOnly) return 'This project can only be looked at here; the line above says why.';
    const result = applyCommand(project.document, command);
    if (!result.ok) return result.reason;
    const id = crypto.randomUUID();
    const kept = rememberUnsent(project.id, { id, command });
    if (!kept)
      toast.warning('This browser cannot keep unsent edits. Leave the page open until "Saved" shows.', {
        id: 'storage',
      });
    const back: HistoryStep = { command: result.inverse, label };
    dispatch(edited({ id, command, document: result.document, as, back }));
    return null;
  };
}

/** Makes an edit. Returns why it is refused, or null: for a field that tells it where it was typed. */
export function tryEdit(command: Command): Thunk<string | null> {
  return (dispatch, getState) => {
    const { document } = selectProject(getState());
    const refused = dispatch(perform(command, 'edit', describeCommand(document, command)));
    dispatch(previewed(null));
    return refused;
  };
}

/** Makes an edit. Returns whether it was made; a refusal is told to the designer. */
export function edit(command: Command): Thunk<boolean> {
  return (dispatch) => {
    const refused = dispatch(tryEdit(command));
    if (refused) toast.error(refused);
    return !refused;
  };
}

/** Shows what a command would make, without making it: for drags. Ended by `edit` or by `preview(null)`. */
export function preview(command: Command | null): Thunk<void> {
  return (dispatch, getState) => {
    if (!command) {
      dispatch(previewed(null));
      return;
    }
    const { document, readOnly } = selectProject(getState());
    if (readOnly) return;
    const result = applyCommand(document, command);
    if (result.ok) dispatch(previewed(result.document));
  };
}

/** Takes back the last edit, or makes it again. A step that no longer fits is told and dropped. */
export function step(direction: 'undo' | 'redo'): Thunk<void> {
  return (dispatch, getState) => {
    const steps = selectProject(getState())[direction];
    const last = steps[steps.length - 1];
    if (!last) {
      toast(direction === 'undo' ? 'There is nothing to undo.' : 'There is nothing to redo.', {
        id: 'history',
      });
      return;
    }
    const refused = dispatch(perform(last.command, direction, last.label));
    if (refused) {
      dispatch(stepDropped(direction));
      toast.error(`Cannot ${direction} "${last.label}": ${refused}`);
    } else toast(`${direction === 'undo' ? 'Undone' : 'Redone'}: ${last.label}`, { id: 'history' });
  };
}

/** The ways to change the project: for good, for good with the refusal handed back, and for as long as a gesture lasts. */
export function useEditing() {
  const dispatch = useAppDispatch();
  const make = useCallback((command: Command) => dispatch(edit(command)), [dispatch]);
  const attempt = useCallback((command: Command) => dispatch(tryEdit(command)), [dispatch]);
  const show = useCallback((command: Command | null) => dispatch(preview(command)), [dispatch]);
  return useMemo(() => ({ edit: make, tryEdit: attempt, preview: show }), [make, attempt, show]);
}

/** A new id for a thing in the document. */
export function newId(): string {
  return crypto.randomUUID().replaceAll('-', '').slice(0, 12);
}
