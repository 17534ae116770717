import { joiResolver } from '@hookform/resolvers/joi';
import { code, email, passphrase } from '@mint-lamp/core/wire/people-schema';
import Joi from 'joi';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { type SignIn, signIn } from '../fetching/sign-in-requests.ts';
import { Button } from '../ui/button.tsx';
import { FormField } from '../ui/form-field.tsx';
import { useAsking } from './use-asking.ts';

const schema = Joi.object({
  email,
  passphrase: passphrase.messages({ 'string.empty': 'Type your passphrase.' }),
  code,
});

/** E-mail address and passphrase; the code of a second factor is asked for when there is one. */
export function SignInForm({ known = '', onIn }: { known?: string; onIn: () => Promise<void> }) {
  const form = useForm<Required<SignIn>>({
    resolver: joiResolver(schema),
    defaultValues: { email: known, passphrase: '', code: '' },
  });
  const [asksCode, setAsksCode] = useState(false);
  const { errors } = form.formState;
  const { submit, problem, busy } = useAsking(
    form,
    async ({ code: typed, ...rest }) => {
      await signIn({ ...rest, ...(typed ? { code: typed } : {}) });
      await onIn();
    },
    (fault) => {
      if (fault.code !== 'FACTOR_NEEDED') return false;
      setAsksCode(true);
      return true;
    },
  );
  return (
    <form noValidate onSubmit={submit} className="flex flex-col gap-3">
      <FormField
        label="E-mail address"
        type="email"
        autoComplete="username"
        autoFocus={!known}
        readOnly={asksCode}
        fault={errors.email?.message}
        {...form.register('email')}
      />
      <FormField
        label="Passphrase"
        type="password"
        autoComplete="current-password"
        readOnly={asksCode}
        fault={errors.passphrase?.message}
        {...form.register('passphrase')}
      />
      {asksCode && (
        <FormField
          label="Code of your second factor"
          inputMode="numeric"
          autoComplete="one-time-code"
          autoFocus
          fault={errors.code?.message}
          {...form.register('code')}
        >
          Six digits from your authenticator app, or one of your recovery codes.
        </FormField>
      )}
      {problem && (
        <p role="alert" className="text-fail">
          {problem}
        </p>
      )}
      <Button type="submit" look="primary" className="mt-1 h-9" disabled={busy}>
        Sign in
      </Button>
    </form>
  );
}
