import { type ChoicesOf, choicesOf } from '../document/delivery/forms.ts';
import type { ResolvedGradient } from '../system/gradients/resolved-gradient.ts';
import type { System } from '../system/resolve.ts';
import { type Block, comment, overlaid, type SheetText, writeBlocks } from './css-blocks.ts';
import { cssNames } from './css-names.ts';
import { CssSheet } from './css-sheet.ts';
import { mixedGradient } from './css-values.ts';

export type CssChoices = ChoicesOf<'css'>;

/** A gradient as the custom property that {@link writeCss} writes for it, linked; null when it has too few colours. */
export function gradientProperty(system: System, resolved: ResolvedGradient): string | null {
  const names = cssNames(system.document);
  const text = mixedGradient(resolved, { links: names, code: 'hex' });
  return text && `${names.gradient(resolved.gradient.id)}: ${text};`;
}

const KNOWS_MIXING = '@supports (background: linear-gradient(in oklab, #000, #fff))';
const KNOWS_OKLCH = '@supports (color: oklch(0% 0 0))';

/** Rules within another at-rule; media queries nest in it. */
function within(atRule: string, blocks: readonly Block[], text: SheetText): string[] {
  if (!blocks.length) return [];
  const inner = writeBlocks(blocks, text);
  if (text === 'small') return [`${atRule}{${inner.join('')}}`];
  return [`${atRule} {\n${inner.join('\n\n').replace(/^(?=.)/gm, '  ')}\n}`];
}

/**
 * The whole system as CSS custom properties: shades once, on the root; then each theme with every role and
 * gradient, the first theme being what a page has without asking. A theme is chosen as `choices` say, by default with
 * `data-theme="day-sailing"` on any element, and a part of a page can have another theme than the rest: that
 * is why each theme writes out all its roles and gradients, and takes back those that have no value in it. Comments
 * say what a custom property stands for where it comes first, so that the file can be read back as the system it was.
 */
export function writeCss(system: System, choices: CssChoices = choicesOf({}, 'css')): string {
  const sheet = new CssSheet(system, choices, cssNames(system.document, choices.prefix));
  const { text } = choices;
  const blocks = [sheet.shades(), ...sheet.themes()];
  const parts = [
    ...(text === 'comments'
      ? [comment(`${system.document.name}: colours as custom properties, written by Mint Lamp`)]
      : []),
    ...(choices.typed ? sheet.registered() : []),
    ...writeBlocks(blocks, text),
    ...within(KNOWS_MIXING, overlaid(blocks, 'mixed'), text),
    ...within(KNOWS_OKLCH, overlaid(blocks, 'wider'), text),
    ...(choices.classes ? sheet.classes() : []),
  ];
  return text === 'small' ? `${parts.join('')}\n` : `${parts.join('\n\n')}\n`;
}
