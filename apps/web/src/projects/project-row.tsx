import { type ListedProject, REMOVED_FOR_DAYS } from '@mint-lamp/core/wire/projects';
import { formatDistanceToNow } from 'date-fns';
import { Pencil, Trash2 } from 'lucide-react';
import { useRef, useState } from 'react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import { removeProject, sendCommands } from '../store/api.ts';
import { Confirm } from '../ui/confirm.tsx';
import { IconButton } from '../ui/icon-button.tsx';
import { ProjectPicture } from './project-picture.tsx';

interface ProjectRowProps {
  project: ListedProject;
  onChanged: () => void;
}

const reasonOf = (error: unknown) => (error instanceof Error ? error.message : String(error));

export function ProjectRow({ project, onChanged }: ProjectRowProps) {
  const [renaming, setRenaming] = useState(false);
  const remove = async () => {
    try {
      await removeProject(project.id);
      onChanged();
    } catch (error) {
      toast.error(`It could not be removed: ${reasonOf(error)}`);
    }
  };
  return (
    <li className="group relative flex items-center gap-5 py-4 hover:bg-raised">
      <div className="w-56 shrink-0 pl-2">
        {renaming ? (
          <NewName
            project={project}
            onDone={(changed) => {
              setRenaming(false);
              if (changed) onChanged();
            }}
          />
        ) : (
          <h2 className="font-title text-lg font-semibold">
            <Link to={`/p/${project.id}`} className="after:absolute after:inset-0">
              {project.name}
            </Link>
          </h2>
        )}
        <p className="text-sm text-quiet">
          changed {formatDistanceToNow(new Date(project.updatedAt), { addSuffix: true })}
        </p>
      </div>
      <ProjectPicture preview={project.preview} />
      <div className="relative z-10 flex pr-2">
        <IconButton label={`Rename ${project.name}`} onClick={() => setRenaming(true)}>
          <Pencil aria-hidden className="size-4" />
        </IconButton>
        <Confirm
          label="Remove the project"
          trigger={
            <IconButton label={`Remove ${project.name}`}>
              <Trash2 aria-hidden className="size-4" />
            </IconButton>
          }
          yes="Remove"
          no="Keep it"
          onYes={remove}
        >
          Remove <b>{project.name}</b>? It stands below for {REMOVED_FOR_DAYS} days, with all its colours and
          its history, and can be brought back from there.
        </Confirm>
      </div>
    </li>
  );
}

/** The name as a field, where it stands. */
function NewName({ project, onDone }: { project: ListedProject; onDone: (changed: boolean) => void }) {
  const [name, setName] = useState(project.name);
  const [fault, setFault] = useState<string | null>(null);
  // Enter and Escape take the field away, which leaves it as well; only the first of these counts.
  const ended = useRef(false);
  const giveUp = () => {
    ended.current = true;
    onDone(false);
  };
  const refuse = (reason: string) => {
    ended.current = false;
    setFault(reason);
  };
  const save = async () => {
    if (ended.current) return;
    ended.current = true;
    const wanted = name.trim();
    if (!wanted || wanted === project.name) return onDone(false);
    try {
      const command = { type: 'renameProject', name: wanted } as const;
      const { outcomes } = await sendCommands(project.id, project.revision, [
        { id: crypto.randomUUID(), command },
      ]);
      const [outcome] = outcomes;
      if (outcome?.status === 'refused') refuse(outcome.reason);
      else onDone(true);
    } catch (error) {
      refuse(reasonOf(error));
    }
  };
  return (
    <form
      className="relative z-10"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <input
        // biome-ignore lint/a11y/noAutofocus: the pencil beside it was just pressed
        autoFocus
        aria-label="Name of the project"
        aria-invalid={fault !== null}
        value={name}
        maxLength={80}
        onFocus={(event) => event.target.select()}
        onChange={(event) => setName(event.target.value)}
        onBlur={() => void save()}
        onKeyDown={(event) => {
          if (event.key === 'Escape') giveUp();
        }}
        className="h-8 w-full rounded-md border border-control bg-raised px-2 font-title text-lg font-semibold"
      />
      {fault && (
        <p role="alert" className="text-sm text-fail">
          {fault}
        </p>
      )}
    </form>
  );
}
