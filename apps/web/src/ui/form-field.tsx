import clsx from 'clsx';
import { type ComponentProps, type ReactNode, useId, useState } from 'react';

interface FormFieldProps extends ComponentProps<'input'> {
  label: string;
  /** What is wrong with it, told below it; nothing while there is none. */
  fault?: string | undefined;
  /** What goes in here, told below it. */
  children?: ReactNode;
}

/** A field of a form that is sent as a whole, with its label above and what is wrong with it below. */
export function FormField({ label, fault, children, className, type, ...rest }: FormFieldProps) {
  const id = useId();
  const [shown, setShown] = useState(false);
  const secret = type === 'password';
  const told = [fault && `${id}-fault`, children && `${id}-hint`].filter(Boolean).join(' ');
  return (
    <div className={clsx('min-w-0', className)}>
      <label htmlFor={id} className="mb-0.5 block text-sm text-quiet">
        {label}
      </label>
      <div className="relative">
        <input
          id={id}
          type={secret && shown ? 'text' : type}
          spellCheck={false}
          aria-invalid={fault !== undefined}
          aria-describedby={told || undefined}
          className={clsx(
            'h-9 w-full min-w-0 rounded-md border border-control bg-raised px-2.5 aria-invalid:border-fail!',
            secret && 'pr-16',
          )}
          {...rest}
        />
        {secret && (
          <button
            type="button"
            aria-pressed={shown}
            aria-label={`Show ${label.toLowerCase()}`}
            onClick={() => setShown(!shown)}
            className="absolute inset-y-0 right-1 my-1 rounded-md px-2 text-sm text-quiet hover:bg-pressed hover:text-main"
          >
            {shown ? 'Hide' : 'Show'}
          </button>
        )}
      </div>
      {children && (
        <p id={`${id}-hint`} className="mt-0.5 text-sm text-quiet">
          {children}
        </p>
      )}
      {fault && (
        <p id={`${id}-fault`} role="alert" className="mt-0.5 text-sm text-fail">
          {fault}
        </p>
      )}
    </div>
  );
}
