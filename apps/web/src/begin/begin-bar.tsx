import { mayDo } from '@mint-lamp/core/wire/access';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { addressOf } from '../addresses.ts';
import { reasonOf } from '../fetching/api.ts';
import { useCreateProjectMutation } from '../fetching/projects-api.ts';
import { useCreateInTeamMutation, useTeamsQuery } from '../fetching/teams-api.ts';
import type { BegunSystem } from '../jobs/work/begin-system.ts';
import { Button } from '../ui/button.tsx';
import { Choice } from '../ui/choice.tsx';
import { copyText } from '../ui/copy-text.ts';
import { save } from '../ui/save-file.ts';
import { fillProject } from './make-project.ts';
import type { ToBeginWith } from './to-begin-with.ts';

interface BeginBarProps {
  name: string;
  onName: (name: string) => void;
  /** What there is to begin with, and what it comes to; null while there is nothing. */
  begin: ToBeginWith | null;
  begun: BegunSystem | null;
}

const UNNAMED = 'Untitled';

/** What is done with it: its CSS at once, or a project to go on with. */
export function BeginBar({ name, onName, begin, begun }: BeginBarProps) {
  const navigate = useNavigate();
  const [createProject] = useCreateProjectMutation();
  const [createInTeam] = useCreateInTeamMutation();
  const { data: teams = [] } = useTeamsQuery();
  const mayBegin = teams.filter(({ access }) => mayDo(access, 'edit'));
  const [team, setTeam] = useState('');
  const [busy, setBusy] = useState(false);
  const [says, setSays] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const called = name.trim() || begin?.name || UNNAMED;
  const make = async () => {
    setBusy(true);
    setFault(null);
    const { data, error } = await (team ? createInTeam({ team, name: called }) : createProject(called));
    try {
      if (!data) throw new Error(reasonOf(error));
      if (begin) await fillProject(data, begin);
      navigate(addressOf(data.id, begin ? 'grow' : 'gather'));
    } catch (problem) {
      setFault(`The project could not be made: ${(problem as Error).message}`);
      setBusy(false);
    }
  };
  const copy = () => {
    if (!begun) return;
    copyText(begun.css).then(
      () => setSays(`Copied: ${begun.css.split('\n').length} lines of CSS`),
      () => {
        save(`${called}.css`, begun.css, 'text/css');
        setSays('The clipboard is closed to this page, so it was saved as a file');
      },
    );
  };
  return (
    <form
      className="sticky bottom-0 z-10 flex flex-wrap items-end gap-x-3 gap-y-2 border-t border-hair bg-ground py-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (!busy) void make();
      }}
    >
      <label className="min-w-48 flex-1">
        <span className="mb-0.5 block text-sm text-quiet">Project name</span>
        <input
          value={name}
          maxLength={80}
          onChange={(event) => onName(event.target.value)}
          placeholder={begin?.name ?? 'the client or the product'}
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
      <Button className="h-9" disabled={!begun} onClick={copy}>
        Copy the CSS
      </Button>
      <Button type="submit" look="primary" className="h-9 min-w-40" disabled={busy}>
        {busy ? 'Making it …' : begin ? 'Begin the project' : 'Begin empty'}
      </Button>
      {(says ?? fault) && (
        <p role={fault ? 'alert' : 'status'} className={fault ? 'w-full text-fail' : 'w-full text-pass'}>
          {fault ?? says}
        </p>
      )}
    </form>
  );
}
