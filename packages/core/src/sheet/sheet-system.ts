import { findColors } from '../color/find.ts';
import { parseColor, readColor } from '../color/parse.ts';
import { canonical } from '../color/write.ts';
import type { LightnessGrowth } from '../family/growth.ts';
import { slug } from '../system/names.ts';
import { oklabOf, paint } from '../system/resolve/painted.ts';
import { readNames } from '../system/roles/role-name.ts';
import { readBlocks, type SheetBlock } from './blocks.ts';
import { fitGrowth } from './fitted-growth.ts';
import { gatherFamilies, type LooseColor, type SnappedColor } from './gathered-families.ts';
import { gradientOf, readLinkedGradient, type SheetGradient } from './linked-gradient.ts';
import { colorIn, propertiesOf, type SheetProperty } from './properties.ts';
import { basesOf, scalesOf, titleOf } from './scales.ts';
import { themesOf } from './theme-blocks.ts';
import { isBareHex } from './values.ts';

/** A family that a style sheet proposes. */
export interface SheetFamily {
  /** Unique among the proposed families. */
  readonly key: string;
  readonly name: string;
  readonly base: string;
  readonly growth: LightnessGrowth;
  readonly handSet: Readonly<Record<string, string>>;
  /** The custom property of each shade that the sheet spells out, by property. */
  readonly shades: ReadonlyMap<string, string>;
  /** The colours of those, by label. */
  readonly colors: ReadonlyMap<string, string>;
  /** Loose colours that are nearest to one of its shades, the largest distances first. */
  readonly snapped: readonly SnappedColor[];
}

export type RoleSource =
  | { readonly to: 'property'; readonly property: string; readonly opacity: number }
  | { readonly to: 'color'; readonly color: string };

/** A custom property that becomes a role, with what it points to in each theme by key. */
export interface SheetRole {
  readonly property: string;
  readonly group: readonly string[];
  readonly name: string;
  readonly sources: ReadonlyMap<string, RoleSource>;
}

export interface NamedSheetGradient {
  readonly property: string;
  readonly name: string;
  readonly gradient: SheetGradient;
}

/** What a style sheet comes to when it is read as a colour system. */
export interface SheetSystem {
  readonly themes: readonly { readonly key: string; readonly name: string }[];
  readonly families: readonly SheetFamily[];
  readonly roles: readonly SheetRole[];
  readonly gradients: readonly NamedSheetGradient[];
  /** Opaque colours that no family took. */
  readonly leftOver: readonly LooseColor[];
  /** Different opaque colours in the sheet, translucent ones counted by what they are without their opacity. */
  readonly colors: number;
}

const opaque = (color: string) => {
  const c = readColor(color);
  return c.alpha === 1 ? color : canonical({ ...c, alpha: 1 });
};

/** Declarations in which a word may be a colour. */
const PAINTS =
  /colou?r|background|border|outline|shadow|fill|stroke|image|decoration|emphasis|caret|accent|^--/i;

const URL = /url\((?:"[^"]*"|'[^']*'|[^)"']*)\)/gi;

/** Every colour that the sheet writes, by value, with how often. */
function countColors(blocks: readonly SheetBlock[]): Map<string, number> {
  const counts = new Map<string, number>();
  const found = new Map<string, readonly { color: string; count: number }[]>();
  for (const { declarations } of blocks)
    for (const { property, value } of declarations) {
      if (!PAINTS.test(property) || value.length > 20_000) continue;
      let colors = found.get(value);
      if (!colors) {
        const direct = isBareHex(value) ? null : parseColor(value);
        colors = direct?.ok
          ? [{ color: canonical(direct.color), count: 1 }]
          : findColors(value.replace(URL, ' ')).found;
        found.set(value, colors);
      }
      for (const { color, count } of colors) {
        const own = opaque(color);
        counts.set(own, (counts.get(own) ?? 0) + count);
      }
    }
  counts.delete('#00000000');
  return counts;
}

/** Whether nothing of a colour is seen: `transparent`. */
const isClear = (color: string) => readColor(color).alpha === 0;

const withoutPrefix = (property: string, prefix: string) =>
  property.slice(property.startsWith(`--${prefix}`) ? 2 + prefix.length : 2);

/** How the product's own export begins. */
const OWN_FILE = /^\s*\/\*[^*]{0,200}written by Mint Lamp/;

/** What nearly all custom properties begin with, such as `acme-`; empty when there is no such thing. */
function commonPrefix(properties: readonly SheetProperty[]): string {
  const firsts = new Map<string, number>();
  for (const { name } of properties) {
    const first = /^--([^-]+-)./.exec(name)?.[1];
    if (first) firsts.set(first, (firsts.get(first) ?? 0) + 1);
  }
  const [most] = [...firsts].sort((a, b) => b[1] - a[1]);
  return most && most[1] >= 8 && most[1] >= properties.length * 0.9 ? most[0] : '';
}

/** The names of a role: what the comment after it says, else what its custom property says, its first word a group. */
function roleNames(
  property: SheetProperty,
  prefix: string,
  stems: ReadonlyMap<string, number>,
): { group: string[]; name: string } {
  const text = withoutPrefix(property.name, prefix);
  const { remark } = property.declaration;
  const written = remark && slug(remark) === slug(text) ? readNames(remark) : null;
  if (written?.ok)
    return { group: written.names.slice(0, -1), name: written.names[written.names.length - 1]! };
  const words = text
    .replace(/[.{}/$\s]+/g, '-')
    .split('-')
    .filter(Boolean);
  const [first, ...others] = words;
  if (others.length && (stems.get(first!) ?? 0) > 1) return { group: [first!], name: others.join('-') };
  return { group: [], name: words.join('-') || text };
}

/** Colours that are near-twins of a shade that the sheet spells out belong to it. */
const TWINS = 0.02;

/** Of some colours those that are written plainly and hardly differ from a spelled shade, each with that shade. */
function snapToSpelled(
  colors: readonly LooseColor[],
  written: ReadonlySet<string>,
  spelled: readonly SheetFamily[],
): Map<string, SnappedColor & { readonly key: string }> {
  const shades = spelled.flatMap(({ key, colors: own }) =>
    [...own].map(([shade, color]) => ({ key, shade, lab: oklabOf(paint(color)) })),
  );
  const near = new Map<string, SnappedColor & { key: string }>();
  for (const { color, count } of colors) {
    if (!written.has(color)) continue;
    const [l, a, b] = oklabOf(paint(color));
    for (const { key, shade, lab } of shades) {
      const distance = Math.hypot(l - lab[0], a - lab[1], b - lab[2]);
      if (distance < TWINS && distance < (near.get(color)?.distance ?? TWINS))
        near.set(color, { color, count, shade, distance, key });
    }
  }
  return near;
}

/**
 * Reads a style sheet as a colour system: blocks for all of the page, under an attribute or a class, or for a colour
 * scheme become themes; numbered custom properties become families, other custom properties roles, `var()` links;
 * loose colours are gathered into families by hue. Null when the text has no rule with a colour in it. Never throws.
 */
export function readSheet(css: string): SheetSystem | null {
  const blocks = readBlocks(css);
  const themes = themesOf(blocks);
  const properties = propertiesOf(themes);
  const inThemes = new Set(themes.flatMap((theme) => theme.blocks));
  const counts = countColors(blocks);
  for (const color of [...counts.keys()]) if (isClear(color)) counts.delete(color);
  if (!counts.size && !properties.size) return null;

  const prefix = commonPrefix([...properties.values()]);
  const scales = scalesOf(properties.values(), prefix);
  const shadeOf = new Map(
    scales.flatMap((scale) => scale.shades.map((shade) => [shade.property, scale] as const)),
  );
  const exact = new Set(scales.flatMap((scale) => scale.shades.map(({ color }) => opaque(color))));
  const spelled = scales.map((scale, i): SheetFamily => {
    const labels = scale.shades.map(({ label }) => label);
    const colors = scale.shades.map(({ color }) => color);
    const { base, growth, handSet } = fitGrowth(labels, colors, basesOf(scale));
    return {
      key: `spelled-${i}`,
      name: scale.name,
      base: opaque(colors[base]!),
      growth,
      handSet,
      shades: new Map(scale.shades.map(({ property, label }) => [property, label])),
      colors: new Map(scale.shades.map(({ label, color }) => [label, color])),
      snapped: [],
    };
  });

  const gradients: NamedSheetGradient[] = [];
  const roles: SheetRole[] = [];
  const others = [...properties.values()].filter(({ name }) => !shadeOf.has(name));
  const stems = new Map<string, number>();
  for (const { name } of others) {
    const [first] = withoutPrefix(name, prefix).split('-');
    stems.set(first!, (stems.get(first!) ?? 0) + 1);
  }
  for (const property of others) {
    const painted = [...property.values.values()].find((value) => value.to === 'gradient');
    if (painted?.to === 'gradient') {
      const gradient = readLinkedGradient(painted.text);
      const { remark, property: own } = property.declaration;
      const text = withoutPrefix(own, prefix).replace(/^gradient-/, '');
      const name = remark && slug(remark) === slug(text) ? remark : titleOf(text);
      const plain = { to: 'color', color: '#000000' } as const;
      if (gradient && gradientOf(gradient, { id: own, name }, () => plain))
        gradients.push({ property: own, name, gradient });
      continue;
    }
    const sources = new Map<string, RoleSource>();
    for (const { key } of themes) {
      const value = property.values.get(key);
      // What leads in a circle, or to what is gone, has no value.
      if (value && value.to !== 'gradient' && colorIn(properties, property.name, key) !== null)
        sources.set(key, value);
    }
    if (sources.size) roles.push({ property: property.name, ...roleNames(property, prefix, stems), sources });
  }

  const own = OWN_FILE.test(css);
  // A sheet that spells its families out means the plain colours of its roles to be plain.
  const sources = [
    ...roles.flatMap((role) => [...role.sources.values()]),
    ...gradients.flatMap(({ gradient }) =>
      gradient.stops.flatMap((item) => (item.kind === 'stop' ? item.color : [])),
    ),
  ];
  const plain = sources.flatMap((source) => (source.to === 'color' ? opaque(source.color) : []));
  const meant = new Set(own || shadeOf.size > plain.length ? plain : []);
  const elsewhere = meant.size ? countColors(blocks.filter((block) => !inThemes.has(block))) : counts;
  const loose = [...counts]
    .filter(([color]) => !exact.has(color) && (!meant.has(color) || elsewhere.has(color)))
    .map(([color, count]): LooseColor => ({ color, count }));
  const near = own
    ? new Map<string, SnappedColor & { key: string }>()
    : snapToSpelled(
        [...counts].map(([color, count]) => ({ color, count })),
        new Set([...plain, ...elsewhere.keys()]),
        spelled,
      );
  const gathered = gatherFamilies(loose.filter(({ color }) => !near.has(color)));
  const names = new Set(spelled.map(({ name }) => slug(name)));
  const families = gathered.families.map((family, i): SheetFamily => {
    let name = family.name;
    for (let n = 2; names.has(slug(name)); n++) name = `${family.name} ${n}`;
    names.add(slug(name));
    return { ...family, key: `gathered-${i}`, name, handSet: {}, shades: new Map(), colors: new Map() };
  });
  return {
    themes: themes.map(({ key, name }) => ({ key, name })),
    families: [
      ...spelled.map((family) => ({
        ...family,
        snapped: [...near.values()]
          .filter(({ key }) => key === family.key)
          .sort((a, b) => b.distance - a.distance),
      })),
      ...families,
    ],
    roles,
    gradients,
    leftOver: [...gathered.leftOver].sort((a, b) => b.count - a.count),
    colors: counts.size,
  };
}
