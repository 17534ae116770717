import { ApiProvider } from '@reduxjs/toolkit/query/react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { api, reasonOf } from '../fetching/api.ts';
import { useCreateProjectMutation } from '../fetching/projects-api.ts';
import { Button } from '../ui/button.tsx';
import { Mark } from '../ui/mark.tsx';
import { EmptyState } from '../ui/notice.tsx';
import { part } from '../ui/part.tsx';
import { SearchField } from '../ui/search-field.tsx';
import { LeftBehind } from './left-behind.tsx';
import { OpenFileButton } from './open-file-button.tsx';
import { ProjectRow } from './project-row.tsx';
import { useProjects } from './use-projects.ts';

/** Projects from which on they can be searched. */
const SEARCHED_FROM = 2;

// The list is there before what is seldom needed.
const RemovedProjects = part(async () => ({
  default: (await import('./removed-projects.tsx')).RemovedProjects,
}));
const SetAside = part(async () => ({ default: (await import('./set-aside.tsx')).SetAside }));

/** Letters as they are searched for: without accents, small. */
const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** All projects of the owner, each with its real colours. */
export function ProjectsPage() {
  return (
    <ApiProvider api={api}>
      <Projects />
    </ApiProvider>
  );
}

function Projects() {
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
      <OpenFileButton />
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
          <ProjectRow key={project.id} project={project} />
        ))}
      </ul>
      {projects && <RemovedProjects />}
    </main>
  );
}

function NewProject() {
  const navigate = useNavigate();
  const [name, setName] = useState('');
  const [createProject, { isLoading: busy }] = useCreateProjectMutation();
  const create = async () => {
    const { data, error } = await createProject(name.trim());
    if (data) navigate(`/p/${data.id}/gather`);
    else toast.error(`The project could not be made: ${reasonOf(error)}`);
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
