import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import type { LoadedProject } from '@mint-lamp/core/wire/projects';
import { useEffect, useState } from 'react';
import { useStore } from 'react-redux';
import { Link } from 'react-router';
import { ServerError } from '../fetching/ask.ts';
import { loadProject } from '../fetching/document-requests.ts';
import { recallTheme } from '../kinds/themes/theme-memory.ts';
import { surroundIsOn } from '../look/appearance.ts';
import { keepHistory, recallHistory } from '../store/history-memory.ts';
import { projectChanged, selected, surroundSwitched, themeChosen } from '../store/interface-slice.ts';
import { closed, type Opened, opened } from '../store/project-slice.ts';
import type { AppStore } from '../store/store.ts';
import { tellSetAside } from '../store/telling.ts';
import { readUnsent } from '../storing/unsent.ts';
import { Button } from '../ui/button.tsx';
import { finishKeyRuns } from '../ui/key-run.ts';
import { Waiting } from '../ui/notice.tsx';
import { part } from '../ui/part.tsx';

const LeftBehind = part(async () => ({
  default: (await import('../projects/left-behind.tsx')).LeftBehind,
}));

const RETRY_MS = 1500;

const laterSentence = (version: number) =>
  `This project was last changed by a newer Mint Lamp (form ${version}; this page knows ${DOCUMENT_VERSION}). You can look at it and copy from it, but not change it here.`;

/** `offline` where the browser kept it, and the server does not answer. */
type Loaded = LoadedProject & { readonly offline?: true };

/** A loaded project with what this browser holds of it; null when it is of a later schema and nothing of it can be read. */
async function whatToOpen(loaded: Loaded): Promise<Opened | null> {
  if (loaded.offline) return (await import('../offline/opened-offline.ts')).openedOffline(loaded);
  if (loaded.document.version > DOCUMENT_VERSION) {
    const { readLater } = await import('@mint-lamp/core/document/versions/later');
    const document = readLater(loaded.document);
    const readOnly = laterSentence(loaded.document.version);
    return document && { ...loaded, document, unsent: [], undo: [], redo: [], readOnly };
  }
  const { commands: unsent, setAside } = await readUnsent(loaded.id);
  tellSetAside(setAside);
  const history = await recallHistory(loaded.id, { revision: loaded.revision, unsent });
  return { ...loaded, unsent, ...history };
}

/** Opens the project with an id and keeps it saved; returns what stands in the way, if anything does. */
export function useOpenProject(projectId: string): ServerError | null {
  const store = useStore() as AppStore;
  const [problem, setProblem] = useState<ServerError | null>(null);
  useEffect(() => {
    let left = false;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const ends: (() => void)[] = [];
    const load = async () => {
      try {
        const loaded: Loaded = await loadProject(projectId);
        if (left) return;
        if (loaded.offline) {
          timer = setTimeout(load, RETRY_MS);
          if (store.getState().project) return;
        }
        setProblem(null);
        const toOpen = await whatToOpen(loaded);
        if (left) return;
        if (!toOpen) {
          setProblem(new ServerError(409, 'FORM_AHEAD', laterSentence(loaded.document.version), ''));
          return;
        }
        store.dispatch(projectChanged());
        store.dispatch(surroundSwitched(surroundIsOn()));
        const theme = recallTheme(projectId);
        if (theme) store.dispatch(themeChosen(theme));
        store.dispatch(opened(toOpen));
        const first = toOpen.document.families[0];
        if (first) store.dispatch(selected({ kind: 'base', family: first.id }));
        if (toOpen.readOnly) return;
        ends.push(keepHistory(store));
      } catch (error) {
        if (left || !(error instanceof ServerError)) throw error;
        setProblem(error);
        if (error.away) timer = setTimeout(load, RETRY_MS);
      }
    };
    void load();
    return () => {
      left = true;
      clearTimeout(timer);
      // Parts of the page are told that they go after this, when there is nothing left to change.
      finishKeyRuns();
      for (const end of ends) end();
      store.dispatch(closed());
    };
  }, [store, projectId]);
  return problem;
}

/** What is shown while a project is on its way, or instead of it. */
export function OpeningPage({ projectId, problem }: { projectId: string; problem: ServerError | null }) {
  if (!problem) return <Waiting>Opening the project …</Waiting>;
  const [title, text] = wordsOf(problem);
  return (
    <Waiting>
      <h1 className="mb-1 font-title text-xl font-semibold text-main">{title}</h1>
      <p className="mb-3 max-w-lg">{text}</p>
      {problem.outdated && (
        <Button look="primary" className="mb-3" onClick={() => location.reload()}>
          Reload this page
        </Button>
      )}
      {problem.status === 404 && <LeftBehind isGone={(id) => id === projectId} />}
      <p>
        <Link to="/" className="underline underline-offset-2">
          All projects
        </Link>
      </p>
    </Waiting>
  );
}

function wordsOf(problem: ServerError): readonly [title: string, text: string] {
  if (problem.outdated) return ['Mint Lamp has been updated', problem.message];
  if (problem.away)
    return [
      'The server or its database does not answer',
      `${problem.message} This page tries again by itself; unsent edits are kept.`,
    ];
  if (problem.code === 'FORM_AHEAD') return ['This project can’t be opened here', problem.message];
  return ['There is no such project', 'The address may be mistyped, or the project was removed.'];
}
