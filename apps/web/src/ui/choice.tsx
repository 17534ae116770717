import clsx from 'clsx';
import { memo, useId } from 'react';
import { HelpMark } from './help-mark.tsx';

interface ChoiceProps<T extends string> {
  label: string;
  hideLabel?: boolean;
  value: T;
  options: readonly { readonly value: T; readonly label: string; readonly group?: string }[];
  onChange: (value: T) => void;
  /** What of the list of help tells of it. */
  help?: string;
  /** The label stands before the list and not above it. */
  beside?: boolean;
  className?: string;
}

/** A choice of one from a list, with the browser's own list so that it works everywhere and by keyboard. */
function ChoiceOf<T extends string>({
  label,
  hideLabel,
  value,
  options,
  onChange,
  help,
  beside = false,
  className,
}: ChoiceProps<T>) {
  const id = useId();
  const groups = new Map<string, (typeof options)[number][]>();
  for (const option of options) {
    const group = option.group ?? '';
    groups.set(group, [...(groups.get(group) ?? []), option]);
  }
  return (
    <div className={clsx(className, beside && 'flex items-center gap-2')} data-help={help}>
      <div className={clsx(help && 'flex items-center justify-between', beside && 'shrink-0')}>
        <label
          htmlFor={id}
          className={hideLabel ? 'sr-only' : clsx('block text-sm text-quiet', !beside && 'mb-0.5')}
        >
          {label}
        </label>
        {help && <HelpMark of={help} about={label} className="-mt-1" />}
      </div>
      <select
        id={id}
        value={value}
        onChange={(event) => onChange(event.target.value as T)}
        className={clsx('h-8 w-full rounded-md border border-control bg-raised px-1.5 text-main')}
      >
        {[...groups].map(([group, items]) => {
          const inside = items.map((option) => (
            <option key={option.value} value={option.value}>
              {option.label}
            </option>
          ));
          return group ? (
            <optgroup key={group} label={group}>
              {inside}
            </optgroup>
          ) : (
            inside
          );
        })}
      </select>
    </div>
  );
}

export const Choice = memo(ChoiceOf) as typeof ChoiceOf;
