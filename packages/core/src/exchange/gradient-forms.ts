import { gradientCss } from '../system/gradients/gradient-css.ts';
import type { ResolvedGradient } from '../system/gradients/resolved-gradient.ts';
import type { System } from '../system/resolve.ts';
import { gradientProperty } from './css.ts';
import { plainGradient } from './css-values.ts';

/** A gradient as CSS that can be put into a style sheet as it is. */
export interface GradientForm {
  readonly form: 'property' | 'background' | 'text' | 'fallback';
  readonly name: string;
  readonly css: string;
}

/** A gradient as a linked custom property, as a background, as the fill of a text, and with a plain one before it. */
export function gradientForms(system: System, resolved: ResolvedGradient): GradientForm[] {
  const css = gradientCss(resolved);
  const property = gradientProperty(system, resolved);
  if (!css || !property) return [];
  const plain = resolved.gradient.space === 'srgb' ? null : plainGradient(resolved);
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
