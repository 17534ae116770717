import clsx from 'clsx';

interface ProgressProps {
  label: string;
  /** 0–1; null while nobody knows. */
  value: number | null;
  /** How wide it is. */
  className: string;
}

/** How far something is that takes a while. */
export function Progress({ label, value, className }: ProgressProps) {
  return (
    <progress
      aria-label={label}
      value={value ?? undefined}
      className={clsx('progress h-1.5 shrink', className)}
    />
  );
}
