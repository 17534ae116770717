import { NOTATIONS } from '../../color/notations.ts';
import type { Rgba } from '../../contrast/ratio.ts';
import { paintedOver } from '../../contrast/ratio.ts';
import type { ChoicesOf } from '../../document/delivery/forms.ts';
import { slug } from '../../document/naming/names.ts';
import { writeRoleName } from '../../document/naming/role-name.ts';
import { colorOf } from '../../system/painted.ts';
import type { System } from '../../system/resolve.ts';
import { uniqueNames } from '../css-names.ts';
import { isLightOver } from './client-view.ts';
import { type FontFiles, type Letters, lettersOf } from './letters.ts';

/** A swatch on a sheet: a box with its colour and what stands in it, px from the top left corner. */
interface Swatch {
  /** Its name as an identifier, once on the sheet: `deepwater-700`. */
  readonly id: string;
  /** What it is called, with its code: "Deepwater 700, #0b5f6b". */
  readonly title: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** The colour, over white where it is translucent. */
  readonly color: Rgba;
  /** As it is, with its opacity. */
  readonly code: string;
  readonly lines: readonly SheetLine[];
}

export interface SheetLine {
  readonly text: string;
  readonly x: number;
  /** Of the base line. */
  readonly y: number;
  readonly size: number;
  readonly isBold: boolean;
  readonly isDark: boolean;
}

/** A sheet of swatches, laid out. */
export interface SwatchSheet {
  readonly title: string;
  readonly width: number;
  readonly height: number;
  readonly headings: readonly SheetLine[];
  readonly swatches: readonly Swatch[];
}

/** px of a sheet's width: to be read across a table when it is printed or shown as wide as a screen; wider for very many. */
const [WIDTH, WIDEST] = [1600, 12_000];
/** px that a swatch takes about, with what stands around it. */
const ABOUT = 160 * 140;
/** px that a name is given at most, where others are shorter. */
const WIDEST_NAME = 420;
/** How much higher than wide a sheet gets before it grows wider. */
const HIGHEST = 1.5;
export const MARGIN = 56;
const TITLE = 52;
const HEADING = 34;
/** px of the letters of labels. */
export const LABEL = 24;
const PAD = 14;
const LEAST_WIDTH = 128;
const WHITE: Rgba = { r: 255, g: 255, b: 255, alpha: 1 };

export interface SheetFonts {
  readonly regular: Letters;
  readonly bold: Letters;
}

export const sheetFonts = ({ regular, bold }: FontFiles): SheetFonts => ({
  regular: lettersOf(regular),
  bold: lettersOf(bold),
});

type SwatchChoices = ChoicesOf<'svg'>;

interface Section {
  readonly title: string;
  readonly colors: readonly {
    readonly id: string;
    readonly name: string;
    readonly color: Rgba & { css: string };
  }[];
}

function sectionsOf(system: System, of: SwatchChoices['of']): Section[] {
  const families = [...system.families.values()].map(({ family, shades }) => ({
    title: family.name,
    colors: shades.map((shade) => ({
      id: `${slug(family.name)}-${slug(shade.label) || 'shade'}`,
      name: shade.label,
      color: shade,
    })),
  }));
  const roles = [...system.themes.values()].map((theme) => ({
    title: theme.theme.name,
    colors: system.document.roles.flatMap((role) => {
      const color = theme.roles.get(role.id)!.color;
      const name = writeRoleName(role);
      return color ? [{ id: `${slug(theme.theme.name)}-${slug(name)}`, name, color }] : [];
    }),
  }));
  return [...(of === 'roles' ? [] : families), ...(of === 'families' ? [] : roles)].filter(
    ({ colors }) => colors.length > 0,
  );
}

/**
 * Lays swatches out in rows: each as wide as its label asks for, at least, and as many beside each other as there is room.
 * What a name has no room for ends in an ellipsis.
 */
export function swatchSheet(
  system: System,
  { of, labels, code }: SwatchChoices,
  fonts: SheetFonts,
): SwatchSheet {
  const { write } = NOTATIONS.find(({ id }) => id === code)!;
  const sections = sectionsOf(system, of);
  const count = sections.reduce((sum, { colors }) => sum + colors.length, 0);
  const wide = Math.min(WIDEST, Math.max(WIDTH, Math.round(Math.sqrt((count * ABOUT) / HIGHEST))));
  const title = fonts.bold.fitted(system.document.name, TITLE, wide - 2 * MARGIN);
  const headings: SheetLine[] = [
    { text: title, x: MARGIN, y: MARGIN + TITLE * 0.8, size: TITLE, isBold: true, isDark: true },
  ];
  const swatches: Swatch[] = [];
  const unique = uniqueNames();
  let y = MARGIN + TITLE + 24;
  const room = wide - 2 * MARGIN;
  for (const { title: section, colors } of sections) {
    headings.push({
      text: fonts.bold.fitted(section, HEADING, room),
      x: MARGIN,
      y: y + HEADING * 0.9,
      size: HEADING,
      isBold: true,
      isDark: true,
    });
    y += HEADING + 18;
    const texts = colors.map(({ name, color }) => ({ name, code: write(colorOf(color)) }));
    const widest = Math.max(
      ...texts.map(({ name, code: written }) =>
        Math.max(
          labels === 'codes' ? 0 : Math.min(fonts.bold.width(name, LABEL), room / 3, WIDEST_NAME),
          labels === 'names' ? 0 : fonts.regular.width(written, LABEL),
        ),
      ),
    );
    // A little more than is needed, since another font may stand in for ours.
    const wanted = Math.max(LEAST_WIDTH, widest * 1.08 + 2 * PAD);
    const most = Math.max(1, Math.min(colors.length, Math.floor(room / wanted)));
    // As many in each row, as far as that goes.
    const columns = Math.ceil(colors.length / Math.ceil(colors.length / most));
    const width = Math.floor(room / columns);
    const height = labels === 'both' ? 132 : 104;
    colors.forEach(({ id, name, color }, i) => {
      const x = MARGIN + (i % columns) * width;
      const top = y + Math.floor(i / columns) * (height + 8);
      const isDark = isLightOver(color);
      const written = texts[i]!.code;
      const line = (text: string, n: number, isBold: boolean): SheetLine => ({
        text: (isBold ? fonts.bold : fonts.regular).fitted(text, LABEL, width - 2 * PAD),
        x: x + PAD,
        y: top + height - PAD - 6 - n * (LABEL + 8),
        size: LABEL,
        isBold,
        isDark,
      });
      swatches.push({
        id: unique(id),
        title: `${of === 'roles' || !section ? '' : `${section} `}${name}, ${written}`,
        x,
        y: top,
        width: width - 4,
        height,
        color: color.alpha < 1 ? paintedOver(color, WHITE) : color,
        code: color.css,
        lines: [
          ...(labels === 'codes' ? [] : [line(name, labels === 'both' ? 1 : 0, true)]),
          ...(labels === 'names' ? [] : [line(written, 0, false)]),
        ],
      });
    });
    y += Math.ceil(colors.length / columns) * (height + 8) + 28;
  }
  return {
    title: system.document.name,
    width: wide,
    height: Math.ceil(y + MARGIN - 28),
    headings,
    swatches,
  };
}
