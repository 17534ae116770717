import { type ChoicesOf, choicesOf } from '../document/delivery/forms.ts';
import type { System } from '../system/resolve.ts';
import { comment, type Declaration, overlaid, writeBlocks } from './css-blocks.ts';
import { namesUnder } from './css-names.ts';
import { CssSheet } from './css-sheet.ts';

/** Beginnings of names that the framework makes utilities of. */
const COLOR = '--color-';
const IMAGE = '--background-image-';

/** What stands in `@theme` stands in every theme: what is taken back there would be no utility. */
const hasValue = ({ value }: Declaration) => value !== 'initial';

/**
 * The system as a theme for version 4 of the framework: shades, roles of the first theme and gradients in `@theme`, so that
 * each is a utility (`bg-deepwater-500`, `text-text-main`, `bg-first-light`); the other themes set the same properties again,
 * and each theme that has a name on the page is a variant (`theme-night-sailing:…`).
 */
export function writeTailwind(system: System, choices: ChoicesOf<'tailwind'>): string {
  const names = namesUnder(system.document, COLOR, IMAGE);
  const style = { ...choicesOf({}, 'css'), ...choices };
  const sheet = new CssSheet(system, style, names, true);
  const shades = sheet.shades();
  const [first, ...rest] = sheet.themes();
  const usual = first?.declarations.filter(hasValue) ?? [];
  const inTheme = {
    selectors: ['@theme static'],
    declarations: [
      ...(choices.only ? [{ property: `${COLOR}*`, value: 'initial' }] : []),
      ...shades.declarations,
      ...usual,
    ],
    parts: new Map([...(shades.parts ?? [])].map(([at, over]) => [at + (choices.only ? 1 : 0), over])),
  };
  // Parts of a page that are in the first theme by its name, within others that are not.
  const again = first?.selectors.filter((selector) => selector !== ':root') ?? [];
  const blocks = [...(first && again.length ? [{ ...first, selectors: again }] : []), ...rest];
  const isNamed = choices.themes !== 'scheme';
  const variants = isNamed
    ? [...system.themes.values()].map(({ theme }) => {
        const name = names.theme(theme.id);
        const at = choices.themes === 'class' ? `.theme-${name}` : `[data-theme="${name}"]`;
        return `@custom-variant theme-${name} (&:where(${at}, ${at} *));`;
      })
    : [];
  const mixed = overlaid([{ selectors: [':root'], declarations: usual }, ...blocks], 'mixed');
  const parts = [
    comment(
      `${system.document.name}: a theme of colours, written by Mint Lamp. Import it behind the framework.`,
    ),
    ...writeBlocks([inTheme], 'comments'),
    ...writeBlocks(blocks, 'comments'),
    ...(mixed.length
      ? [
          `@supports (background: linear-gradient(in oklab, #000, #fff)) {\n${writeBlocks(mixed, 'comments')
            .join('\n\n')
            .replace(/^(?=.)/gm, '  ')}\n}`,
        ]
      : []),
    ...(variants.length ? [variants.join('\n')] : []),
  ];
  return `${parts.join('\n\n')}\n`;
}
