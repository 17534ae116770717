import { applyCommand } from '@mint-lamp/core/system/commands/apply';
import type { Command } from '@mint-lamp/core/system/commands/command';
import type { ProjectDocument } from '@mint-lamp/core/system/document';
import type { LoadedProject, ProjectNews } from '@mint-lamp/core/wire/projects';
import { createAction, type UnknownAction } from '@reduxjs/toolkit';
import type { UnsentCommand } from './unsent.ts';

export type SaveState = 'saved' | 'saving' | 'away' | 'gone' | 'outdated';

/** Nothing more can be sent from this page. */
export const isOver = (saving: SaveState): boolean => saving === 'gone' || saving === 'outdated';

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
  /** An entry of the log could not be applied here: the document has to be fetched again. */
  readonly drifted: boolean;
  /** Why it can only be looked at; null when it can be changed. */
  readonly readOnly: string | null;
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

/** The document after entries of the log, which all apply where they come from; null when one does not here. */
function applyEntries(
  document: ProjectDocument,
  entries: readonly { readonly command: Command }[],
): ProjectDocument | null {
  let next = document;
  try {
    for (const { command } of entries) {
      const result = applyCommand(next, command);
      if (!result.ok) return null;
      next = result.document;
    }
    return next;
  } catch {
    // A command of a type that is not known here.
    return null;
  }
}

export type Opened = LoadedProject &
  Pick<ProjectState, 'unsent' | 'undo' | 'redo'> & {
    readonly readOnly?: string;
  };

export type Edited = UnsentCommand & {
  readonly document: ProjectDocument;
  readonly as: 'edit' | 'undo' | 'redo';
  readonly back: HistoryStep;
};

export type Advanced = ProjectNews & {
  /** Ids of own commands that are done with: confirmed without being in the news, or refused. */
  readonly settled: readonly string[];
};

/** A project is opened: what the server has, what this browser still has to send, what can be undone. */
export const opened = createAction<Opened>('project/opened');
export const closed = createAction('project/closed');
/** The document while a gesture is under way; null ends it without a trace. */
export const previewed = createAction<ProjectDocument | null>('project/previewed');
export const edited = createAction<Edited>('project/edited');
/** A step that no longer fits is dropped, so that the next one can be reached. */
export const stepDropped = createAction<'undo' | 'redo'>('project/stepDropped');
/** News of the log after the confirmed revision. */
export const advanced = createAction<Advanced>('project/advanced');
/** Commands that another tab of this browser has left unsent. */
export const takenOn = createAction<readonly UnsentCommand[]>('project/takenOn');
export const savingChanged = createAction<SaveState>('project/savingChanged');

function open({ id, revision, document: confirmed, unsent, undo, redo, readOnly }: Opened): ProjectState {
  const document = applyAll(confirmed, unsent);
  return {
    id,
    confirmed,
    revision,
    unsent,
    document,
    shown: document,
    undo,
    redo,
    saving: unsent.length ? 'saving' : 'saved',
    drifted: false,
    readOnly: readOnly ?? null,
  };
}

function edit(state: ProjectState, { as, back, document, id, command }: Edited): ProjectState {
  const undo = as === 'undo' ? state.undo.slice(0, -1) : [...state.undo, back];
  const redo = as === 'edit' ? [] : as === 'undo' ? [...state.redo, back] : state.redo.slice(0, -1);
  return {
    ...state,
    document,
    shown: document,
    undo: undo.slice(-MOST_STEPS),
    redo,
    unsent: [...state.unsent, { id, command }],
    saving: withUnsent(state.saving),
  };
}

/** What is added to the unsent changes nothing about a server that is away, or gone for good. */
const withUnsent = (saving: SaveState): SaveState => (saving === 'saved' ? 'saving' : saving);

function takeOn(state: ProjectState, found: readonly UnsentCommand[]): ProjectState {
  const fresh = found.filter(({ id }) => !state.unsent.some((one) => one.id === id));
  if (!fresh.length) return state;
  const document = applyAll(state.document, fresh);
  const unsent = [...state.unsent, ...fresh];
  return { ...state, unsent, document, shown: document, saving: withUnsent(state.saving) };
}

function advance(state: ProjectState, { revision, news, settled }: Advanced): ProjectState {
  const entries =
    news.kind === 'entries' ? news.entries.filter((entry) => entry.revision > state.revision) : [];
  const whole = news.kind === 'document' && revision > state.revision ? news.document : null;
  const done = new Set([...settled, ...(news.kind === 'entries' ? news.entries.map(({ id }) => id) : [])]);
  const unsent = state.unsent.filter(({ id }) => !done.has(id));
  const confirmed = whole ?? applyEntries(state.confirmed, entries);
  if (!confirmed) return { ...state, drifted: true };
  // Own commands in the order they were made change nothing that is shown.
  const own =
    !whole &&
    unsent.length + entries.length === state.unsent.length &&
    entries.every((entry, i) => state.unsent[i]!.id === entry.id);
  const document = own ? state.document : applyAll(confirmed, unsent);
  return {
    ...state,
    confirmed,
    revision: Math.max(revision, state.revision),
    unsent,
    document,
    shown: own ? state.shown : document,
    saving: unsent.length || isOver(state.saving) ? state.saving : 'saved',
  };
}

/**
 * The state of the open project. Written without drafts: a document is large, is never changed in place, and every
 * command makes the next one out of plain objects.
 */
export function projectReducer(
  state: ProjectState | null = null,
  action: UnknownAction,
): ProjectState | null {
  if (opened.match(action)) return open(action.payload);
  if (closed.match(action) || !state) return null;
  if (previewed.match(action)) {
    const shown = action.payload ?? state.document;
    return shown === state.shown ? state : { ...state, shown };
  }
  if (edited.match(action)) return edit(state, action.payload);
  if (stepDropped.match(action)) return { ...state, [action.payload]: state[action.payload].slice(0, -1) };
  if (advanced.match(action)) return advance(state, action.payload);
  if (takenOn.match(action)) return takeOn(state, action.payload);
  if (savingChanged.match(action))
    return state.saving === action.payload ? state : { ...state, saving: action.payload };
  return state;
}
