import { readBlocks } from './blocks.ts';
import { colorCounter, type LooseColor, opaque } from './counted-colors.ts';
import { gatherFamilies } from './gathered-families.ts';
import { propertiesOf } from './properties.ts';
import { scalesOf } from './scales.ts';
import { commonPrefix, freeFound } from './sheet-names.ts';
import { type NamedSheetGradient, rolesAndGradients, type SheetRole } from './sheet-roles.ts';
import { type SheetFamily, spelledFamily, withTwins } from './spelled-families.ts';
import { themesOf } from './theme-blocks.ts';

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

/** How the product's own export begins. */
const OWN_FILE = /^\s*\/\*[^*]{0,200}written by Mint Lamp/;

/** The plain colours that roles and stops are given, without their opacity. */
function plainColors(roles: readonly SheetRole[], gradients: readonly NamedSheetGradient[]): string[] {
  const sources = [
    ...roles.flatMap((role) => [...role.sources.values()]),
    ...gradients.flatMap(({ gradient }) =>
      gradient.stops.flatMap((item) => (item.kind === 'stop' ? item.color : [])),
    ),
  ];
  return sources.flatMap((source) => (source.to === 'color' ? opaque(source.color) : []));
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
  const count = colorCounter();
  const all = count(blocks);
  if (!all.size && !properties.size) return null;

  const prefix = commonPrefix([...properties.keys()]);
  const scales = scalesOf(properties.values(), prefix);
  const spelled = scales.map((scale, i) => spelledFamily(scale, `spelled-${i}`));
  const inScales = new Set(
    spelled.flatMap(({ shades, baseProperty }) => [
      ...shades.keys(),
      ...(baseProperty ? [baseProperty] : []),
    ]),
  );
  const { roles, gradients } = rolesAndGradients(
    [...properties.values()].filter(({ name }) => !inScales.has(name)),
    properties,
    themes.map(({ key }) => key),
    prefix,
  );

  const isOwn = OWN_FILE.test(css);
  const inThemes = new Set(themes.flatMap((theme) => theme.blocks));
  const inRules = count(blocks.filter((block) => !inThemes.has(block)));
  const besideScales = count(
    blocks.map((block) => ({
      ...block,
      declarations: block.declarations.filter(({ property }) => !inScales.has(property)),
    })),
  );
  const loose = [...(isOwn ? inRules : besideScales)].map(([color, times]) => ({ color, count: times }));
  const families = withTwins(spelled, loose);
  const taken = new Set(families.flatMap(({ snapped }) => snapped.map(({ color }) => color)));
  const plain = new Set(plainColors(roles, gradients));
  // A sheet that spells its families out means the plain colours of its roles to be plain.
  const isMeant = (color: string) => inScales.size > plain.size && plain.has(color) && !inRules.has(color);
  const gathered = gatherFamilies(loose.filter(({ color }) => !taken.has(color) && !isMeant(color)));
  const names = new Set<string>();
  return {
    themes: themes.map(({ key, name }) => ({ key, name })),
    families: [
      ...families,
      ...gathered.families.map((family, i) => ({
        ...family,
        key: `gathered-${i}`,
        handSet: {},
        shades: new Map<string, string>(),
        baseProperty: null,
        colors: new Map<string, string>(),
      })),
    ].map((family) => ({ ...family, name: freeFound(family.name, names) })),
    roles,
    gradients,
    leftOver: [...gathered.leftOver].sort((a, b) => b.count - a.count),
    colors: all.size,
  };
}
