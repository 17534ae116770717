import { joiResolver } from '@hookform/resolvers/joi';
import { LEAST_PASSPHRASE } from '@mint-lamp/core/wire/people';
import { passphrase } from '@mint-lamp/core/wire/people-schema';
import Joi from 'joi';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { Link, useLocation } from 'react-router';
import { setPassphrase } from '../fetching/sign-in-requests.ts';
import { Button } from '../ui/button.tsx';
import { FormField } from '../ui/form-field.tsx';
import { DoorPage } from './door-page.tsx';
import { useAsking } from './use-asking.ts';

const schema = Joi.object({ passphrase: passphrase.messages({ 'string.empty': 'Type a new passphrase.' }) });

/** Where the letter leads that somebody gets who has forgotten their passphrase. */
export default function NewPassphrasePage() {
  const token = useLocation().hash.slice(1);
  const form = useForm<{ passphrase: string }>({
    resolver: joiResolver(schema),
    defaultValues: { passphrase: '' },
  });
  const [done, setDone] = useState(false);
  const { submit, problem, busy } = useAsking(form, async (values) => {
    await setPassphrase(token, values.passphrase);
    setDone(true);
  });
  if (done)
    return (
      <DoorPage title="Your new passphrase is set">
        <p role="status">You were signed out everywhere. Sign in with it now.</p>
        <p className="mt-4">
          <Link to="/sign-in" className="underline underline-offset-2">
            Sign in
          </Link>
        </p>
      </DoorPage>
    );
  return (
    <DoorPage title="Set a new passphrase" lead="It signs you out everywhere else.">
      <form noValidate onSubmit={submit} className="flex flex-col gap-3">
        <FormField
          label="New passphrase"
          type="password"
          autoComplete="new-password"
          autoFocus
          fault={form.formState.errors.passphrase?.message}
          {...form.register('passphrase')}
        >
          At least {LEAST_PASSPHRASE} letters. A few words that only you would put together are a good one.
        </FormField>
        {problem && (
          <p role="alert" className="text-fail">
            {problem}{' '}
            <Link to="/forgotten" className="underline underline-offset-2">
              Have another letter sent
            </Link>
          </p>
        )}
        <Button type="submit" look="primary" className="mt-1 h-9" disabled={busy}>
          Set it
        </Button>
      </form>
    </DoorPage>
  );
}
