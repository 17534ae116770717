import { mayDo } from '@mint-lamp/core/wire/access';
import type { ListedProject } from '@mint-lamp/core/wire/projects';
import { ArrowRightLeft } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { reasonOf } from '../fetching/api.ts';
import { useGiveProjectMutation, useTeamsQuery } from '../fetching/teams-api.ts';
import { Button } from '../ui/button.tsx';
import { IconButton } from '../ui/icon-button.tsx';
import { Popover } from '../ui/popover.tsx';

/** Gives a project to a team, or takes it to oneself; nothing while there is no team that it could go to. */
export function GiveProject({ project }: { project: ListedProject }) {
  const { data: teams = [] } = useTeamsQuery();
  const [give] = useGiveProjectMutation();
  const [open, setOpen] = useState(false);
  const others = teams.filter(({ id, access }) => mayDo(access, 'edit') && id !== project.team?.id);
  if (!others.length && !project.team) return null;
  const to = async (team: string | null, name: string) => {
    setOpen(false);
    const { error } = await give({ project: project.id, team });
    if (error) toast.error(reasonOf(error));
    else toast(`${project.name} belongs to ${name} now.`);
  };
  return (
    <Popover
      label={`Whose ${project.name} is`}
      align="end"
      open={open}
      onOpenChange={setOpen}
      trigger={
        <IconButton label={`Give ${project.name} to a team`}>
          <ArrowRightLeft aria-hidden className="size-4" />
        </IconButton>
      }
    >
      <div className="flex w-64 flex-col gap-1">
        <p className="mb-1 text-sm text-quiet">
          Everything in it goes along. Permissions given on this project alone end.
        </p>
        {others.map(({ id, name }) => (
          <Button key={id} onClick={() => void to(id, name)}>
            Give it to {name}
          </Button>
        ))}
        {project.team && <Button onClick={() => void to(null, 'you')}>Make it your own</Button>}
      </div>
    </Popover>
  );
}
