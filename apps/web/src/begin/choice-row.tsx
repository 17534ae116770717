import clsx from 'clsx';
import type { ReactNode } from 'react';

interface ChoiceRowProps {
  /** The name of the choice that it is one of. */
  of: string;
  chosen: boolean;
  onChoose: () => void;
  /** What it would be, as a strip. */
  colors: readonly string[];
  children: ReactNode;
}

/** One of several to begin with: what it is called, and its colours beside it. */
export const ChoiceRow = ({ of, chosen, onChoose, colors, children }: ChoiceRowProps) => (
  <label
    className={clsx(
      'flex items-center gap-2 rounded-md border px-2 py-1.5',
      chosen ? 'border-main' : 'border-transparent hover:bg-sunken',
    )}
  >
    <input
      type="radio"
      name={of}
      checked={chosen}
      onChange={onChoose}
      className="accent-[var(--text-main)]"
    />
    <span className="min-w-0 flex-1">{children}</span>
    <span
      data-specimen
      className="flex h-8 w-40 shrink-0 overflow-hidden rounded-md border border-hair narrow:w-28"
    >
      {colors.map((color) => (
        <span key={color} className="flex-1" style={{ background: color }} />
      ))}
    </span>
  </label>
);
