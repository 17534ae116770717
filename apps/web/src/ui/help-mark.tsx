import clsx from 'clsx';

interface HelpMarkProps {
  /** What it tells of, by its id in the list of help. */
  of: string;
  /** What that is called, for screen readers. */
  about: string;
  className?: string;
}

/** Asks what something is and why one would want it; the frame answers, wherever it stands. */
export const HelpMark = ({ of, about, className }: HelpMarkProps) => (
  <button
    type="button"
    data-help-open={of}
    aria-label="What is this?"
    aria-description={about}
    title="What is this? (?)"
    className={clsx(
      'inline-grid size-[24px] shrink-0 place-content-center rounded-full text-sm text-quiet hover:bg-pressed hover:text-main',
      className,
    )}
  >
    <span
      aria-hidden
      className="grid size-4.5 place-content-center rounded-full border border-current leading-none"
    >
      ?
    </span>
  </button>
);
