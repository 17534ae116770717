import { SKERRY_LINE_ID } from '@mint-lamp/core/demo/demo-id';
import type { ListedProject } from '@mint-lamp/core/wire/projects';
import { ApiProvider } from '@reduxjs/toolkit/query/react';
import clsx from 'clsx';
import { useEffect, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api } from '../fetching/api.ts';
import { isBusyWithText } from '../shortcuts.ts';
import { Button } from '../ui/button.tsx';
import { Mark } from '../ui/mark.tsx';
import { EmptyState } from '../ui/notice.tsx';
import { part } from '../ui/part.tsx';
import { SearchField } from '../ui/search-field.tsx';
import { useFocusKept } from '../ui/use-focus-kept.ts';
import { BeginWays } from './begin-ways.tsx';
import { bring, broughtBy } from './brought.ts';
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
const KeptHere = part(async () => ({ default: (await import('./kept-here.tsx')).KeptHere }));
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
  useBeginByPasting();
  useFocusKept();
  const [words, setWords] = useState('');
  // The demo project, where there is one; whoever has removed it knows the way.
  const demo = projects?.find(({ id }) => id === SKERRY_LINE_ID);
  const anyTeam = projects?.some(({ team }) => team !== null) ?? false;
  const shown = projects?.filter(({ name }) => plain(name).includes(plain(words.trim())));
  return (
    <main className="relative mx-auto min-h-full max-w-[1100px] px-6 max-sm:px-4 py-8">
      <header className="mb-6 flex items-start gap-3">
        <Mark className="size-12" />
        <div>
          <h1 className="font-title text-2xl leading-none font-semibold">Mint Lamp</h1>
          <p className="text-quiet">Colour systems that can be read, by name, in every theme.</p>
        </div>
      </header>
      <BeginWays />
      <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-1">
        <p className="text-quiet">Or paste it right here: text, a picture, CSS.</p>
        <OpenFileButton />
        {demo && (
          <Link to={`/p/${demo.id}?walk`} className="ml-auto underline underline-offset-2">
            New here? Walk through the demo in six short stops
          </Link>
        )}
      </div>
      {problem && (
        <p role="status" className="my-6 text-look">
          {problem} Trying again …
        </p>
      )}
      {problem && !projects && <KeptHere />}
      <SetAside
        nameOf={(id) => projects?.find((project) => project.id === id)?.name ?? null}
        onAgain={reload}
      />
      {projects && <LeftBehind isGone={(id) => !projects.some((project) => project.id === id)} />}
      {projects?.length === 0 && (
        <EmptyState title="No project yet">
          Say above what you have, or paste it here: a mail, a picture, a style sheet.
        </EmptyState>
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
      {/* The first press of Tab is for what one has; who one is stands above, and comes last. */}
      <div className="absolute top-8 right-6">
        <AccountMenu />
      </div>
    </main>
  );
}

/** What is pasted, while no field is being written in, is what a project begins with. */
function useBeginByPasting() {
  const navigate = useNavigate();
  useEffect(() => {
    const onPaste = (event: ClipboardEvent) => {
      const thing = broughtBy(event.clipboardData);
      if (!thing || isBusyWithText(event.target)) return;
      bring(thing);
      navigate(`/new/${thing.from}`);
    };
    addEventListener('paste', onPaste);
    return () => removeEventListener('paste', onPaste);
  }, [navigate]);
}
