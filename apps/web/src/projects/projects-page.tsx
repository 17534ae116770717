import { mayDo } from '@mint-lamp/core/wire/access';
import type { ListedProject } from '@mint-lamp/core/wire/projects';
import { ApiProvider } from '@reduxjs/toolkit/query/react';
import clsx from 'clsx';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { toast } from 'sonner';
import { api, reasonOf } from '../fetching/api.ts';
import { useCreateProjectMutation } from '../fetching/projects-api.ts';
import { useCreateInTeamMutation, useTeamsQuery } from '../fetching/teams-api.ts';
import { Button } from '../ui/button.tsx';
import { Choice } from '../ui/choice.tsx';
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
const AccountMenu = part(async () => ({
  default: (await import('../people/account-menu.tsx')).AccountMenu,
}));
const SetAside = part(async () => ({ default: (await import('./set-aside.tsx')).SetAside }));

/** Letters as they are searched for: without accents, small. */
const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** One's own first, then those of each team, by its name. */
function byOwner(projects: readonly ListedProject[]) {
  const groups = new Map<string, { team: ListedProject['team']; projects: ListedProject[] }>();
  for (const project of projects) {
    const key = project.team?.id ?? '';
    const group = groups.get(key) ?? { team: project.team, projects: [] };
    group.projects.push(project);
    groups.set(key, group);
  }
  return [...groups.values()].sort((a, b) => (a.team?.name ?? '').localeCompare(b.team?.name ?? ''));
}

/** All projects that one may look at, each with its real colours. */
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
  const anyTeam = projects?.some(({ team }) => team !== null) ?? false;
  const shown = projects?.filter(({ name }) => plain(name).includes(plain(words.trim())));
  return (
    <main className="relative mx-auto min-h-full max-w-5xl px-6 py-8">
      <header className="mb-6 flex items-start gap-3">
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
      {byOwner(shown ?? []).map(({ team, projects: own }) => (
        <section key={team?.id ?? 'own'} aria-label={team ? `Projects of ${team.name}` : 'Your own projects'}>
          {/* Where there is no team, nothing has to be told apart. */}
          {anyTeam && (
            <h2 className="mt-6 font-title text-lg font-semibold">
              {team ? (
                <Link to={`/teams/${team.id}`} className="underline-offset-2 hover:underline">
                  {team.name}
                </Link>
              ) : (
                'Your own'
              )}
            </h2>
          )}
          <ul
            aria-label={team ? `Projects of ${team.name}` : 'Projects'}
            className={clsx('divide-y divide-hair border-y border-hair', anyTeam ? 'mt-2' : 'mt-4')}
          >
            {own.map((project) => (
              <ProjectRow key={project.id} project={project} />
            ))}
          </ul>
        </section>
      ))}
      {projects && <RemovedProjects />}
      {/* The first press of Tab is for the name of a new project; who one is stands above, and comes last. */}
      <div className="absolute top-8 right-6">
        <AccountMenu />
      </div>
    </main>
  );
}

function NewProject() {
  const navigate = useNavigate();
  const [name, setName] = useState('');
  const [createProject, { isLoading: busy }] = useCreateProjectMutation();
  const [createInTeam] = useCreateInTeamMutation();
  const { data: teams = [] } = useTeamsQuery();
  const mayBegin = teams.filter(({ access }) => mayDo(access, 'edit'));
  const [team, setTeam] = useState('');
  const create = async () => {
    const { data, error } = await (team
      ? createInTeam({ team, name: name.trim() })
      : createProject(name.trim()));
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
      {mayBegin.length > 0 && (
        <Choice
          label="Whose"
          value={team}
          options={[
            { value: '', label: 'Your own' },
            ...mayBegin.map(({ id, name: of }) => ({ value: id, label: of })),
          ]}
          onChange={setTeam}
          className="w-44 [&_select]:h-9"
        />
      )}
      <Button type="submit" look="primary" className="h-9" disabled={!name.trim() || busy}>
        Begin
      </Button>
    </form>
  );
}
