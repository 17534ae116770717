import { mayDo } from '@mint-lamp/core/wire/access';
import { type ListedProject, REMOVED_FOR_DAYS } from '@mint-lamp/core/wire/projects';
import { Pencil, Trash2 } from 'lucide-react';
import { toast } from 'sonner';
import { reasonOf } from '../fetching/api.ts';
import { useRemoveProjectMutation } from '../fetching/projects-api.ts';
import { Confirm } from '../ui/confirm.tsx';
import { HintProvider } from '../ui/hint.tsx';
import { IconButton } from '../ui/icon-button.tsx';
import { GiveProject } from './give-project.tsx';

interface RowActionsProps {
  project: ListedProject;
  onRename: () => void;
}

/** What can be done to a project besides opening it; the list is there before it. */
export default function RowActions({ project, onRename }: RowActionsProps) {
  const [removeProject] = useRemoveProjectMutation();
  const remove = async () => {
    const { error } = await removeProject(project.id);
    if (error) toast.error(`It could not be removed: ${reasonOf(error)}`);
  };
  return (
    <HintProvider>
      <IconButton label={`Rename ${project.name}`} onClick={onRename}>
        <Pencil aria-hidden className="size-4" />
      </IconButton>
      {mayDo(project.access, 'own') && <GiveProject project={project} />}
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
        Remove <b>{project.name}</b>? You can restore it for {REMOVED_FOR_DAYS} days, from the bottom of this
        page.
      </Confirm>
    </HintProvider>
  );
}
