import { applyCommand } from '@mint-lamp/core/system/commands/apply';
import type { Command } from '@mint-lamp/core/system/commands/command';
import type { ProjectDocument } from '@mint-lamp/core/system/document';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { LoadedProject, LoggedCommand } from './api.ts';
import type { UnsentCommand } from './unsent.ts';

export type SaveState = 'saved' | 'saving' | 'away' | 'gone';

/** A step of the undo or redo list: the command to apply, and what it takes back, in words. */
export interface HistoryStep {
  readonly command: Command;
  readonly label: string;
}

export interface ProjectState {
  readonly id: string;
  /** What the server has, at a revision of its log. */
  readonly confirmed: ProjectDocument;
  readonly revision: number;
  /** In order; applied on top of `confirmed` they make `document`. */
  readonly unsent: readonly UnsentCommand[];
  readonly document: ProjectDocument;
  /** The document with the gesture that is under way, such as a drag; else the document itself. */
  readonly shown: ProjectDocument;
  readonly undo: readonly HistoryStep[];
  readonly redo: readonly HistoryStep[];
  readonly saving: SaveState;
}

const MOST_STEPS = 500;

function applyAll(
  document: ProjectDocument,
  commands: readonly { readonly command: Command }[],
): ProjectDocument {
  let next = document;
  for (const { command } of commands) {
    const result = applyCommand(next, command);
    if (result.ok) next = result.document;
  }
  return next;
}

export type Edited = UnsentCommand & { readonly document: ProjectDocument } & (
    | { readonly as: 'edit'; readonly back: HistoryStep }
    | { readonly as: 'undo'; readonly back: HistoryStep }
    | { readonly as: 'redo'; readonly back: HistoryStep }
  );

const slice = createSlice({
  name: 'project',
  initialState: null as ProjectState | null,
  reducers: {
    /** A project is opened: what the server has, what this browser still has to send, what can be undone. */
    opened(
      _state,
      { payload }: PayloadAction<LoadedProject & Pick<ProjectState, 'unsent' | 'undo' | 'redo'>>,
    ): ProjectState {
      const document = applyAll(payload.document, payload.unsent);
      return {
        id: payload.id,
        confirmed: payload.document,
        revision: payload.revision,
        unsent: payload.unsent,
        document,
        shown: document,
        undo: payload.undo,
        redo: payload.redo,
        saving: payload.unsent.length ? 'saving' : 'saved',
      };
    },
    closed: () => null,
    /** The document while a gesture is under way; null ends it without a trace. */
    previewed(state, { payload }: PayloadAction<ProjectDocument | null>) {
      if (!state) return state;
      return { ...state, shown: payload ?? state.document } as ProjectState;
    },
    edited(state, { payload }: PayloadAction<Edited>) {
      if (!state) return state;
      const { as, back, document, id, command } = payload;
      const undo = [...state.undo] as HistoryStep[];
      const redo = as === 'edit' ? [] : ([...state.redo] as HistoryStep[]);
      if (as === 'undo') {
        undo.pop();
        redo.push(back);
      } else {
        if (as === 'redo') redo.pop();
        undo.push(back);
      }
      return {
        ...state,
        document,
        shown: document,
        undo: undo.slice(-MOST_STEPS),
        redo,
        unsent: [...state.unsent, { id, command }],
        saving: state.saving === 'away' ? 'away' : 'saving',
      } as ProjectState;
    },
    /** A step that no longer fits is dropped, so that the next one can be reached. */
    stepDropped(state, { payload }: PayloadAction<'undo' | 'redo'>) {
      return state && ({ ...state, [payload]: state[payload].slice(0, -1) } as ProjectState);
    },
    /** News of the log: entries after the confirmed revision, and own commands that were refused. */
    advanced(
      state,
      { payload }: PayloadAction<{ entries: readonly LoggedCommand[]; refused: readonly string[] }>,
    ) {
      if (!state) return state;
      const news = payload.entries.filter((entry) => entry.revision > state.revision);
      const done = new Set([...payload.entries.map((entry) => entry.id), ...payload.refused]);
      const unsent = (state.unsent as UnsentCommand[]).filter(({ id }) => !done.has(id));
      const confirmed = applyAll(state.confirmed as ProjectDocument, news);
      const revision = news.length ? news[news.length - 1]!.revision : state.revision;
      // Own commands in the order they were made change nothing that is shown.
      const own = news.every((entry, i) => state.unsent[i]?.id === entry.id) && !payload.refused.length;
      const document = own ? (state.document as ProjectDocument) : applyAll(confirmed, unsent);
      const saving = unsent.length ? state.saving : 'saved';
      const shown = own ? (state.shown as ProjectDocument) : document;
      return { ...state, confirmed, revision, unsent, document, shown, saving } as ProjectState;
    },
    savingChanged(state, { payload }: PayloadAction<SaveState>) {
      return state && ({ ...state, saving: payload } as ProjectState);
    },
  },
});

export const { opened, closed, previewed, edited, stepDropped, advanced, savingChanged } = slice.actions;
export const projectReducer = slice.reducer;
