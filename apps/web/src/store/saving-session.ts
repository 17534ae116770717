import { describeCommand } from '@mint-lamp/core/document/commands/describe';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import type { ProjectNews } from '@mint-lamp/core/wire/projects';
import type { Dispatch, UnknownAction } from '@reduxjs/toolkit';
import { ServerError } from '../fetching/ask.ts';
import { loadNews, loadProject, sendCommands } from '../fetching/document-requests.ts';
import { followRevisions } from '../fetching/revisions.ts';
import { watchSetAside } from '../storing/set-aside.ts';
import {
  forgetUnsent,
  keptByPageAlone,
  readLeftBehind,
  readUnsent,
  setAsideUnsent,
  type UnsentCommand,
  watchLeftBehind,
} from '../storing/unsent.ts';
import { Parcels } from './parts.ts';
import {
  advanced,
  type HistoryStep,
  opened,
  type ProjectState,
  savingMoved,
  takenOn,
} from './project-slice.ts';
import { isOver, type SavingEvent } from './saving-state.ts';
import {
  tellDropped,
  tellFailing,
  tellInterrupted,
  tellNotAllowed,
  tellSetAside,
  tellTooLarge,
} from './telling.ts';

/** Answers that say that what was sent is wrong; any other refusal may pass. */
const MALFORMED = new Set([400, 422]);
/** What was sent is too large, which smaller parts may not be. */
const TOO_LARGE = 413;

/** The server failed by itself, and says so; when it or its database is away it says something else. */
const FAILED = 500;
/** So often a command may make the server fail, alone, before it is set aside. */
const MOST_FAILURES = 3;

const FIRST_WAIT_MS = 400;
const LONGEST_WAIT_MS = 4000;
/** While edits are kept by this page alone, so that they are the first thing that reaches the server. */
const LONGEST_WAIT_UNKEPT_MS = 1000;

/** What a command does, as far as it can be told from a document that it may not fit. */
function wordsOf(document: ProjectDocument, { command }: UnsentCommand): string {
  try {
    return describeCommand(document, command);
  } catch {
    return command.type;
  }
}

export interface SavingStore {
  dispatch: Dispatch<UnknownAction>;
  getState(): { readonly project: ProjectState | null };
}

/** Commands that are remembered as done with. */
const MOST_DONE = 2000;

/**
 * The open project and the server kept in step: sends unsent commands in order, tries again while the server or its
 * database is away, and takes in what others have changed. How it stands is in the project's `saving`; see
 * `saving-state.ts`.
 */
export class SavingSession {
  readonly projectId: string;
  private readonly store: SavingStore;
  private stopped = false;
  private busy = false;
  private wait = FIRST_WAIT_MS;
  private timer: ReturnType<typeof setTimeout> | undefined;
  /** The server has something that is not here. */
  private behind = false;
  private readonly parcels = new Parcels();
  /** The commands of the request that is on its way. */
  private part: readonly UnsentCommand[] = [];
  /** Commands that are done with, in case another tab's memory of them outlives them; the newest of them. */
  private readonly done = new Set<string>();
  private ends: readonly (() => void)[] = [];

  constructor(store: SavingStore, projectId: string) {
    this.store = store;
    this.projectId = projectId;
  }

  begin(): void {
    const wake = () => {
      this.behind = true;
      void this.run();
    };
    addEventListener('online', wake);
    this.ends = [
      followRevisions(this.projectId, (told) => {
        if ('here' in told) return void dispatchEvent(new CustomEvent('here', { detail: told.here }));
        const { revision, entries, version } = told;
        const { project } = this;
        // What comes next is taken as it comes; what does not, or while something is under way, is asked for.
        if (
          project &&
          entries?.[0]?.revision === project.revision + 1 &&
          version === DOCUMENT_VERSION &&
          !this.busy
        )
          return this.advance({
            revision: revision!,
            access: project.access,
            news: { kind: 'entries', entries },
          });
        if (project && (revision === null || revision > project.revision)) wake();
        else if (project?.saving === 'away') void this.run();
      }),
      watchLeftBehind(() => void this.takeOn(), this.projectId),
      watchSetAside((of, returned) => {
        if (of === this.projectId && returned !== null) void this.takeUp(returned);
      }),
      () => removeEventListener('online', wake),
    ];
    void this.run();
  }

  end(): void {
    this.stopped = true;
    clearTimeout(this.timer);
    for (const end of this.ends) end();
  }

  /** Sends what there is, unless that is under way or the server is away. */
  look(): void {
    const { project } = this;
    if (project?.unsent.length && project.saving !== 'away') void this.run();
  }

  private get project(): ProjectState | null {
    const { project } = this.store.getState();
    return !this.stopped && project?.id === this.projectId ? project : null;
  }

  private get canSend(): boolean {
    const { project } = this;
    return project !== null && !isOver(project.saving);
  }

  private move(event: SavingEvent): void {
    if (this.project) this.store.dispatch(savingMoved(event));
  }

  private async run(): Promise<void> {
    if (this.busy || !this.canSend) return;
    this.busy = true;
    clearTimeout(this.timer);
    try {
      while (this.project?.unsent.length || (this.project && this.behind) || this.project?.drifted)
        await this.send();
      this.wait = FIRST_WAIT_MS;
      this.move('settled');
      void this.takeOn();
    } catch (error) {
      await this.recover(error);
    } finally {
      this.busy = false;
    }
  }

  private async send(): Promise<void> {
    const { project } = this;
    this.part = [];
    if (!project) return;
    if (project.drifted) return this.fetchAgain(project.undo, project.redo);
    // News that comes while a request is on its way is not in its answer.
    this.behind = false;
    if (!project.unsent.length) return this.advance(await loadNews(this.projectId, project.revision));
    this.part = this.parcels.next(project.unsent);
    this.move('sent');
    const result = await sendCommands(this.projectId, project.revision, this.part);
    this.parcels.wentThrough();
    if (!this.project) return;
    for (const outcome of result.outcomes) if (outcome.status === 'refused') tellDropped(outcome.reason);
    // Every command that was answered is done with, whether the news names it, or it was known or refused.
    this.advance(
      result,
      result.outcomes.map(({ id }) => id),
    );
    if (this.project?.unsent.length) this.move('answered');
  }

  private advance({ revision, news, access }: ProjectNews, settled: readonly string[] = []): void {
    if (!this.project) return;
    const told = news.kind === 'entries' ? news.entries.map(({ id }) => id) : [];
    for (const id of [...told, ...settled]) {
      forgetUnsent(this.projectId, id);
      this.done.add(id);
    }
    for (const id of this.done) {
      if (this.done.size <= MOST_DONE) break;
      this.done.delete(id);
    }
    this.store.dispatch(advanced({ revision, news, access, settled }));
    const { interrupted } = this.project ?? {};
    if (interrupted) tellInterrupted(interrupted);
  }

  /** Deals with a request that did not succeed: goes on at once, or waits as for a server that is away. */
  private async recover(error: unknown): Promise<void> {
    if (!this.project) return;
    const isAnswer = error instanceof ServerError && !error.away;
    if (error instanceof ServerError && error.status === FAILED) await this.failed().catch(() => {});
    const goesOn = isAnswer && (await this.refused(error).catch(() => false));
    if (!this.canSend) return;
    if (goesOn) {
      this.move('mended');
      this.timer = setTimeout(() => void this.run());
      return;
    }
    this.behind = true;
    this.move('lost');
    this.timer = setTimeout(() => void this.run(), this.wait);
    const longest = keptByPageAlone(this.projectId) ? LONGEST_WAIT_UNKEPT_MS : LONGEST_WAIT_MS;
    this.wait = Math.min(this.wait * 2, longest);
  }

  /** The server said no. Resolves to whether what it said no to is out of the way. */
  private async refused(error: ServerError): Promise<boolean> {
    const { project } = this;
    if (!project) return false;
    if (error.outdated) this.move('outdated');
    else if (error.status === 404) this.move('removed');
    else if (error.code === 'NOT_ALLOWED') await this.mayLess();
    else if (error.code === 'REVISION_AHEAD') {
      this.move('refused');
      // The server's database was set back: what could be undone was of another life.
      await this.fetchAgain([], []);
    } else if (error.status === TOO_LARGE) {
      this.move('refused');
      const [bad] = this.part;
      if (bad && this.parcels.failed(this.part) > 0) {
        setAsideUnsent(this.projectId, bad.id);
        this.letGo(bad, () => tellTooLarge(wordsOf(project.confirmed, bad)));
      }
    } else if (MALFORMED.has(error.status)) {
      this.move('refused');
      const at = /^body\.commands\.(\d+)/.exec(error.path)?.[1];
      // Only a command that is itself at fault goes; which one it is, smaller parts will say.
      if (at !== undefined || this.parcels.failed(this.part) > 0)
        this.letGo(this.part[Number(at ?? 0)], () => tellDropped(error.message));
    } else return false;
    return true;
  }

  /** What is sent may not be done any more: it is set aside, and what one may is asked anew. */
  private async mayLess(): Promise<void> {
    const { part, project } = this;
    this.move('refused');
    for (const one of part) {
      setAsideUnsent(this.projectId, one.id);
      this.letGo(one, () => {});
    }
    if (part.length && project) tellNotAllowed(part.length);
    await this.fetchAgain([], []);
  }

  /** The server failed. A command that makes it fail alone, while it answers otherwise, does not hold up the rest. */
  private async failed(): Promise<void> {
    const { project } = this;
    const [bad] = this.part;
    if (!project || !bad || this.parcels.failed(this.part) < MOST_FAILURES) return;
    await loadNews(this.projectId, project.revision);
    setAsideUnsent(this.projectId, bad.id);
    this.letGo(bad, () => tellFailing(wordsOf(project.confirmed, bad)));
  }

  /** Lets one command go that the server will never take, and says why. */
  private letGo(bad: UnsentCommand | undefined, tell: () => void): void {
    const { project } = this;
    if (!bad || !project) return;
    tell();
    const { revision, access } = project;
    this.advance({ revision, access, news: { kind: 'entries', entries: [] } }, [bad.id]);
  }

  /** The server's document counts, and what is unsent goes on top. */
  private async fetchAgain(undo: readonly HistoryStep[], redo: readonly HistoryStep[]): Promise<void> {
    const loaded = await loadProject(this.projectId);
    const { commands: unsent, setAside } = await readUnsent(this.projectId);
    tellSetAside(setAside);
    if (this.project) this.store.dispatch(opened({ ...loaded, unsent, undo, redo }));
  }

  /** Takes on what other tabs of this browser have left unsent. */
  private async takeOn(): Promise<void> {
    const { project } = this;
    if (!project || !this.canSend) return;
    const own = new Set(project.unsent.map(({ id }) => id));
    const found = await readLeftBehind(this.projectId, (id) => own.has(id) || this.done.has(id));
    tellSetAside(found.setAside);
    if (this.project && found.commands.length) this.store.dispatch(takenOn(found.commands));
  }

  /** Takes on an edit that had been set aside and is to be tried again. */
  private async takeUp(id: string): Promise<void> {
    if (!this.canSend) return;
    const found = await readUnsent(this.projectId);
    tellSetAside(found.setAside);
    this.done.delete(id);
    const returned = found.commands.filter((one) => one.id === id);
    if (this.project && returned.length) this.store.dispatch(takenOn(returned));
  }
}
