import { ACCESSES } from '@mint-lamp/core/wire/access';
import type { Member, Team } from '@mint-lamp/core/wire/people';
import { toast } from 'sonner';
import { reasonOf } from '../fetching/api.ts';
import { useRemoveMemberMutation, useSetAccessMutation } from '../fetching/teams-api.ts';
import { Button } from '../ui/button.tsx';
import { Choice } from '../ui/choice.tsx';
import { Confirm } from '../ui/confirm.tsx';
import { ACCESS_WORDS } from './access-words.ts';

const OPTIONS = ACCESSES.map((value) => ({ value, label: ACCESS_WORDS[value][0] }));

/** Who is in a team; its owners say what each may, and remove them. */
export function Members({ team, me }: { team: Team; me: string }) {
  return (
    <ul aria-label="People" className="divide-y divide-hair">
      {team.members.map((member) => (
        <OneMember key={member.id} team={team} member={member} isMe={member.id === me} />
      ))}
    </ul>
  );
}

function OneMember({ team, member, isMe }: { team: Team; member: Member; isMe: boolean }) {
  const [setAccess] = useSetAccessMutation();
  const [remove] = useRemoveMemberMutation();
  const owns = team.access === 'owner';
  const attempt = async (answer: PromiseLike<{ error?: unknown }>, said: string) => {
    const { error } = await answer;
    if (error) toast.error(reasonOf(error));
    else toast(said);
  };
  return (
    <li className="flex items-center gap-3 py-2">
      <span className="min-w-0 flex-1 truncate">
        {member.name}
        {isMe && <span className="text-quiet"> (you)</span>}
        <span className="block text-sm text-quiet">{member.email}</span>
      </span>
      {owns ? (
        <>
          <Choice
            label={`What ${member.name} may`}
            hideLabel
            value={member.access}
            options={OPTIONS}
            onChange={(access) =>
              attempt(
                setAccess({ team: team.id, person: member.id, access }),
                `${member.name} is ${ACCESS_WORDS[access][0].toLowerCase()} now.`,
              )
            }
            className="w-28"
          />
          <span className="w-20 text-right">
            {!isMe && (
              <Confirm
                label={`Remove ${member.name}`}
                trigger={
                  <Button look="danger" aria-label={`Remove ${member.name}`}>
                    Remove
                  </Button>
                }
                yes="Remove"
                no="Keep them"
                onYes={() =>
                  attempt(
                    remove({ team: team.id, person: member.id }),
                    `${member.name} is not in the team any more.`,
                  )
                }
              >
                Remove <b>{member.name}</b> from {team.name}? What they made stays.
              </Confirm>
            )}
          </span>
        </>
      ) : (
        <span className="text-quiet">{ACCESS_WORDS[member.access][0]}</span>
      )}
    </li>
  );
}
