import { joiResolver } from '@hookform/resolvers/joi';
import { code, passphrase } from '@mint-lamp/core/wire/people-schema';
import Joi from 'joi';
import { useForm } from 'react-hook-form';
import type { Proof } from '../fetching/account-api.ts';
import { Button } from '../ui/button.tsx';
import { FormField } from '../ui/form-field.tsx';
import { useAsking } from './use-asking.ts';

interface ProofFormProps {
  /** Whether a code of the second factor is asked for too. */
  hasFactor: boolean;
  /** What the button says that does it. */
  yes: string;
  danger?: boolean;
  onProof: (proof: Proof) => Promise<void>;
  onGiveUp: () => void;
}

/** Asks again who one is, before something that is hard to take back. */
export function ProofForm({ hasFactor, yes, danger, onProof, onGiveUp }: ProofFormProps) {
  const form = useForm<Required<Proof>>({
    resolver: joiResolver(
      Joi.object({ passphrase: passphrase.messages({ 'string.empty': 'Type your passphrase.' }), code }),
    ),
    defaultValues: { passphrase: '', code: '' },
  });
  const { errors } = form.formState;
  const { submit, problem, busy } = useAsking(form, ({ passphrase: typed, code: typedCode }) =>
    onProof({ passphrase: typed, ...(typedCode ? { code: typedCode } : {}) }),
  );
  return (
    <form noValidate onSubmit={submit} className="flex max-w-sm flex-col gap-3">
      <FormField
        label="Your passphrase"
        type="password"
        autoComplete="current-password"
        autoFocus
        fault={errors.passphrase?.message}
        {...form.register('passphrase')}
      />
      {hasFactor && (
        <FormField
          label="Code of your second factor"
          inputMode="numeric"
          autoComplete="one-time-code"
          fault={errors.code?.message}
          {...form.register('code')}
        >
          Or one of your recovery codes.
        </FormField>
      )}
      {problem && (
        <p role="alert" className="text-fail">
          {problem}
        </p>
      )}
      <div className="flex gap-2">
        <Button type="submit" look={danger ? 'danger' : 'primary'} disabled={busy}>
          {yes}
        </Button>
        <Button onClick={onGiveUp}>Cancel</Button>
      </div>
    </form>
  );
}
