import { EXCEPTIONS, type ExceptionAccess } from '@mint-lamp/core/wire/access';
import type { OnProject, PeopleOnProject } from '@mint-lamp/core/wire/people';
import { Users } from 'lucide-react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import { reasonOf } from '../fetching/api.ts';
import { useExceptMutation, useOnProjectQuery } from '../fetching/project-people-api.ts';
import { personOfPage } from '../person/person.ts';
import { selectProject, useProjectId } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';
import { Button } from '../ui/button.tsx';
import { Choice } from '../ui/choice.tsx';
import { Popover, PopoverClose } from '../ui/popover.tsx';
import { ACCESS_WORDS, EXCEPTION_WORDS } from './access-words.ts';
import { PeopleHere } from './presence/people-here.tsx';
import { SinceYouWereHere } from './presence/since-you-were-here.tsx';

/** Who may see the open project, and what some of them may on it otherwise than in its team. */
export default function ProjectPeople() {
  const id = useProjectId();
  const { data } = useOnProjectQuery(id);
  const count = data?.people.filter(({ access }) => access !== null).length ?? 0;
  return (
    <>
      <PeopleButton count={count} data={data} />
      <PeopleHere />
      <SinceYouWereHere />
    </>
  );
}

function PeopleButton({ count, data }: { count: number; data: PeopleOnProject | undefined }) {
  return (
    <Popover
      label="People of this project"
      trigger={
        <Button
          look="quiet"
          small
          aria-label="People of this project"
          title="Who may see this project"
          className="shrink-0"
        >
          <Users aria-hidden className="size-4" />
          {count > 1 && count}
        </Button>
      }
    >
      <div className="w-80">
        {data?.team ? (
          <p className="mb-2 text-sm text-quiet">
            It belongs to{' '}
            <PopoverClose asChild>
              <Link to={`/teams/${data.team.id}`} className="underline underline-offset-2">
                {data.team.name}
              </Link>
            </PopoverClose>
            ; who is in that team sees it.
          </p>
        ) : (
          <p className="mb-2 text-sm text-quiet">
            It is yours alone. Give it to a team on the page of all projects to have others in it.
          </p>
        )}
        <ul aria-label="People" className="divide-y divide-hair">
          {data?.people.map((person) => (
            <OnePerson key={person.id} person={person} />
          ))}
        </ul>
      </div>
    </Popover>
  );
}

type Chosen = ExceptionAccess | 'team';

function OnePerson({ person }: { person: OnProject }) {
  const id = useProjectId();
  const owns = useAppSelector((state) => selectProject(state).access === 'owner');
  const [except] = useExceptMutation();
  const { access, exception, inTeam } = person;
  const isOwner = access === 'owner';
  const has = access !== null || exception !== null;
  return (
    <li className="flex items-center gap-2 py-1.5">
      <span className="min-w-0 flex-1 truncate">
        {person.name}
        {person.id === personOfPage() && <span className="text-quiet"> (you)</span>}
      </span>
      {owns && has && !isOwner ? (
        <Choice<Chosen>
          label={`What ${person.name} may here`}
          hideLabel
          value={exception ?? 'team'}
          options={[
            {
              value: 'team',
              label: inTeam ? `${ACCESS_WORDS[inTeam][0]}, as in the team` : 'As in the team',
            },
            ...EXCEPTIONS.map((value) => ({ value, label: EXCEPTION_WORDS[value] })),
          ]}
          onChange={async (chosen) => {
            const { error } = await except({
              project: id,
              person: person.id,
              access: chosen === 'team' ? null : chosen,
            });
            if (error) toast.error(reasonOf(error));
          }}
          className="w-44"
        />
      ) : (
        <span className="text-sm text-quiet">
          {access
            ? ACCESS_WORDS[access][0]
            : exception === 'none'
              ? 'No access'
              : 'Wrote here, may no longer'}
        </span>
      )}
    </li>
  );
}
