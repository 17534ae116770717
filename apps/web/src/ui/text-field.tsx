import clsx from 'clsx';
import { useId, useState } from 'react';

interface TextFieldProps {
  label: string;
  /** The label is for screen readers only. */
  hideLabel?: boolean;
  value: string;
  /** Called on Enter and when the field is left, with a changed text. Returns what is wrong with it, or null. */
  onCommit: (text: string) => string | null;
  /** What is still wrong with a text that is being typed, told below it without taking it. */
  whileTyping?: (text: string) => string | null;
  /** What may have been meant by a text that cannot be taken, likeliest first; each is taken when it is pressed. */
  corrections?: (text: string) => readonly string[];
  mono?: boolean;
  unit?: string;
  /** Id of a list of texts that are offered. */
  list?: string;
  /** The label stands before the field and not above it. */
  beside?: boolean;
  className?: string;
  inputClassName?: string;
}

/** A field whose text is taken on Enter or on leaving; Escape puts the old one back. A fault is told below it. */
export function TextField({
  label,
  hideLabel,
  value,
  onCommit,
  whileTyping,
  corrections,
  mono,
  unit,
  list,
  beside = false,
  className,
  inputClassName,
}: TextFieldProps) {
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const hint = draft?.trim() && !fault ? (whileTyping?.(draft.trim()) ?? null) : null;
  const offered = draft?.trim() && (hint || fault) ? (corrections?.(draft.trim()) ?? []) : [];
  const commit = () => {
    if (draft === null || draft.trim() === value) {
      setDraft(null);
      setFault(null);
      return;
    }
    const problem = onCommit(draft.trim());
    setFault(problem);
    if (!problem) setDraft(null);
  };
  return (
    <div className={clsx('min-w-0', beside && 'flex flex-wrap items-center gap-x-2', className)}>
      <label
        htmlFor={id}
        className={hideLabel ? 'sr-only' : clsx('block text-sm text-quiet', beside ? 'shrink-0' : 'mb-0.5')}
      >
        {label}
      </label>
      <div className={clsx('flex items-center gap-1', beside && 'min-w-0 flex-1')}>
        <input
          id={id}
          value={draft ?? value}
          data-settled={draft === null || undefined}
          list={list}
          spellCheck={false}
          autoComplete="off"
          aria-invalid={fault !== null}
          aria-describedby={fault ? `${id}-fault` : undefined}
          onChange={(event) => {
            setDraft(event.target.value);
            if (whileTyping) setFault(null);
          }}
          onBlur={commit}
          onKeyDown={(event) => {
            if (event.key === 'Enter') commit();
            if (event.key === 'Escape' && draft !== null) {
              event.stopPropagation();
              setDraft(null);
              setFault(null);
            }
          }}
          className={clsx(
            'h-8 w-full min-w-0 rounded-md border border-control bg-raised px-2 aria-invalid:border-fail!',
            mono && 'font-mono text-sm',
            inputClassName,
          )}
        />
        {unit && <span className="text-sm text-quiet">{unit}</span>}
      </div>
      {hint && (
        <p role="status" className="mt-0.5 text-sm text-quiet">
          {hint}
        </p>
      )}
      {fault && (
        <p id={`${id}-fault`} role="alert" className="mt-0.5 text-sm text-fail">
          {fault}
        </p>
      )}
      {offered.length > 0 && (
        <p className="mt-1 flex flex-wrap gap-1">
          {offered.map((text) => (
            <button
              key={text}
              type="button"
              aria-label={`Use ${text}`}
              // The field keeps the focus, so that what is in it is not taken first.
              onPointerDown={(event) => event.preventDefault()}
              onClick={() => {
                const problem = onCommit(text);
                setFault(problem);
                if (!problem) setDraft(null);
              }}
              className="inline-flex h-[24px] items-center gap-1 rounded-md border border-control px-1.5 font-mono text-sm hover:bg-sunken"
            >
              <span aria-hidden className="checker size-4 overflow-hidden rounded-[4px] border border-hair">
                <span className="block size-full" style={{ background: text }} />
              </span>
              {text}
            </button>
          ))}
        </p>
      )}
    </div>
  );
}
