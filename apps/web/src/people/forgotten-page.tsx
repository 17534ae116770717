import { joiResolver } from '@hookform/resolvers/joi';
import { email } from '@mint-lamp/core/wire/people-schema';
import Joi from 'joi';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { Link } from 'react-router';
import { forgotPassphrase } from '../fetching/sign-in-requests.ts';
import { Button } from '../ui/button.tsx';
import { FormField } from '../ui/form-field.tsx';
import { DoorPage } from './door-page.tsx';
import { useAsking } from './use-asking.ts';

const schema = Joi.object({ email });

export default function ForgottenPage() {
  const form = useForm<{ email: string }>({ resolver: joiResolver(schema), defaultValues: { email: '' } });
  const [sentTo, setSentTo] = useState<string | null>(null);
  const { submit, problem, busy } = useAsking(form, async (values) => {
    await forgotPassphrase(values.email);
    setSentTo(values.email);
  });
  if (sentTo)
    return (
      <DoorPage title="Check your e-mail">
        <p role="status">
          If <b>{sentTo}</b> has an account here, a letter with a link is on its way. Set your new passphrase
          there; the link works once, for half an hour.
        </p>
        <p className="mt-4 text-sm">
          <Link to="/sign-in" className="underline underline-offset-2">
            Back to signing in
          </Link>
        </p>
      </DoorPage>
    );
  return (
    <DoorPage
      title="A new passphrase"
      lead="Type your e-mail address, and we send you a link to set a new one."
    >
      <form noValidate onSubmit={submit} className="flex flex-col gap-3">
        <FormField
          label="E-mail address"
          type="email"
          autoComplete="username"
          autoFocus
          fault={form.formState.errors.email?.message}
          {...form.register('email')}
        />
        {problem && (
          <p role="alert" className="text-fail">
            {problem}
          </p>
        )}
        <Button type="submit" look="primary" className="mt-1 h-9" disabled={busy}>
          Send the letter
        </Button>
      </form>
    </DoorPage>
  );
}
