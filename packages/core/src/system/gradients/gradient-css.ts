import type { Link } from '../../document/links/link.ts';
import { writeGradientWith } from '../../gradient/write-css.ts';
import type { Painted } from '../painted.ts';
import { coloredGradient, hasColors, type ResolvedGradient } from './resolved-gradient.ts';

/** What a stop is written as: the link that it has, and the colour that this comes to. */
export interface StopPaint {
  readonly link: Link;
  readonly color: Painted;
}

/** A gradient as CSS with each stop's colour as `value` writes it; null when fewer than two of its stops have one. */
export function gradientText(resolved: ResolvedGradient, value: (stop: StopPaint) => string): string | null {
  if (!hasColors(resolved)) return null;
  return writeGradientWith(
    coloredGradient(resolved, (color, link) => value({ color, link }))!,
    (text) => text,
  );
}

/** A gradient as CSS with plain colours; null when fewer than two of its stops have one. */
export function gradientCss(resolved: ResolvedGradient): string | null {
  return gradientText(resolved, ({ color }) => color.css);
}
