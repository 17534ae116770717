import { joiResolver } from '@hookform/resolvers/joi';
import { type InvitationSeen, LEAST_PASSPHRASE } from '@mint-lamp/core/wire/people';
import { email, passphrase, personName } from '@mint-lamp/core/wire/people-schema';
import { formatDistanceToNow } from 'date-fns';
import Joi from 'joi';
import { useEffect, useState } from 'react';
import { useForm } from 'react-hook-form';
import { Link, useLocation } from 'react-router';
import { ServerError } from '../fetching/ask.ts';
import { lookAtInvitation, takeInvitation } from '../fetching/sign-in-requests.ts';
import { Button } from '../ui/button.tsx';
import { FormField } from '../ui/form-field.tsx';
import { Waiting } from '../ui/notice.tsx';
import { ACCESS_WORDS } from './access-words.ts';
import { comeIn } from './come-in.ts';
import { DoorPage } from './door-page.tsx';
import { SignInForm } from './sign-in-form.tsx';
import { useAsking } from './use-asking.ts';

/** Where an invitation leads: what one is invited to, and taking it, as a new person or as who one is. */
export default function InvitationPage() {
  const token = useLocation().hash.slice(1);
  const [seen, setSeen] = useState<InvitationSeen | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    lookAtInvitation(token).then(setSeen, (error: unknown) =>
      setProblem(
        error instanceof ServerError && error.code === 'BAD_REQUEST'
          ? 'This link is not complete. Copy all of it from the letter.'
          : (error as Error).message,
      ),
    );
  }, [token]);
  if (problem)
    return (
      <DoorPage title="This invitation cannot be taken" lead={problem}>
        <Link to="/sign-in" className="underline underline-offset-2">
          Sign in
        </Link>
      </DoorPage>
    );
  if (!seen) return <Waiting>Opening the invitation …</Waiting>;
  return (
    <DoorPage title={titleOf(seen)} lead={<WhatItIs seen={seen} />}>
      {seen.known ? <AsWhoOneIs token={token} seen={seen} /> : <AsNew token={token} seen={seen} />}
    </DoorPage>
  );
}

const titleOf = ({ email: to, team }: InvitationSeen) =>
  to === null ? 'Set up this server' : team === null ? 'Come in' : `Join ${team}`;

function WhatItIs({ seen: { email: to, from, access, endsAt } }: { seen: InvitationSeen }) {
  if (to === null)
    return <p>You are the first one here, so you look after this server and invite the others.</p>;
  const [name, says] = access ? ACCESS_WORDS[access] : ['', ''];
  return (
    <p>
      {from ? `${from} invites ` : 'An invitation of '}
      <b className="font-semibold text-main">{to}</b>
      {name && (
        <>
          , as {name.toLowerCase()}: one who {says}
        </>
      )}
      . It ends {formatDistanceToNow(new Date(endsAt), { addSuffix: true })}.
    </p>
  );
}

/** Signing in takes it. */
function AsWhoOneIs({ token, seen }: { token: string; seen: InvitationSeen }) {
  return (
    <>
      <p className="mb-3">You already have an account here. Sign in to join.</p>
      <SignInForm
        known={seen.email ?? ''}
        onIn={async () => {
          // A page of theirs takes it: this one is still of who was here before.
          await comeIn(`/invitation/taken#${token}`);
        }}
      />
    </>
  );
}

interface NewPerson {
  email: string;
  name: string;
  passphrase: string;
}

function AsNew({ token, seen }: { token: string; seen: InvitationSeen }) {
  const form = useForm<NewPerson>({
    resolver: joiResolver(
      Joi.object({
        email,
        name: personName,
        passphrase: passphrase.messages({ 'string.empty': 'Type a passphrase.' }),
      }),
    ),
    defaultValues: { email: seen.email ?? '', name: '', passphrase: '' },
  });
  const { errors } = form.formState;
  const { submit, problem, busy } = useAsking(form, async (values) => {
    await takeInvitation({
      token,
      name: values.name,
      passphrase: values.passphrase,
      ...(seen.email === null ? { email: values.email } : {}),
    });
    await comeIn('/');
  });
  return (
    <form noValidate onSubmit={submit} className="flex flex-col gap-3">
      <FormField
        label="Your name"
        autoComplete="name"
        autoFocus
        fault={errors.name?.message}
        {...form.register('name')}
      >
        As others see it beside what you do.
      </FormField>
      <FormField
        label="E-mail address"
        type="email"
        autoComplete="username"
        readOnly={seen.email !== null}
        fault={errors.email?.message}
        {...form.register('email')}
      />
      <FormField
        label="Passphrase"
        type="password"
        autoComplete="new-password"
        fault={errors.passphrase?.message}
        {...form.register('passphrase')}
      >
        At least {LEAST_PASSPHRASE} letters. A few words that only you would put together are a good one.
      </FormField>
      {problem && (
        <p role="alert" className="text-fail">
          {problem}
        </p>
      )}
      <Button type="submit" look="primary" className="mt-1 h-9" disabled={busy}>
        {seen.team === null ? 'Make my account' : `Join ${seen.team}`}
      </Button>
    </form>
  );
}
