import type { ProjectNews } from '@mint-lamp/core/wire/projects';
import { loadNews, loadProject, ServerError, sendCommands } from './api.ts';
import { firstPart } from './parts.ts';
import { advanced, type HistoryStep, opened, savingChanged } from './project-slice.ts';
import { followRevisions } from './revisions.ts';
import type { AppStore } from './store.ts';
import { tellDropped, tellSetAside } from './telling.ts';
import { forgetUnsent, readUnsent, type UnsentCommand } from './unsent.ts';

/** Answers that say that what was sent is wrong; any other refusal may pass. */
const MALFORMED = new Set([400, 413, 422]);

const FIRST_WAIT_MS = 400;
const LONGEST_WAIT_MS = 4000;

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
  /** Commands in one request: fewer after one was too large. */
  let most = Number.POSITIVE_INFINITY;

  const project = () => {
    const { project: open } = store.getState();
    return open?.id === projectId ? open : null;
  };

  const advance = ({ revision, news }: ProjectNews, settled: readonly string[] = []) => {
    const told = news.kind === 'entries' ? news.entries.map(({ id }) => id) : [];
    for (const id of [...told, ...settled]) forgetUnsent(projectId, id);
    store.dispatch(advanced({ revision, news, settled }));
  };

  const send = async () => {
    const open = project();
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
    const part = firstPart(open.unsent, most);
    // News that comes while this is on its way is not in its answer.
    behind = false;
    const result = await sendCommands(projectId, open.revision, part);
    most = Number.POSITIVE_INFINITY;
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
    } else if (!MALFORMED.has(error.status)) return 'wait';
    else {
      const part = firstPart(open.unsent, most);
      const at = /^body\.commands\.(\d+)/.exec(error.path)?.[1];
      // Only a command that is itself at fault goes; which one it is, smaller parts will say.
      if (at === undefined && part.length > 1)
        most = error.code === 'TOO_LARGE' ? Math.ceil(part.length / 2) : 1;
      else drop(open.unsent[Number(at ?? 0)], error.message);
    }
    return 'go on';
  };

  /** The server's document counts, and what is unsent goes on top. */
  const fetchAgain = async (undo: readonly HistoryStep[], redo: readonly HistoryStep[]) => {
    const loaded = await loadProject(projectId);
    const { commands: unsent, setAside } = await readUnsent(projectId);
    tellSetAside(setAside);
    if (!stopped) store.dispatch(opened({ ...loaded, unsent, undo, redo }));
  };

  /** Lets one command go that the server will never take, and says why. */
  const drop = (bad: UnsentCommand | undefined, reason: string) => {
    const open = project();
    if (!bad || !open) return;
    tellDropped(reason);
    advance({ revision: open.revision, news: { kind: 'entries', entries: [] } }, [bad.id]);
  };

  /** Nothing more can be sent from this page. */
  const isOver = () => project()?.saving === 'gone' || project()?.saving === 'outdated';

  const run = async () => {
    if (busy || stopped || isOver()) return;
    busy = true;
    clearTimeout(timer);
    try {
      while (!stopped && (project()?.unsent.length || behind || project()?.drifted)) await send();
      wait = FIRST_WAIT_MS;
      if (!stopped && project() && project()?.saving !== 'saved') store.dispatch(savingChanged('saved'));
    } catch (error) {
      if (stopped || !project()) return;
      const isAnswer = error instanceof ServerError && !error.away;
      const then = isAnswer ? await handleRefusal(error).catch(() => 'wait' as const) : 'wait';
      if (isOver() || stopped) return;
      if (then === 'go on') {
        timer = setTimeout(run, 0);
        return;
      }
      behind = true;
      store.dispatch(savingChanged('away'));
      timer = setTimeout(run, wait);
      wait = Math.min(wait * 2, LONGEST_WAIT_MS);
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
  void run();

  return () => {
    stopped = true;
    clearTimeout(timer);
    leave();
    unsubscribe();
    removeEventListener('online', wake);
  };
}
