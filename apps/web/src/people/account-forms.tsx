import { joiResolver } from '@hookform/resolvers/joi';
import { LEAST_PASSPHRASE } from '@mint-lamp/core/wire/people';
import { passphrase, personName } from '@mint-lamp/core/wire/people-schema';
import Joi from 'joi';
import { useForm } from 'react-hook-form';
import { toast } from 'sonner';
import { useChangePassphraseMutation, useRenameMeMutation } from '../fetching/account-api.ts';
import { Button } from '../ui/button.tsx';
import { FormField } from '../ui/form-field.tsx';
import { answered, useAsking } from './use-asking.ts';

export function NameForm({ name }: { name: string }) {
  const [rename] = useRenameMeMutation();
  const form = useForm<{ name: string }>({
    resolver: joiResolver(Joi.object({ name: personName })),
    defaultValues: { name },
  });
  const { submit, problem, busy } = useAsking(form, async (values) => {
    await answered(rename(values.name));
    toast('Your name is changed.');
  });
  return (
    <form noValidate onSubmit={submit} className="flex max-w-sm items-end gap-2">
      <FormField
        label="Your name"
        autoComplete="name"
        className="flex-1"
        fault={form.formState.errors.name?.message ?? problem ?? undefined}
        {...form.register('name')}
      />
      <Button type="submit" className="h-9" disabled={busy || !form.formState.isDirty}>
        Change it
      </Button>
    </form>
  );
}

interface Change {
  present: string;
  next: string;
}

export function PassphraseForm({ email }: { email: string }) {
  const [change] = useChangePassphraseMutation();
  const form = useForm<Change>({
    resolver: joiResolver(
      Joi.object({
        present: passphrase.messages({ 'string.empty': 'Type your present passphrase.' }),
        next: passphrase.messages({ 'string.empty': 'Type a new passphrase.' }),
      }),
    ),
    defaultValues: { present: '', next: '' },
  });
  const { errors } = form.formState;
  const { submit, problem, busy } = useAsking(form, async (values) => {
    await answered(change(values));
    form.reset();
    toast('Your passphrase is changed. Everywhere else you are signed out.');
  });
  return (
    <form noValidate onSubmit={submit} className="flex max-w-sm flex-col gap-3">
      <input type="hidden" autoComplete="username" value={email} readOnly />
      <FormField
        label="Present passphrase"
        type="password"
        autoComplete="current-password"
        fault={errors.present?.message}
        {...form.register('present')}
      />
      <FormField
        label="New passphrase"
        type="password"
        autoComplete="new-password"
        fault={errors.next?.message}
        {...form.register('next')}
      >
        At least {LEAST_PASSPHRASE} letters.
      </FormField>
      {problem && (
        <p role="alert" className="text-fail">
          {problem}
        </p>
      )}
      <div>
        <Button type="submit" disabled={busy}>
          Change the passphrase
        </Button>
      </div>
    </form>
  );
}
