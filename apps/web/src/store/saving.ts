import { describeCommand } from '@mint-lamp/core/document/commands/describe';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import type { ProjectNews } from '@mint-lamp/core/wire/projects';
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
import { advanced, type HistoryStep, isOver, opened, savingChanged, takenOn } from './project-slice.ts';
import type { AppStore } from './store.ts';
import { tellDropped, tellFailing, tellInterrupted, tellSetAside, tellTooLarge } from './telling.ts';

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

/**
 * Keeps the open project and the server in step until the returned function is called: sends unsent commands
 * in order, tries again while the server or its database is away, and takes in what others have changed.
 */
export function keepSaved(store: AppStore, projectId: string): () => void {
  let stopped = false;
  let busy = false;
  let wait = FIRST_WAIT_MS;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let behind = false;
  const parcels = new Parcels();
  /** The commands of the request that is on its way. */
  let part: readonly UnsentCommand[] = [];
  /** Commands that are done with, in case another tab's memory of them outlives them. */
  const done = new Set<string>();

  const project = () => {
    const { project: open } = store.getState();
    return open?.id === projectId ? open : null;
  };

  const advance = ({ revision, news }: ProjectNews, settled: readonly string[] = []) => {
    const told = news.kind === 'entries' ? news.entries.map(({ id }) => id) : [];
    for (const id of [...told, ...settled]) {
      forgetUnsent(projectId, id);
      done.add(id);
    }
    store.dispatch(advanced({ revision, news, settled }));
    const { interrupted } = project() ?? {};
    if (interrupted) tellInterrupted(interrupted);
  };

  const send = async () => {
    const open = project();
    part = [];
    if (!open) return;
    if (open.drifted) return fetchAgain(open.undo, open.redo);
    if (!open.unsent.length) {
      if (behind) {
        behind = false;
        const news = await loadNews(projectId, open.revision);
        if (!stopped) advance(news);
      }
      return;
    }
    // News that comes while this is on its way is not in its answer.
    behind = false;
    part = parcels.next(open.unsent);
    const result = await sendCommands(projectId, open.revision, part);
    parcels.wentThrough();
    if (stopped) return;
    for (const outcome of result.outcomes) if (outcome.status === 'refused') tellDropped(outcome.reason);
    // Every command that was answered is done with, whether the news names it, or it was known or refused.
    advance(
      result,
      result.outcomes.map(({ id }) => id),
    );
  };

  /** What to do about an answer that says no: go on at once, or wait as for a server that is away. */
  const handleRefusal = async (error: ServerError): Promise<'go on' | 'wait'> => {
    const open = project();
    if (!open) return 'wait';
    if (error.outdated) store.dispatch(savingChanged('outdated'));
    else if (error.status === 404) store.dispatch(savingChanged('gone'));
    else if (error.code === 'REVISION_AHEAD') {
      // The server's database was set back: what could be undone was of another life.
      await fetchAgain([], []);
    } else if (error.status === TOO_LARGE) {
      const [bad] = part;
      if (bad && parcels.failed(part) > 0) {
        setAsideUnsent(projectId, bad.id);
        letGo(bad, () => tellTooLarge(wordsOf(open.confirmed, bad)));
      }
    } else if (!MALFORMED.has(error.status)) return 'wait';
    else {
      const at = /^body\.commands\.(\d+)/.exec(error.path)?.[1];
      // Only a command that is itself at fault goes; which one it is, smaller parts will say.
      if (at !== undefined || parcels.failed(part) > 0)
        letGo(part[Number(at ?? 0)], () => tellDropped(error.message));
    }
    return 'go on';
  };

  /** The server failed. A command that makes it fail alone, while it answers otherwise, does not hold up the rest. */
  const handleFailure = async (): Promise<void> => {
    const open = project();
    const [bad] = part;
    if (!open || !bad || parcels.failed(part) < MOST_FAILURES) return;
    await loadNews(projectId, open.revision);
    setAsideUnsent(projectId, bad.id);
    letGo(bad, () => tellFailing(wordsOf(open.confirmed, bad)));
  };

  /** The server's document counts, and what is unsent goes on top. */
  const fetchAgain = async (undo: readonly HistoryStep[], redo: readonly HistoryStep[]) => {
    const loaded = await loadProject(projectId);
    const { commands: unsent, setAside } = await readUnsent(projectId);
    tellSetAside(setAside);
    if (!stopped) store.dispatch(opened({ ...loaded, unsent, undo, redo }));
  };

  /** Lets one command go that the server will never take, and says why. */
  const letGo = (bad: UnsentCommand | undefined, tell: () => void) => {
    const open = project();
    if (!bad || !open) return;
    tell();
    advance({ revision: open.revision, news: { kind: 'entries', entries: [] } }, [bad.id]);
  };

  const cannotSend = () => isOver(project()?.saving ?? 'saved');

  /** Takes on what other tabs of this browser have left unsent. */
  const takeOn = async () => {
    const open = project();
    if (!open || stopped || cannotSend()) return;
    const own = new Set(open.unsent.map(({ id }) => id));
    const found = await readLeftBehind(projectId, (id) => own.has(id) || done.has(id));
    tellSetAside(found.setAside);
    if (!stopped && project() && found.commands.length) store.dispatch(takenOn(found.commands));
  };

  /** Takes on an edit that had been set aside and is to be tried again. */
  const takeUp = async (id: string) => {
    if (!project() || stopped || cannotSend()) return;
    const found = await readUnsent(projectId);
    tellSetAside(found.setAside);
    done.delete(id);
    const returned = found.commands.filter((one) => one.id === id);
    if (!stopped && project() && returned.length) store.dispatch(takenOn(returned));
  };

  const run = async () => {
    if (busy || stopped || cannotSend()) return;
    busy = true;
    clearTimeout(timer);
    try {
      while (!stopped && (project()?.unsent.length || behind || project()?.drifted)) await send();
      wait = FIRST_WAIT_MS;
      if (stopped || !project()) return;
      if (project()?.saving !== 'saved') store.dispatch(savingChanged('saved'));
      void takeOn();
    } catch (error) {
      if (stopped || !project()) return;
      const isAnswer = error instanceof ServerError && !error.away;
      if (error instanceof ServerError && error.status === FAILED) await handleFailure().catch(() => {});
      const then = isAnswer ? await handleRefusal(error).catch(() => 'wait' as const) : 'wait';
      if (cannotSend() || stopped) return;
      if (then === 'go on') {
        timer = setTimeout(run, 0);
        return;
      }
      behind = true;
      store.dispatch(savingChanged('away'));
      timer = setTimeout(run, wait);
      wait = Math.min(wait * 2, keptByPageAlone(projectId) ? LONGEST_WAIT_UNKEPT_MS : LONGEST_WAIT_MS);
    } finally {
      busy = false;
    }
  };

  const leave = followRevisions(projectId, ({ revision }) => {
    const open = project();
    if (open && (revision === null || revision > open.revision)) {
      behind = true;
      void run();
    } else if (open?.saving === 'away') void run();
  });

  const unsubscribe = store.subscribe(() => {
    const open = project();
    if (open?.unsent.length && open.saving !== 'away') void run();
  });
  const wake = () => {
    behind = true;
    void run();
  };
  addEventListener('online', wake);
  const unwatch = [
    watchLeftBehind(takeOn, projectId),
    watchSetAside((of, returned) => {
      if (of === projectId && returned !== null) void takeUp(returned);
    }),
  ];
  void run();

  return () => {
    stopped = true;
    clearTimeout(timer);
    leave();
    unsubscribe();
    for (const end of unwatch) end();
    removeEventListener('online', wake);
  };
}
