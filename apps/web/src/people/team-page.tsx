import type { Team } from '@mint-lamp/core/wire/people';
import { useNavigate, useParams } from 'react-router';
import { toast } from 'sonner';
import { useMeQuery } from '../fetching/account-api.ts';
import { reasonOf } from '../fetching/api.ts';
import {
  useLeaveTeamMutation,
  useRemoveTeamMutation,
  useRenameTeamMutation,
  useTeamQuery,
} from '../fetching/teams-api.ts';
import { Button } from '../ui/button.tsx';
import { Confirm } from '../ui/confirm.tsx';
import { EmptyState, Failure } from '../ui/notice.tsx';
import { TextField } from '../ui/text-field.tsx';
import { ACCESS_WORDS } from './access-words.ts';
import { Invitations, Invite } from './invite.tsx';
import { Members } from './members.tsx';
import { OwnPage, Section } from './own-page.tsx';

export default function TeamPage() {
  return (
    <OwnPage title={<Title />} lead="Who is in the team, and what they may in all of its projects.">
      <Parts />
    </OwnPage>
  );
}

function Title() {
  const { team: id } = useParams();
  const { data: team } = useTeamQuery(id!);
  return <>{team?.name ?? 'Team'}</>;
}

function Parts() {
  const { team: id } = useParams();
  const { data: team, error, refetch } = useTeamQuery(id!);
  const { data: me } = useMeQuery();
  if (error && !team)
    return (error as { status?: number }).status === 404 ? (
      <EmptyState title="There is no such team">It was removed, or you are not in it any more.</EmptyState>
    ) : (
      <Failure fault={reasonOf(error)} onAgain={() => void refetch()} />
    );
  if (!team || !me?.person) return <p className="mt-6 text-quiet">Opening …</p>;
  const owns = team.access === 'owner';
  return (
    <>
      <Section
        title="People"
        says={
          <dl className="mt-1">
            {Object.values(ACCESS_WORDS).map(([name, says]) => (
              <div key={name} className="mb-1">
                <dt className="inline font-semibold text-main">{name}</dt> <dd className="inline">{says}</dd>
              </div>
            ))}
          </dl>
        }
      >
        <Members team={team} me={me.person.id} />
      </Section>
      {owns && (
        <Section
          title="Invite"
          says="A letter goes to them, with an address that works once, for seven days."
        >
          <Invite team={team.id} />
          <Invitations team={team.id} invitations={team.invitations} />
        </Section>
      )}
      <Section
        title="The team itself"
        says={`You are ${team.access === 'owner' ? 'an owner' : `${ACCESS_WORDS[team.access][0] === 'Editor' ? 'an' : 'a'} ${ACCESS_WORDS[team.access][0].toLowerCase()}`} in it.`}
      >
        {owns && <Name team={team} />}
        <div className="flex gap-2">
          <Leave team={team} />
          {owns && <Remove team={team} />}
        </div>
      </Section>
    </>
  );
}

function Name({ team: { id, name } }: { team: Team }) {
  const [rename] = useRenameTeamMutation();
  return (
    <TextField
      label="Name of the team"
      value={name}
      className="mb-3 max-w-sm"
      onCommit={(text) => {
        if (!text) return 'A team has a name.';
        void rename({ team: id, name: text }).then(({ error }) => {
          if (error) toast.error(reasonOf(error));
        });
        return null;
      }}
    />
  );
}

function Leave({ team: { id, name } }: { team: Team }) {
  const navigate = useNavigate();
  const [leave] = useLeaveTeamMutation();
  return (
    <Confirm
      label="Leave the team"
      trigger={<Button>Leave the team</Button>}
      yes="Leave"
      no="Stay"
      onYes={async () => {
        const { error } = await leave(id);
        if (error) toast.error(reasonOf(error));
        else {
          toast(`You have left ${name}.`);
          navigate('/teams');
        }
      }}
    >
      Leave <b>{name}</b>? What you made in it stays there. To come back you need another invitation.
    </Confirm>
  );
}

function Remove({ team: { id, name } }: { team: Team }) {
  const navigate = useNavigate();
  const [remove] = useRemoveTeamMutation();
  return (
    <Confirm
      label="Remove the team"
      trigger={<Button look="danger">Remove the team</Button>}
      yes="Remove"
      no="Keep it"
      onYes={async () => {
        const { error } = await remove(id);
        if (error) toast.error(reasonOf(error), { duration: 8000 });
        else {
          toast(`${name} is removed.`);
          navigate('/teams');
        }
      }}
    >
      Remove <b>{name}</b> for good? It goes only when it has no projects any more.
    </Confirm>
  );
}
