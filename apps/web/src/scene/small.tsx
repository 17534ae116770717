import type { ReactNode } from 'react';

interface SmallProps {
  width: number;
  height: number;
  /** Px for which it is laid out before it is made small. */
  page: number;
  children: ReactNode;
}

/** A page laid out for its own width and made small. For sighted eyes. */
export function Small({ width, height, page, children }: SmallProps) {
  const scale = width / page;
  return (
    <div
      aria-hidden
      data-specimen
      className="overflow-hidden rounded-md border border-hair contain-strict"
      style={{ width, height }}
    >
      <div
        className="pointer-events-none origin-top-left"
        style={{ width: page, height: height / scale, transform: `scale(${scale})` }}
      >
        {children}
      </div>
    </div>
  );
}
