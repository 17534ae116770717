import { joiResolver } from '@hookform/resolvers/joi';
import { ACCESSES, type Access } from '@mint-lamp/core/wire/access';
import type { SentInvitation } from '@mint-lamp/core/wire/people';
import { access, email } from '@mint-lamp/core/wire/people-schema';
import { formatDistanceToNow } from 'date-fns';
import Joi from 'joi';
import { Controller, useForm } from 'react-hook-form';
import { toast } from 'sonner';
import { reasonOf } from '../fetching/api.ts';
import { useInviteAgainMutation, useInviteMutation, useWithdrawMutation } from '../fetching/teams-api.ts';
import { Button } from '../ui/button.tsx';
import { Choice } from '../ui/choice.tsx';
import { FormField } from '../ui/form-field.tsx';
import { ACCESS_WORDS } from './access-words.ts';
import { answered, useAsking } from './use-asking.ts';

const OPTIONS = ACCESSES.map((value) => ({ value, label: ACCESS_WORDS[value][0] }));

/** Invites somebody into a team by a letter. */
export function Invite({ team }: { team: string }) {
  const [invite] = useInviteMutation();
  const form = useForm<{ email: string; access: Access }>({
    resolver: joiResolver(Joi.object({ email, access })),
    defaultValues: { email: '', access: 'editor' },
  });
  const { submit, problem, busy } = useAsking(form, async (values) => {
    const sent = await answered(invite({ team, ...values }));
    form.reset({ email: '', access: values.access });
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
      <Controller
        control={form.control}
        name="access"
        render={({ field }) => (
          <Choice
            label="As"
            value={field.value}
            options={OPTIONS}
            onChange={field.onChange}
            className="w-28 [&_select]:h-9"
          />
        )}
      />
      <Button type="submit" look="primary" className="mt-5 h-9" disabled={busy}>
        Invite
      </Button>
    </form>
  );
}

/** Invitations that nobody has taken yet. */
export function Invitations({ team, invitations }: { team: string; invitations: readonly SentInvitation[] }) {
  const [again] = useInviteAgainMutation();
  const [withdraw] = useWithdrawMutation();
  const attempt = async (answer: PromiseLike<{ error?: unknown }>, said: string) => {
    const { error } = await answer;
    if (error) toast.error(reasonOf(error));
    else toast(said);
  };
  if (!invitations.length) return null;
  return (
    <ul aria-label="Invitations" className="mt-3 divide-y divide-hair">
      {invitations.map(({ id, email: to, access: as, endsAt }) => (
        <li key={id} className="flex items-center gap-2 py-1.5">
          <span className="min-w-0 flex-1 truncate">
            {to}{' '}
            <span className="text-sm text-quiet">
              as {as ? ACCESS_WORDS[as][0].toLowerCase() : 'nothing'}, ends{' '}
              {formatDistanceToNow(new Date(endsAt), { addSuffix: true })}
            </span>
          </span>
          <Button
            small
            aria-label={`Send another letter to ${to}`}
            onClick={() => attempt(again({ team, invitation: id }), `Another letter is on its way to ${to}.`)}
          >
            Send again
          </Button>
          <Button
            small
            look="danger"
            aria-label={`Withdraw the invitation of ${to}`}
            onClick={() =>
              attempt(withdraw({ team, invitation: id }), `The invitation of ${to} no longer works.`)
            }
          >
            Withdraw
          </Button>
        </li>
      ))}
    </ul>
  );
}
