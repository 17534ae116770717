import { rgb8ToOklch, toRgb8 } from '../color/gamut.ts';
import { readColor } from '../color/parse.ts';
import { luminance } from '../contrast/ratio.ts';
import { isLabel } from '../document/families/family.ts';
import { LEAST_SHADES, MOST_SHADES } from '../document/limits.ts';
import { slug } from '../document/naming/names.ts';
import { BASE_REMARK } from '../exchange/css-sheet.ts';
import type { SheetProperty } from './properties.ts';
import { nameFrom, titleOf, withoutPrefix } from './sheet-names.ts';

/** Custom properties that are the shades of one family, as they were written. */
export interface SheetScale {
  readonly name: string;
  /** The label that the family grows from, where the sheet says so. */
  readonly base: string | null;
  /** The custom property that stands for the base itself, in our own files. */
  readonly baseProperty: string | null;
  /** Lightest first. */
  readonly shades: readonly { readonly label: string; readonly property: string; readonly color: string }[];
}

const NUMBERED = /^--(.+?)-?(\d{1,4})$/;
const GROWN = /^(.+), grown from (.+)$/;

/** The one colour that a property has wherever it is declared. */
function constantOf({ values }: SheetProperty): string | null {
  const all = [...values.values()];
  const first = all[0];
  if (first?.to !== 'color') return null;
  return all.every((value) => value.to === 'color' && value.color === first.color) ? first.color : null;
}

/**
 * The families that a sheet spells out: numbered custom properties of one beginning, or those beneath a comment that
 * names the family that they begin with. At least three colours, the same in every theme. `prefix` is what all
 * custom properties of the sheet begin with, such as `acme-`, and no name has.
 */
export function scalesOf(properties: Iterable<SheetProperty>, prefix: string): SheetScale[] {
  const byStem = new Map<
    string,
    Omit<SheetScale, 'baseProperty' | 'shades'> & {
      baseProperty: string | null;
      isOurs: boolean;
      labels: Set<string>;
      shades: SheetScale['shades'][number][];
    }
  >();
  for (const property of properties) {
    const { heading, remark } = property.declaration;
    const [, named, base] = GROWN.exec(heading ?? '') ?? [null, heading, null];
    const begins = named && slug(named) ? `--${slug(named)}-` : null;
    if (base && remark === BASE_REMARK && begins) {
      // It comes behind the shades of its family.
      const own = byStem.get(begins);
      if (own) own.baseProperty = property.name;
      continue;
    }
    const color = constantOf(property);
    if (color === null) continue;
    const numbered = NUMBERED.exec(property.name);
    // A comment that names the family tells where the label begins, whatever it is.
    const titled = begins !== null && property.name.startsWith(begins);
    if (!titled && (!numbered || readColor(color).alpha !== 1)) continue;
    const stem = titled ? begins : numbered![1]!;
    // A comment behind a shade is its label in our own files; elsewhere it may say anything.
    const label = titled ? ((base && remark) ?? property.name.slice(begins.length)) : numbered![2]!;
    const scale = byStem.get(stem) ?? {
      name: nameFrom(titled ? named! : titleOf(withoutPrefix(`--${stem}`, prefix)), 'Family'),
      base,
      baseProperty: null,
      isOurs: base !== null,
      labels: new Set(),
      shades: [],
    };
    byStem.set(stem, scale);
    if (!label || scale.labels.has(label)) continue;
    scale.labels.add(label);
    scale.shades.push({ label, property: property.name, color });
  }
  return [...byStem.values()].filter(isScale).map(({ isOurs, labels: _, ...scale }) => ({
    ...scale,
    shades: isOurs ? scale.shades : inOrder(scale.shades),
  }));
}

const isScale = ({ shades }: Pick<SheetScale, 'shades'>) =>
  shades.length >= LEAST_SHADES &&
  shades.length <= MOST_SHADES &&
  shades.every(({ label }) => isLabel(label));

/**
 * The families that a sheet spells out anew in each theme: numbered custom properties of one beginning whose colours differ
 * by theme. One for each theme that has others than those before, its name behind that of the family. Their custom
 * properties stay roles, which lead to another of these in each theme.
 */
export function themedScalesOf(
  properties: Iterable<SheetProperty>,
  themes: readonly { readonly key: string; readonly name: string }[],
  prefix: string,
): SheetScale[] {
  const byStem = new Map<string, { label: string; property: SheetProperty }[]>();
  for (const property of properties) {
    const numbered = NUMBERED.exec(property.name);
    if (!numbered || constantOf(property) !== null) continue;
    const [, stem, label] = numbered;
    const list = byStem.get(stem!) ?? [];
    byStem.set(stem!, list);
    list.push({ label: label!, property });
  }
  const scales: SheetScale[] = [];
  for (const [stem, list] of byStem) {
    const name = nameFrom(titleOf(withoutPrefix(`--${stem}`, prefix)), 'Family');
    const seen = new Set<string>();
    for (const theme of themes) {
      const shades = list.flatMap(({ label, property }) => {
        const color = property.values.get(theme.key)?.to === 'color' && property.colors.get(theme.key);
        return color && readColor(color).alpha === 1 ? [{ label, property: property.name, color }] : [];
      });
      const key = shades.map(({ label, color }) => `${label} ${color}`).join();
      if (shades.length !== list.length || seen.has(key) || !isScale({ shades })) continue;
      scales.push({
        name: seen.size ? nameFrom(`${name} ${theme.name.toLowerCase()}`, 'Family') : name,
        base: null,
        baseProperty: null,
        shades: inOrder(shades),
      });
      seen.add(key);
    }
  }
  return scales;
}

/** Lightest first: the order of the labels where they are numbers, either way round, else that of the colours. */
function inOrder(shades: readonly SheetScale['shades'][number][]): SheetScale['shades'] {
  const light = (color: string) => {
    const [r, g, b] = toRgb8(readColor(color));
    return luminance({ r, g, b, alpha: 1 });
  };
  const numeric = shades.every(({ label }) => /^\d+$/.test(label));
  const sorted = numeric ? [...shades].sort((a, b) => Number(a.label) - Number(b.label)) : [...shades];
  return light(sorted[0]!.color) >= light(sorted[sorted.length - 1]!.color) ? sorted : sorted.reverse();
}

/**
 * Indexes of the shades that a scale may grow from, likeliest first: the one that it names and no other, else the one
 * labelled 500, then the most colourful.
 */
export function basesOf({ base, shades }: SheetScale): number[] {
  const named = shades.findIndex(({ label }) => label === base);
  if (named !== -1) return [named];
  const chroma = shades.map(({ color }) => rgb8ToOklch(...toRgb8(readColor(color)))[1]);
  const rank = (i: number) => (shades[i]!.label === '500' ? 1 : chroma[i]!);
  return shades.map((_, i) => i).sort((a, b) => rank(b) - rank(a));
}
