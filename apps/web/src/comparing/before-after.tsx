import clsx from 'clsx';

interface BeforeAfterProps {
  /** CSS colours or images; null where there is none. */
  before: string | null;
  after: string | null;
  className?: string;
}

/** Before on the left, after on the right, edge to edge, so that a small difference is seen. */
export const BeforeAfter = ({ before, after, className = 'h-6 w-18' }: BeforeAfterProps) => (
  <span
    aria-hidden
    className={clsx('flex shrink-0 overflow-hidden rounded-[4px] border border-hair', className)}
  >
    <Half css={before} />
    <Half css={after} />
  </span>
);

const Half = ({ css }: { css: string | null }) => (
  <span className={clsx('flex-1', css ? 'checker' : 'grid place-content-center bg-sunken')}>
    {css ? (
      <span className="block size-full" style={{ background: css }} />
    ) : (
      <span className="block h-px w-3 bg-control" />
    )}
  </span>
);
