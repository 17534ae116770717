import { type ApplyResult, applyCommand } from '@mint-lamp/core/document/commands/apply';
import type { Command, SimpleCommand } from '@mint-lamp/core/document/commands/command';
import { describeCommand } from '@mint-lamp/core/document/commands/describe';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { faultOfTexts } from '@mint-lamp/core/document/naming/names';
import { whyNotFrom } from '@mint-lamp/core/wire/may-send';
import { useCallback, useMemo } from 'react';
import { toast } from 'sonner';
import { personOfPage } from '../person/person.ts';
import { keptByPageAlone, rememberUnsent } from '../storing/unsent.ts';
import { withNames } from './following-names.ts';
import { inPieces } from './parts.ts';
import { edited, type HistoryStep, type ProjectState, previewed, stepDropped } from './project-slice.ts';
import { selectProject } from './selectors.ts';
import { type AppDispatch, type AppState, useAppDispatch } from './store.ts';
import { takenAlong } from './taken-along.ts';
import { askAboutOthers, tellNotKept } from './telling.ts';

type Thunk<T> = (dispatch: AppDispatch, getState: () => AppState) => T;

/** Why whoever is here may not make a command, as the server would say it; null where they may. */
const whyNotHere = ({ access, document }: ProjectState, command: Command): string | null =>
  whyNotFrom({ id: personOfPage() ?? '', access }, document.notes, command);

/** What pieces of a command come to, one after the other; the whole of it is taken back as one. */
function applyPieces(document: ProjectDocument, label: string, pieces: readonly Command[]): ApplyResult {
  const inverses: SimpleCommand[][] = [];
  let next = document;
  for (const piece of pieces) {
    const result = applyCommand(next, piece);
    if (!result.ok)
      return { ok: false, reason: `This is too much to be sent at once, and in parts: ${result.reason}` };
    next = result.document;
    inverses.push(result.inverse.type === 'batch' ? [...result.inverse.commands] : [result.inverse]);
  }
  return { ok: true, document: next, inverse: { type: 'batch', label, commands: inverses.reverse().flat() } };
}

function perform(command: Command, as: 'edit' | 'undo' | 'redo', label: string): Thunk<string | null> {
  return (dispatch, getState) => {
    const project = selectProject(getState());
    if (project.readOnly) return 'This project is view only here; the line above says why.';
    const forbidden = whyNotHere(project, command);
    if (forbidden) return forbidden;
    const unseen = as === 'edit' ? faultOfTexts(command) : null;
    if (unseen) return unseen;
    const pieces = inPieces(command);
    const { document } = project;
    const result = pieces.length > 1 ? applyPieces(document, label, pieces) : applyCommand(document, command);
    if (!result.ok) return result.reason;
    const commands = pieces.map((piece) => ({ id: crypto.randomUUID(), command: piece }));
    for (const one of commands) rememberUnsent(project.id, one);
    const back: HistoryStep = { command: result.inverse, label };
    dispatch(edited({ commands, document: result.document, as, back }));
    if (keptByPageAlone(project.id)) tellNotKept();
    return null;
  };
}

/** Makes an edit. Returns why it is refused, or null: for a field that tells it where it was typed. */
export function tryEdit(command: Command): Thunk<string | null> {
  return (dispatch, getState) => {
    const { document } = selectProject(getState());
    const whole = withNames(document, command);
    const refused = dispatch(perform(whole, 'edit', describeCommand(document, whole)));
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
    const project = selectProject(getState());
    const { document, readOnly } = project;
    if (readOnly || whyNotHere(project, command)) return;
    const result = applyCommand(document, command);
    if (result.ok) dispatch(previewed({ command, document: result.document }));
  };
}

/**
 * Takes back the last edit, or makes it again. A step that no longer fits is told and dropped. What others have done
 * since to the same thing does not go with it unasked: it is told first, and can be left. Returns whether it was done.
 */
export function step(direction: 'undo' | 'redo'): Thunk<boolean> {
  return (dispatch, getState) => {
    const project = selectProject(getState());
    const steps = project[direction];
    const last = steps[steps.length - 1];
    if (!last) {
      toast(direction === 'undo' ? 'There is nothing to undo.' : 'There is nothing to redo.', {
        id: 'history',
      });
      return false;
    }
    const along = takenAlong(last, project.between);
    if (along.length) {
      askAboutOthers(direction, last.label, along, {
        onAllTheSame: () => {
          if (isStillLast(getState(), direction, last)) dispatch(takeStep(direction, last));
        },
        onLeave: () => {
          if (!isStillLast(getState(), direction, last)) return;
          dispatch(stepDropped(direction));
          toast(`Left unchanged: ${last.label}`, { id: 'history' });
        },
      });
      return false;
    }
    return dispatch(takeStep(direction, last));
  };
}

const isStillLast = ({ project }: AppState, direction: 'undo' | 'redo', step: HistoryStep) =>
  project?.[direction].at(-1) === step;

function takeStep(direction: 'undo' | 'redo', last: HistoryStep): Thunk<boolean> {
  return (dispatch) => {
    const refused = dispatch(perform(last.command, direction, last.label));
    if (refused) {
      dispatch(stepDropped(direction));
      toast.error(`Cannot ${direction} "${last.label}": ${refused}`);
    } else toast(`${direction === 'undo' ? 'Undone' : 'Redone'}: ${last.label}`, { id: 'history' });
    return !refused;
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
