/** What colours that are adopted become. */
export type Become = 'tray' | 'families';

interface BecomeChoiceProps {
  label: string;
  value: Become;
  onChange: (value: Become) => void;
  className?: string;
}

/** Chooses whether colours go into the tray or become families. */
export function BecomeChoice({ label, value, onChange, className }: BecomeChoiceProps) {
  return (
    <div role="radiogroup" aria-label={label} className={className}>
      <div className="flex gap-4">
        {(['tray', 'families'] as const).map((one) => (
          <label key={one} className="flex items-center gap-1.5">
            <input type="radio" name="become" checked={value === one} onChange={() => onChange(one)} />
            {one === 'tray' ? 'colours of the tray' : 'families'}
          </label>
        ))}
      </div>
    </div>
  );
}
