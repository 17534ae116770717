import { joiResolver } from '@hookform/resolvers/joi';
import type { ServerPerson } from '@mint-lamp/core/wire/people';
import { email } from '@mint-lamp/core/wire/people-schema';
import { format, formatDistanceToNow } from 'date-fns';
import Joi from 'joi';
import { useForm } from 'react-hook-form';
import { toast } from 'sonner';
import { useMeQuery } from '../fetching/account-api.ts';
import { reasonOf } from '../fetching/api.ts';
import {
  useInviteToServerMutation,
  useServerPeopleQuery,
  useSetAdministratorMutation,
  useWithdrawFromServerMutation,
} from '../fetching/server-people-api.ts';
import { Button } from '../ui/button.tsx';
import { FormField } from '../ui/form-field.tsx';
import { EmptyState } from '../ui/notice.tsx';
import { OwnPage, Section } from './own-page.tsx';
import { answered, useAsking } from './use-asking.ts';

/** The people of a server, for who looks after it. */
export default function ServerPage() {
  return (
    <OwnPage
      title="People of this server"
      lead="Who has an account here. Their projects and teams are theirs; you see how many there are, and no more."
    >
      <Parts />
    </OwnPage>
  );
}

function Parts() {
  const { data, error } = useServerPeopleQuery();
  const { data: me } = useMeQuery();
  const [withdraw] = useWithdrawFromServerMutation();
  if (error && !data)
    return (
      <EmptyState title="Only for who looks after the server">
        {(error as { status?: number }).status === 404 ? 'Ask one of its administrators.' : reasonOf(error)}
      </EmptyState>
    );
  if (!data) return <p className="mt-6 text-quiet">Opening …</p>;
  return (
    <>
      <Section
        title="Invite"
        says="They make an account, and a team or join one. Owners invite into their teams themselves."
      >
        <InviteToServer />
        <ul aria-label="Invitations" className="mt-3 divide-y divide-hair">
          {data.invitations.map(({ id, email: to, endsAt }) => (
            <li key={id} className="flex items-center gap-2 py-1.5">
              <span className="min-w-0 flex-1 truncate">
                {to}{' '}
                <span className="text-sm text-quiet">
                  ends {formatDistanceToNow(new Date(endsAt), { addSuffix: true })}
                </span>
              </span>
              <Button
                small
                look="danger"
                aria-label={`Withdraw the invitation of ${to}`}
                onClick={() => void withdraw(id)}
              >
                Withdraw
              </Button>
            </li>
          ))}
        </ul>
      </Section>
      <Section
        title="People"
        says="An administrator looks after the server: invites, and makes others administrators."
      >
        <ul aria-label="People" className="divide-y divide-hair">
          {data.people.map((person) => (
            <OnePerson key={person.id} person={person} isMe={person.id === me?.person?.id} />
          ))}
        </ul>
      </Section>
    </>
  );
}

const counted = (count: number, one: string, many: string) => (count === 1 ? `1 ${one}` : `${count} ${many}`);

function OnePerson({ person, isMe }: { person: ServerPerson; isMe: boolean }) {
  const { id, name, email: address, administrator, since, seenAt, teams, projects } = person;
  const [set] = useSetAdministratorMutation();
  return (
    <li className="flex items-center gap-3 py-2">
      <span className="min-w-0 flex-1">
        {name}
        {isMe && <span className="text-quiet"> (you)</span>}
        {administrator && (
          <span className="ml-2 rounded-md bg-sunken px-1.5 py-0.5 text-sm">administrator</span>
        )}
        <span className="block truncate text-sm text-quiet">
          {address} · since {format(new Date(since), 'd MMM yyyy')} · {counted(teams, 'team', 'teams')},{' '}
          {counted(projects, 'project of their own', 'projects of their own')} ·{' '}
          {seenAt ? `here ${formatDistanceToNow(new Date(seenAt), { addSuffix: true })}` : 'not here lately'}
        </span>
      </span>
      <Button
        small
        onClick={async () => {
          const { error } = await set({ person: id, administrator: !administrator });
          if (error) toast.error(reasonOf(error));
        }}
        aria-label={administrator ? `Make ${name} no administrator` : `Make ${name} an administrator`}
      >
        {administrator ? 'No administrator' : 'Make administrator'}
      </Button>
    </li>
  );
}

function InviteToServer() {
  const [invite] = useInviteToServerMutation();
  const form = useForm<{ email: string; administrator: boolean }>({
    resolver: joiResolver(Joi.object({ email, administrator: Joi.boolean() })),
    defaultValues: { email: '', administrator: false },
  });
  const { submit, problem, busy } = useAsking(form, async (values) => {
    const sent = await answered(invite(values));
    form.reset();
    form.setFocus('email');
    toast(`A letter is on its way to ${sent.email}.`);
  });
  return (
    <form noValidate onSubmit={submit} className="flex items-start gap-2">
      <FormField
        label="E-mail address"
        type="email"
        autoComplete="off"
        className="max-w-sm flex-1"
        fault={form.formState.errors.email?.message ?? problem ?? undefined}
        {...form.register('email')}
      />
      <label className="mt-[27px] flex items-center gap-1.5 text-sm">
        <input type="checkbox" {...form.register('administrator')} />
        as administrator
      </label>
      <Button type="submit" look="primary" className="mt-5 h-9" disabled={busy}>
        Invite
      </Button>
    </form>
  );
}
