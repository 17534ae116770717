import clsx from 'clsx';
import type { ReactNode } from 'react';
import { type DeskView, type Size, toBox } from './view.ts';

interface AreaSquareProps {
  view: DeskView;
  size: Size;
  x: number;
  y: number;
  side: number;
  className?: string;
  children?: ReactNode;
}

/** The square of a picture that is averaged, at its true size, around a place. */
export function AreaSquare({ view, size, x, y, side, className, children }: AreaSquareProps) {
  const reach = Math.floor(side / 2);
  const [left, top] = toBox(view, size, x - reach, y - reach);
  const edge = side * view.scale;
  return (
    <span
      className={clsx('absolute block', className)}
      style={{ transform: `translate(${left}px, ${top}px)`, width: edge, height: edge, left: 0, top: 0 }}
    >
      {children}
    </span>
  );
}
