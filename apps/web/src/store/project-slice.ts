import { applyCommand } from '@mint-lamp/core/document/commands/apply';
import type { Command } from '@mint-lamp/core/document/commands/command';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import type { Access } from '@mint-lamp/core/wire/access';
import type { LoadedProject, LoggedCommand, ProjectNews } from '@mint-lamp/core/wire/projects';
import { createSlice, original, type PayloadAction } from '@reduxjs/toolkit';
import type { UnsentCommand } from '../storing/unsent.ts';
import { type SavingEvent, type SavingState, savingAfter } from './saving-state.ts';

/** A step of the undo or redo list: the command to apply, and what it takes back, in words. */
export interface HistoryStep {
  readonly command: Command;
  readonly label: string;
  /** The project right after the step, and how many edits there had been here; see `taken-along.ts`. */
  readonly after?: ProjectDocument;
  readonly edits?: number;
}

/** An edit that is in the project since some of the steps and is not among them, mostly somebody else's. */
export interface EditBetween {
  /** Null for edits that came as a whole document, which does not say what they were. */
  readonly command: Command | null;
  /** How many edits there had been here when it came. */
  readonly edits: number;
  readonly whose: 'others' | 'own';
}

/** A gesture under way, such as a drag: the command that letting go would make. */
interface Gesture {
  readonly command: Command;
  readonly document: ProjectDocument;
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
  readonly gesture: Command | null;
  /** Why the last gesture ended before it was let go: somebody else's edit left it nothing to change. */
  readonly interrupted: string | null;
  /** Edits made here since the project was opened, undone ones too. */
  readonly edits: number;
  /** The newest last. */
  readonly between: readonly EditBetween[];
  readonly undo: readonly HistoryStep[];
  readonly redo: readonly HistoryStep[];
  readonly saving: SavingState;
  /** An entry of the log could not be applied here: the document has to be fetched again. */
  readonly drifted: boolean;
  /** What whoever is here may do with it. */
  readonly access: Access;
  /** Why it can only be looked at; null when it can be changed. */
  readonly readOnly: string | null;
}

const MOST_STEPS = 500;
/** Others' edits that are remembered for the sake of undo; beyond them undo asks no more. */
const MOST_BETWEEN = 500;

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

interface Edited {
  /** In order; more than one where it was too much to be sent at once. */
  readonly commands: readonly UnsentCommand[];
  readonly document: ProjectDocument;
  readonly as: 'edit' | 'undo' | 'redo';
  readonly back: HistoryStep;
}

type Advanced = ProjectNews & {
  /** Ids of own commands that are done with: confirmed without being in the news, or refused. */
  readonly settled: readonly string[];
};

/**
 * Steps that were kept without the project after each: it is found by taking them back one after the other, and what
 * cannot be taken back is no step of this project.
 */
function stepsOf(kept: readonly HistoryStep[], now: ProjectDocument): HistoryStep[] {
  const steps: HistoryStep[] = [];
  let after = now;
  for (const step of [...kept].reverse()) {
    const result = applyCommand(after, step.command);
    if (!result.ok) break;
    steps.unshift({ ...step, after: { ...after }, edits: 0 });
    after = result.document;
  }
  return steps;
}

function open({
  id,
  revision,
  document: confirmed,
  access,
  unsent,
  undo,
  redo,
  readOnly,
}: Opened): ProjectState {
  const document = applyAll(confirmed, unsent);
  return {
    id,
    confirmed,
    revision,
    unsent,
    document,
    shown: document,
    gesture: null,
    interrupted: null,
    edits: 0,
    between: [],
    undo: stepsOf(undo, document),
    redo: stepsOf(redo, document),
    saving: readOnly !== undefined ? 'read-only' : unsent.length ? 'waiting' : 'idle',
    drifted: false,
    access,
    readOnly: readOnly ?? null,
  };
}

function edit(state: ProjectState, { as, back: made, document, commands }: Edited): ProjectState {
  const edits = state.edits + 1;
  // A copy: what a document comes to is remembered with it, and not for as long as it can be gone back to.
  const back = { ...made, after: { ...document }, edits };
  const undo = as === 'undo' ? state.undo.slice(0, -1) : [...state.undo, back];
  const redo = as === 'edit' ? [] : as === 'undo' ? [...state.redo, back] : state.redo.slice(0, -1);
  return {
    ...state,
    document,
    shown: document,
    gesture: null,
    edits,
    undo: undo.slice(-MOST_STEPS),
    redo,
    unsent: [...state.unsent, ...commands],
    saving: savingAfter(state.saving, 'edited'),
  };
}

/** The step stays in the project as it is: what lies below it is undone beneath it from now on. */
function dropStep(state: ProjectState, direction: 'undo' | 'redo'): ProjectState {
  const steps = state[direction];
  const last = steps[steps.length - 1];
  const rest = { ...state, [direction]: steps.slice(0, -1) };
  // What takes the step's inverse back is the step itself.
  const again = last?.after && applyCommand(last.after, last.command);
  if (!last || !again?.ok) return rest;
  const edits = last.edits ?? 0;
  const stays: EditBetween = { command: again.inverse, edits, whose: 'own' };
  const at = state.between.findIndex((one) => one.edits >= edits);
  return { ...rest, between: state.between.toSpliced(at === -1 ? state.between.length : at, 0, stays) };
}

function takeOn(state: ProjectState, found: readonly UnsentCommand[]): ProjectState {
  const fresh = found.filter(({ id }) => !state.unsent.some((one) => one.id === id));
  if (!fresh.length) return state;
  const document = applyAll(state.document, fresh);
  const unsent = [...state.unsent, ...fresh];
  return {
    ...state,
    unsent,
    document,
    shown: document,
    gesture: null,
    saving: savingAfter(state.saving, 'edited'),
  };
}

/** What is shown once others' edits are in: the gesture goes on upon them, or ends with the reason. */
function goOn(
  gesture: Command | null,
  document: ProjectDocument,
): Pick<ProjectState, 'shown' | 'gesture' | 'interrupted'> {
  const result = gesture && applyCommand(document, gesture);
  if (!result) return { shown: document, gesture: null, interrupted: null };
  return result.ok
    ? { shown: result.document, gesture, interrupted: null }
    : { shown: document, gesture: null, interrupted: result.reason };
}

/** Of news, what others have done; `whole` is the revision of a document that came instead of entries. */
function editsOfOthers(
  { unsent, edits, revision }: ProjectState,
  entries: readonly LoggedCommand[],
  whole: number | null,
  done: ReadonlySet<string>,
): EditBetween[] {
  const own = new Set(unsent.map(({ id }) => id));
  const others = entries
    .filter(({ id }) => !own.has(id))
    .map(({ command }): EditBetween => ({ command, edits, whose: 'others' }));
  const settled = unsent.filter(({ id }) => done.has(id)).length;
  if (whole !== null && whole - revision > settled) others.push({ command: null, edits, whose: 'others' });
  return others;
}

function advance(state: ProjectState, { revision, news, access, settled }: Advanced): ProjectState {
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
  const others = editsOfOthers(state, entries, whole ? revision : null, done);
  return {
    ...state,
    confirmed,
    revision: Math.max(revision, state.revision),
    access,
    unsent,
    document,
    ...(own ? {} : goOn(state.gesture, document)),
    between: others.length ? [...state.between, ...others].slice(-MOST_BETWEEN) : state.between,
    saving: unsent.length ? state.saving : savingAfter(state.saving, 'settled'),
  };
}

function preview(state: ProjectState, gesture: Gesture | null): ProjectState {
  const shown = gesture?.document ?? state.document;
  const command = gesture?.command ?? null;
  if (shown === state.shown && command === state.gesture && state.interrupted === null) return state;
  return { ...state, shown, gesture: command, interrupted: null };
}

/** Frozen at the top: what is frozen is not walked to its last leaf, with each load and edit, to freeze all that is in it. */
const asItIs = (state: ProjectState): ProjectState => Object.freeze(state);

/**
 * A document is large, is never changed in place, and every command makes the next one out of plain objects: so what is
 * done is done to the state itself and not to a draft of it, and only while a project is open.
 */
const whileOpen =
  <P>(change: (state: ProjectState, payload: P) => ProjectState) =>
  (draft: ProjectState | null, { payload }: PayloadAction<P>): ProjectState | null =>
    draft && asItIs(change((original(draft as object) ?? draft) as ProjectState, payload));

/** The open project. */
const slice = createSlice({
  name: 'project',
  initialState: null as ProjectState | null,
  reducers: {
    /** What the server has, what this browser still has to send, what can be undone. */
    opened: (_, { payload }: PayloadAction<Opened>): ProjectState | null => asItIs(open(payload)),
    closed: (): ProjectState | null => null,
    /** The document while a gesture is under way; null ends it without a trace. */
    previewed: whileOpen<Gesture | null>(preview),
    edited: whileOpen<Edited>(edit),
    /** A step that no longer fits, or that is to stay as it is, is dropped, so that the next one can be reached. */
    stepDropped: whileOpen<'undo' | 'redo'>(dropStep),
    /** News of the log after the confirmed revision. */
    advanced: whileOpen<Advanced>(advance),
    /** Commands that another tab of this browser has left unsent. */
    takenOn: whileOpen<readonly UnsentCommand[]>(takeOn),
    /** Something has happened between this page and the server. */
    savingMoved: whileOpen<SavingEvent>((state, event) => {
      const saving = savingAfter(state.saving, event);
      return saving === state.saving ? state : { ...state, saving };
    }),
  },
});

export const { opened, closed, previewed, edited, stepDropped, advanced, takenOn, savingMoved } =
  slice.actions;
export const projectReducer = slice.reducer;
