import clsx from 'clsx';
import { memo, useMemo } from 'react';

interface DrawingProps {
  /** A cleaned drawing, painted. */
  svg: string;
  name: string;
  className?: string;
}

/** A drawing as a picture: nothing in it can run or fetch, whatever it holds. */
export const Drawing = memo(function Drawing({ svg, name, className }: DrawingProps) {
  const address = useMemo(() => `data:image/svg+xml,${encodeURIComponent(svg)}`, [svg]);
  return (
    <img
      data-specimen
      alt={name}
      src={address}
      draggable={false}
      className={clsx('block max-h-full max-w-full object-contain', className)}
    />
  );
});
