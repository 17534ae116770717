import { mayDo } from '@mint-lamp/core/wire/access';
import type { ListedProject } from '@mint-lamp/core/wire/projects';
import { formatDistanceToNow } from 'date-fns';
import { useRef, useState } from 'react';
import { Link } from 'react-router';
import { reasonOf } from '../fetching/api.ts';
import { useRenameProjectMutation } from '../fetching/projects-api.ts';
import { lessThanEditing } from '../people/access-words.ts';
import { part } from '../ui/part.tsx';
import { ProjectPicture } from './project-picture.tsx';

const RowActions = part(() => import('./row-actions.tsx'));

export function ProjectRow({ project }: { project: ListedProject }) {
  const [renaming, setRenaming] = useState(false);
  const limited = lessThanEditing(project.access);
  return (
    <li className="group relative flex items-center gap-5 py-4 hover:bg-raised max-md:flex-wrap max-md:gap-2">
      <div className="w-56 shrink-0 pl-2 max-md:w-auto max-md:flex-1">
        {renaming ? (
          <NewName project={project} onDone={() => setRenaming(false)} />
        ) : (
          <h2 className="font-title text-lg font-semibold">
            <Link to={`/p/${project.id}`} className="after:absolute after:inset-0">
              {project.name}
            </Link>
          </h2>
        )}
        <p className="text-sm text-quiet">
          changed {formatDistanceToNow(new Date(project.updatedAt), { addSuffix: true })}
          {limited && <span className="block">{limited}</span>}
        </p>
      </div>
      <ProjectPicture id={project.id} name={project.name} preview={project.preview} />
      <div className="relative z-10 flex w-26 justify-end pr-2 max-md:absolute max-md:top-3 max-md:right-0">
        {mayDo(project.access, 'edit') && <RowActions project={project} onRename={() => setRenaming(true)} />}
      </div>
    </li>
  );
}

/** The name as a field, where it stands. */
function NewName({ project, onDone }: { project: ListedProject; onDone: () => void }) {
  const [renameProject] = useRenameProjectMutation();
  const [name, setName] = useState(project.name);
  const [fault, setFault] = useState<string | null>(null);
  // Enter and Escape take the field away, which leaves it as well; only the first of these counts.
  const ended = useRef(false);
  const giveUp = () => {
    ended.current = true;
    onDone();
  };
  const refuse = (reason: string) => {
    ended.current = false;
    setFault(reason);
  };
  const save = async () => {
    if (ended.current) return;
    ended.current = true;
    const wanted = name.trim();
    if (!wanted || wanted === project.name) return onDone();
    const { data: refusal, error } = await renameProject({ project, name: wanted });
    if (error) refuse(reasonOf(error));
    else if (refusal) refuse(refusal);
    else onDone();
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
