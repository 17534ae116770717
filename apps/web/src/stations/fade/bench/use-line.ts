import { lineLength } from '@mint-lamp/core/gradient/geometry';
import type { CssGradient } from '@mint-lamp/core/gradient/model';
import { paintedGradient, type ResolvedGradient } from '@mint-lamp/core/system/gradients/resolved-gradient';
import { useMemo } from 'react';
import type { BoxSize } from '../preview/purposes.ts';
import { straightened } from './straight.ts';

/** Px of a gradient's line before there is a preview to measure. */
const USUAL_LENGTH = 600;

/** What a gradient is painted as, px of its line in a box of a size, and that line laid straight. */
export interface Line {
  readonly painted: CssGradient | null;
  readonly length: number;
  readonly straight: CssGradient | null;
}

/** The line of a gradient on a preview of a size. */
export function useLine(resolved: ResolvedGradient | undefined, size: BoxSize): Line {
  const painted = useMemo(() => (resolved ? paintedGradient(resolved) : null), [resolved]);
  const length = painted && size.width > 0 ? lineLength(painted, size) : USUAL_LENGTH;
  const straight = useMemo(() => (resolved ? straightened(resolved, length) : null), [resolved, length]);
  return useMemo(() => ({ painted, length, straight }), [painted, length, straight]);
}
