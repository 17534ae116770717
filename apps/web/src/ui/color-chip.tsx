import clsx from 'clsx';

/** A patch of colour on a neutral chequer, so that opacity is seen. Null is a broken link. */
export function ColorChip({ css, className }: { css: string | null; className?: string }) {
  return (
    <span
      aria-hidden
      className={clsx(
        'inline-block shrink-0 overflow-hidden rounded-[4px] border border-hair',
        css && 'checker',
        className,
      )}
    >
      {css ? (
        <span className="block size-full" style={{ background: css }} />
      ) : (
        <svg viewBox="0 0 10 10" className="size-full text-fail" aria-hidden>
          <path d="M1 1l8 8M9 1 1 9" stroke="currentColor" strokeWidth="1.2" />
        </svg>
      )}
    </span>
  );
}
