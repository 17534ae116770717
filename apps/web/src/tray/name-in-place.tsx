import { useEffect, useRef } from 'react';

interface NameInPlaceProps {
  label: string;
  value: string;
  /** The new name; null when it was called off. */
  onDone: (name: string | null) => void;
}

/** A name that is being changed where it stands: Enter or leaving takes it, Escape does not. */
export function NameInPlace({ label, value, onDone }: NameInPlaceProps) {
  const field = useRef<HTMLInputElement>(null);
  const done = useRef(false);
  useEffect(() => {
    field.current?.focus();
    field.current?.select();
  }, []);
  const finish = (name: string | null) => {
    if (done.current) return;
    done.current = true;
    onDone(name);
  };
  return (
    <input
      ref={field}
      aria-label={label}
      defaultValue={value}
      maxLength={80}
      spellCheck={false}
      onBlur={(event) => finish(event.target.value.trim())}
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.key === 'Enter') finish(event.currentTarget.value.trim());
        if (event.key === 'Escape') finish(null);
      }}
      className="w-full min-w-0 rounded-[4px] border border-control bg-raised px-0.5 text-center text-sm"
    />
  );
}
