import { useEffect, useState } from 'react';
import { useStore } from 'react-redux';
import { Link } from 'react-router';
import { surroundIsOn } from '../look/dress.ts';
import { loadProject, ServerError } from '../store/api.ts';
import { keepHistory, recallHistory } from '../store/history-memory.ts';
import { projectChanged, selected, surroundSwitched, themeChosen } from '../store/interface-slice.ts';
import { closed, opened } from '../store/project-slice.ts';
import { keepSaved } from '../store/saving.ts';
import type { AppStore } from '../store/store.ts';
import { readUnsent } from '../store/unsent.ts';
import { Mark } from '../ui/mark.tsx';
import { recallTheme } from './theme-memory.ts';

const RETRY_MS = 1500;

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
        const loaded = await loadProject(projectId);
        if (left) return;
        setProblem(null);
        store.dispatch(projectChanged());
        store.dispatch(surroundSwitched(surroundIsOn()));
        const theme = recallTheme(projectId);
        if (theme) store.dispatch(themeChosen(theme));
        store.dispatch(opened({ ...loaded, unsent: readUnsent(projectId), ...recallHistory(projectId) }));
        const first = loaded.document.families[0];
        if (first) store.dispatch(selected({ kind: 'base', family: first.id }));
        ends.push(keepHistory(store), keepSaved(store, projectId));
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
      for (const end of ends) end();
      store.dispatch(closed());
    };
  }, [store, projectId]);
  return problem;
}

export function OpeningPage({ problem }: { problem: ServerError | null }) {
  return (
    <main className="grid h-full place-content-center justify-items-center gap-3 text-center">
      <Mark className="size-12" />
      {!problem && <p className="text-quiet">Opening the project …</p>}
      {problem?.away && (
        <>
          <h1 className="font-title text-xl font-semibold">The server or its database does not answer</h1>
          <p className="text-quiet">
            {problem.message} This page tries again by itself; unsent edits are kept.
          </p>
        </>
      )}
      {problem && !problem.away && (
        <>
          <h1 className="font-title text-xl font-semibold">There is no such project</h1>
          <p className="text-quiet">The address may be mistyped, or the project was removed.</p>
        </>
      )}
      {problem && (
        <Link to="/" className="underline underline-offset-2">
          All projects
        </Link>
      )}
    </main>
  );
}
