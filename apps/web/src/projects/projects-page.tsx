import type { ListedProject } from '@mint-lamp/core/wire/projects';
import { useCallback, useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { createProject, listProjects, ServerError } from '../store/api.ts';
import { deliverWaiting } from '../store/deliver-waiting.ts';
import { watchLeftBehind } from '../store/unsent.ts';
import { Button } from '../ui/button.tsx';
import { Mark } from '../ui/mark.tsx';
import { EmptyState } from '../ui/notice.tsx';
import { SearchField } from '../ui/search-field.tsx';
import { LeftBehind } from './left-behind.tsx';
import { ProjectRow } from './project-row.tsx';
import { RemovedProjects } from './removed-projects.tsx';
import { SetAside } from './set-aside.tsx';

const RETRY_MS = 2000;
/** Projects from which on they can be searched. */
const SEARCHED_FROM = 2;

/** Letters as they are searched for: without accents, small. */
const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

function useProjects() {
  const [projects, setProjects] = useState<ListedProject[] | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const load = useCallback(async () => {
    try {
      const { projects: listed } = await listProjects();
      setProjects(listed);
      setProblem(null);
      // What closed tabs have left behind changes the pictures.
      if (await deliverWaiting(listed.map(({ id }) => id))) setProjects((await listProjects()).projects);
    } catch (error) {
      setProblem(error instanceof ServerError ? error.message : String(error));
    }
  }, []);
  useEffect(() => {
    void load();
  }, [load]);
  useEffect(() => watchLeftBehind(load), [load]);
  useEffect(() => {
    if (!problem) return;
    const timer = setInterval(load, RETRY_MS);
    return () => clearInterval(timer);
  }, [problem, load]);
  return { projects, problem, reload: load };
}

/** All projects of the owner, each with its real colours. */
export function ProjectsPage() {
  const { projects, problem, reload } = useProjects();
  const [words, setWords] = useState('');
  const shown = projects?.filter(({ name }) => plain(name).includes(plain(words.trim())));
  return (
    <main className="mx-auto min-h-full max-w-5xl px-6 py-8">
      <header className="mb-6 flex items-end gap-3">
        <Mark className="size-12" />
        <div>
          <h1 className="font-title text-2xl leading-none font-semibold">Mint Lamp</h1>
          <p className="text-quiet">Colour systems that can be read, by name, in every theme.</p>
        </div>
      </header>
      <NewProject />
      {problem && (
        <p role="status" className="my-6 text-look">
          {problem} Trying again …
        </p>
      )}
      <SetAside
        nameOf={(id) => projects?.find((project) => project.id === id)?.name ?? null}
        onAgain={reload}
      />
      {projects && <LeftBehind isGone={(id) => !projects.some((project) => project.id === id)} />}
      {projects?.length === 0 && (
        <EmptyState title="No project yet">Give the first one a name above; it opens at Gather.</EmptyState>
      )}
      {projects && projects.length >= SEARCHED_FROM && (
        <div className="mt-6 w-72">
          <SearchField label="Search projects" value={words} onChange={setWords} />
        </div>
      )}
      {projects && projects.length > 0 && !shown?.length && (
        <EmptyState title="No project has that in its name">
          <Button onClick={() => setWords('')}>Show all {projects.length}</Button>
        </EmptyState>
      )}
      <ul aria-label="Projects" className="mt-4 divide-y divide-hair border-y border-hair">
        {shown?.map((project) => (
          <ProjectRow key={project.id} project={project} onChanged={reload} />
        ))}
      </ul>
      {projects && <RemovedProjects removals={projects.length} onChanged={reload} />}
    </main>
  );
}

function NewProject() {
  const navigate = useNavigate();
  const [name, setName] = useState('');
  const [busy, setBusy] = useState(false);
  const create = async () => {
    setBusy(true);
    try {
      const { id } = await createProject(name.trim());
      navigate(`/p/${id}/gather`);
    } catch (error) {
      toast.error(`The project could not be made: ${error instanceof Error ? error.message : error}`);
      setBusy(false);
    }
  };
  return (
    <form
      className="flex items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (name.trim()) void create();
      }}
    >
      <label className="flex-1">
        <span className="mb-0.5 block text-sm text-quiet">New project for</span>
        <input
          value={name}
          maxLength={80}
          onChange={(event) => setName(event.target.value)}
          placeholder="the client's or product's name"
          className="h-9 w-full rounded-md border border-control bg-raised px-3"
        />
      </label>
      <Button type="submit" look="primary" className="h-9" disabled={!name.trim() || busy}>
        Begin
      </Button>
    </form>
  );
}
