import type { ProjectPreview } from '@mint-lamp/core/system/preview';
import type { ListedProject } from '@mint-lamp/core/wire/projects';
import { formatDistanceToNow } from 'date-fns';
import { Trash2 } from 'lucide-react';
import { useCallback, useEffect, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { toast } from 'sonner';
import { createProject, listProjects, removeProject, ServerError } from '../store/api.ts';
import { deliverWaiting } from '../store/deliver-waiting.ts';
import { watchLeftBehind } from '../store/unsent.ts';
import { Button } from '../ui/button.tsx';
import { Confirm } from '../ui/confirm.tsx';
import { IconButton } from '../ui/icon-button.tsx';
import { Mark } from '../ui/mark.tsx';
import { EmptyState } from '../ui/notice.tsx';
import { LeftBehind } from './left-behind.tsx';

const RETRY_MS = 2000;

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
      {projects && <LeftBehind isGone={(id) => !projects.some((project) => project.id === id)} />}
      {projects?.length === 0 && (
        <EmptyState title="No project yet">Give the first one a name above; it opens at Gather.</EmptyState>
      )}
      <ul className="mt-6 divide-y divide-hair border-y border-hair">
        {projects?.map((project) => (
          <ProjectRow key={project.id} project={project} onRemoved={reload} />
        ))}
      </ul>
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

function ProjectRow({ project, onRemoved }: { project: ListedProject; onRemoved: () => void }) {
  const remove = async () => {
    try {
      await removeProject(project.id);
      onRemoved();
    } catch (error) {
      toast.error(`It could not be removed: ${error instanceof Error ? error.message : error}`);
    }
  };
  return (
    <li className="group relative flex items-center gap-5 py-4 hover:bg-raised">
      <div className="w-56 shrink-0 pl-2">
        <h2 className="font-title text-lg font-semibold">
          <Link to={`/p/${project.id}`} className="after:absolute after:inset-0">
            {project.name}
          </Link>
        </h2>
        <p className="text-sm text-quiet">
          changed {formatDistanceToNow(new Date(project.updatedAt), { addSuffix: true })}
        </p>
      </div>
      <Preview preview={project.preview} />
      <div className="relative z-10 pr-2">
        <Confirm
          label="Remove the project"
          trigger={
            <IconButton label={`Remove ${project.name}`}>
              <Trash2 aria-hidden className="size-4" />
            </IconButton>
          }
          yes="Remove for good"
          no="Keep it"
          onYes={remove}
        >
          Remove <b>{project.name}</b> with all its colours and its history? This cannot be undone.
        </Confirm>
      </div>
    </li>
  );
}

/** Families as thin rails of their shades, themes as beads of their roles' colours. */
function Preview({ preview }: { preview: ProjectPreview }) {
  if (!preview.families.length) return <p className="flex-1 text-quiet">No colours yet</p>;
  return (
    <div aria-hidden className="flex flex-1 items-center gap-6">
      <div className="flex flex-1 flex-col gap-1">
        {preview.families.map((family) => (
          <div key={family.name} className="flex h-2.5 gap-px overflow-hidden rounded-[3px]">
            {[...family.shades].reverse().map((shade, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: shades are a fixed row
              <span key={i} className="flex-1" style={{ background: shade }} />
            ))}
          </div>
        ))}
      </div>
      <div className="flex flex-1 flex-col gap-2">
        {preview.themes.map((theme) => (
          <div key={theme.name} className="flex flex-wrap gap-0.5">
            {theme.colors.map((color, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: roles are a fixed row
              <span key={i} className="checker size-3.5 overflow-hidden rounded-full border border-hair">
                <span className="block size-full" style={{ background: color }} />
              </span>
            ))}
          </div>
        ))}
      </div>
    </div>
  );
}
