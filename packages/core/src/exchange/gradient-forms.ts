import { bakeGradient } from '../gradient/fit.ts';
import { writeGradient } from '../gradient/write-css.ts';
import { gradientCss } from '../system/gradients/gradient-css.ts';
import { paintedGradient, type ResolvedGradient } from '../system/gradients/resolved-gradient.ts';
import type { System } from '../system/resolve.ts';
import { gradientProperty } from './css.ts';

/** A gradient as CSS that can be put into a style sheet as it is. */
export interface GradientForm {
  readonly form: 'property' | 'background' | 'text' | 'fallback';
  readonly name: string;
  readonly css: string;
}

/** Steps of 8 bits by which the plain one may differ from the gradient as it is mixed. */
const TOLERANCE = 1;

/**
 * The gradient in plain sRGB for browsers that do not know its mixing space, never more than 1 of 255 off; null where it
 * is mixed in sRGB already, or where a place in px says something else in every box.
 */
function fallbackOf(resolved: ResolvedGradient): string | null {
  const painted = paintedGradient(resolved);
  if (!painted || painted.space === 'srgb') return null;
  const places = painted.stops.flatMap((item) => (item.kind === 'hint' ? [item.place] : [...item.places]));
  if (places.some(({ unit }) => unit === 'px')) return null;
  const text = writeGradient(bakeGradient(painted, TOLERANCE));
  // Browsers that do not know other spaces do not know their names either.
  return text.replace(' in srgb,', ',').replace('(in srgb, ', '(');
}

/** A gradient as a linked custom property, as a background, as the fill of a text, and with a plain one before it. */
export function gradientForms(system: System, resolved: ResolvedGradient): GradientForm[] {
  const css = gradientCss(resolved);
  const property = gradientProperty(system, resolved);
  if (!css || !property) return [];
  const plain = fallbackOf(resolved);
  return [
    { form: 'property', name: 'Custom property, linked', css: property },
    { form: 'background', name: 'Background', css: `background: ${css};` },
    {
      form: 'text',
      name: 'Fill of a text',
      css: `background-image: ${css};\n-webkit-background-clip: text;\nbackground-clip: text;\ncolor: transparent;`,
    },
    ...(plain
      ? [
          {
            form: 'fallback' as const,
            name: 'With a plain fallback',
            css: `background: ${plain};\nbackground: ${css};`,
          },
        ]
      : []),
  ];
}
