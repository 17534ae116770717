import clsx from 'clsx';
import { ToggleGroup } from 'radix-ui';

interface SwitchGroupProps {
  label: string;
  value: string;
  options: readonly { readonly value: string; readonly label: string }[];
  onChange: (value: string) => void;
  /** What of the list of help tells of it. */
  help?: string;
}

/** A few choices side by side of which one is on; arrow keys go from one to the next and switch. */
export function SwitchGroup({ label, value, options, onChange, help }: SwitchGroupProps) {
  const choose = (next: string) => {
    // Pressing the one that is on would turn it off.
    if (next && next !== value) onChange(next);
  };
  return (
    <ToggleGroup.Root
      type="single"
      role="radiogroup"
      aria-label={label}
      data-help={help}
      value={value}
      onValueChange={choose}
      className="flex rounded-md border border-control"
    >
      {options.map((option) => (
        <ToggleGroup.Item
          key={option.value}
          value={option.value}
          onFocus={(event) => event.currentTarget.matches(':focus-visible') && choose(option.value)}
          className={clsx(
            'h-7 max-w-28 truncate px-2 text-sm first:rounded-l-[5px] last:rounded-r-[5px]',
            option.value === value ? 'bg-main text-inverse' : 'hover:bg-pressed',
          )}
        >
          {option.label}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
