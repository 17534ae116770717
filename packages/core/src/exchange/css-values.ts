import type { Gradient } from '../document/gradients/gradient.ts';
import type { Link } from '../document/links/link.ts';
import { faultsOfEngines } from '../gradient/engines.ts';
import { plainStops } from '../gradient/plain-stops.ts';
import { writeGradient } from '../gradient/write-css.ts';
import { gradientText, type StopPaint } from '../system/gradients/gradient-css.ts';
import { hasColors, paintedGradient, type ResolvedGradient } from '../system/gradients/resolved-gradient.ts';
import type { Painted } from '../system/painted.ts';
import type { System } from '../system/resolve.ts';
import { type Code, codeOf } from './codes.ts';
import type { CssNames } from './css-names.ts';

/** How gradients are written: in plain stops where engines paint them otherwise, as mixed, or both, the plain first. */
export type GradientChoice = 'alike' | 'mixed' | 'fallback';

/** How links and colours are written. */
export interface ValueStyle {
  readonly code: Code;
  /** The names that links are written by, as `var()`; null where they are written as the colours that they come to. */
  readonly links: CssNames | null;
}

const percent = (n: number) => `${Math.round(n * 1e4) / 1e4}%`;

/** What a link to something is written as; its opacity by mixing with nothing. */
function linkValue(link: Link, names: CssNames): string {
  const target =
    link.to === 'shade'
      ? `var(${names.shade(link.family, link.shade)})`
      : link.to === 'role'
        ? `var(${names.role(link.role)})`
        : link.to === 'base'
          ? names.base(link.family)
          : link.color;
  const opacity = link.opacity ?? 1;
  return opacity === 1 ? target : `color-mix(in srgb, ${target} ${percent(opacity * 100)}, transparent)`;
}

/** A colour with the link that it comes by. */
export const colorValue = (color: Painted, link: Link, { code, links }: ValueStyle): string =>
  !links || link.to === 'color' ? codeOf(color, code) : linkValue(link, links);

/** Gradients as they were last written by links, which are the same in every theme where no stop has lost its colour. */
const linked = new WeakMap<Gradient, { readonly style: ValueStyle; readonly text: string }>();

/** A gradient as CSS with its stops as a style has them; null when fewer than two of its stops have a colour. */
export function mixedGradient(resolved: ResolvedGradient, style: ValueStyle): string | null {
  const { gradient, colors } = resolved;
  const isSameEverywhere = style.links !== null && colors.every((color) => color !== null);
  const known = isSameEverywhere ? linked.get(gradient) : undefined;
  if (known?.style.links === style.links && known.style.code === style.code) return known.text;
  const text = gradientText(resolved, ({ color, link }: StopPaint) => colorValue(color, link, style));
  if (isSameEverywhere && text !== null) linked.set(gradient, { style, text });
  return text;
}

const plains = new WeakMap<ResolvedGradient, string | null>();

/**
 * A gradient in plain stops, as every engine paints it; null where it has too few colours, or px and percent together, which
 * no plain stops can follow.
 */
export function plainGradient(resolved: ResolvedGradient): string | null {
  let known = plains.get(resolved);
  if (known === undefined) {
    const painted = paintedGradient(resolved);
    const plain = painted && hasColors(resolved) ? plainStops(painted) : null;
    // Browsers that do not know other spaces do not know their names either.
    known = plain && writeGradient(plain).replace(' in srgb,', ',').replace('(in srgb, ', '(');
    plains.set(resolved, known);
  }
  return known;
}

/** Whether engines paint a gradient otherwise than each other. */
export function isPaintedOtherwise(resolved: ResolvedGradient): boolean {
  let known = otherwises.get(resolved);
  if (known === undefined) {
    const painted = paintedGradient(resolved);
    known = painted !== null && !faultsOfEngines(painted).next().done;
    otherwises.set(resolved, known);
  }
  return known;
}
const otherwises = new WeakMap<ResolvedGradient, boolean>();

/** Ids of the gradients of a system that engines paint otherwise than each other in some theme. */
export const paintedOtherwise = ({ document, themes }: System): string[] =>
  document.gradients.flatMap(({ id }) =>
    [...themes.values()].some((theme) => isPaintedOtherwise(theme.gradients.get(id)!)) ? id : [],
  );

/** A gradient as it is written: the value, and the one that goes over it where mixing is known. */
export interface GradientValue {
  readonly value: string;
  readonly mixed?: string;
  /** Whether the value is in plain stops instead of the way that it is mixed. */
  readonly isPlain: boolean;
}

export function gradientValue(
  resolved: ResolvedGradient,
  choice: GradientChoice,
  style: ValueStyle,
): GradientValue | null {
  const mixed = mixedGradient(resolved, style);
  if (mixed === null) return null;
  const plain =
    choice === 'fallback'
      ? resolved.gradient.space !== 'srgb' && plainGradient(resolved)
      : choice === 'alike' && isPaintedOtherwise(resolved) && plainGradient(resolved);
  if (!plain) return { value: mixed, isPlain: false };
  return choice === 'fallback' ? { value: plain, mixed, isPlain: true } : { value: plain, isPlain: true };
}
