import type { ErrorCode } from '@mint-lamp/core/wire/errors';
import { useState } from 'react';
import type { FieldValues, Path, UseFormReturn } from 'react-hook-form';

/** What was said no to: what a request throws, or what the cache of answers has of it. */
interface Fault {
  readonly code?: ErrorCode | 'UNREACHABLE' | 'UNKNOWN';
  readonly message?: string;
  readonly path?: string;
}

/**
 * Sends a form, and tells what the server says of a field at that field, and of the whole below it. `send` rejects with
 * what was said no to; `onFault` may deal with it first, and says so by true.
 */
export function useAsking<T extends FieldValues>(
  form: UseFormReturn<T>,
  send: (values: T) => Promise<void>,
  onFault: (fault: Fault) => boolean = () => false,
) {
  const [problem, setProblem] = useState<string | null>(null);
  const submit = form.handleSubmit(async (values) => {
    setProblem(null);
    try {
      await send(values);
    } catch (error) {
      const fault = error as Fault;
      if (onFault(fault)) return;
      const field = /^body\.(\w+)/.exec(fault.path ?? '')?.[1];
      const message = fault.message || 'That did not work.';
      if (field !== undefined && field in form.getValues())
        form.setError(field as Path<T>, { message }, { shouldFocus: true });
      else setProblem(message);
    }
  });
  return { submit, problem, setProblem, busy: form.formState.isSubmitting };
}

/** The answer of a mutation, or its fault thrown, as the other requests have it. */
export async function answered<T>(
  answer: PromiseLike<{ data?: T; error?: unknown }>,
): Promise<Exclude<T, undefined>> {
  const { data, error } = await answer;
  if (error !== undefined) throw error;
  return data as Exclude<T, undefined>;
}
