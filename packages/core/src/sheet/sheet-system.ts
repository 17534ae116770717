import { type PageState, pageOf } from '../cascade/page.ts';
import { readRules } from '../cascade/rules.ts';
import { readColor } from '../color/parse.ts';
import { MOST_FAMILIES } from '../document/families/family.ts';
import { MOST_GRADIENTS } from '../document/gradients/gradient.ts';
import { MOST_ROLES, MOST_THEMES } from '../document/limits.ts';
import { drain } from '../in-parts/drain.ts';
import { paint } from '../system/painted.ts';
import { countColors, type LooseColor, opaque } from './counted-colors.ts';
import { type GatheredFamily, gatherFamilies, type SnappedColor } from './gathered-families.ts';
import type { StopSource } from './linked-gradient.ts';
import { mergeColors } from './merged-colors.ts';
import { propertiesOf, type SheetProperty, type UnfixedProperty } from './properties.ts';
import { type PlaceOf, withOrigin } from './role-origins.ts';
import { rulesPairs } from './rule-pairs.ts';
import { rolesOfRules, type SheetPair } from './rule-roles.ts';
import { countsOf, rulesUses, type UseCounts, type UsedColor } from './rule-uses.ts';
import { scalesOf, themedScalesOf } from './scales.ts';
import { commonPrefix, freeFound } from './sheet-names.ts';
import { type NamedSheetGradient, rolesAndGradients, type SheetRole } from './sheet-roles.ts';
import { type SheetFamily, spelledFamily, withSnapped } from './spelled-families.ts';
import { themesOf } from './theme-blocks.ts';
import { coloured, distinct, type ThemedPage } from './themed-pages.ts';

/** What a style sheet comes to when it is read as a colour system. */
export interface SheetSystem {
  readonly themes: readonly {
    readonly key: string;
    readonly name: string;
    /** The page that has it. */
    readonly state: PageState;
  }[];
  /** Names of themes that are beyond as many as a project has. */
  readonly beyond: readonly string[];
  readonly families: readonly SheetFamily[];
  readonly roles: readonly SheetRole[];
  readonly gradients: readonly NamedSheetGradient[];
  /** How many custom properties are beyond as many roles and gradients as a project has. */
  readonly propertiesBeyond: number;
  readonly pairs: readonly SheetPair[];
  /** Colours that are written out in rules, by what they are used for: those that are written most. */
  readonly uses: readonly UsedColor[];
  /** How many there are in all of each use, and how often they are written. */
  readonly useCounts: UseCounts;
  /** Custom properties that are colours, but of the text around or of the system. */
  readonly unfixed: readonly UnfixedProperty[];
  /** Opaque colours that no family took. */
  readonly leftOver: readonly LooseColor[];
  /** Different opaque colours in the sheet as they are painted, translucent ones by what they are without their opacity. */
  readonly colors: number;
}

/** How the product's own export begins. */
const OWN_FILE = /^\s*\/\*(?:(?!\*\/)[\s\S]){0,400}written by Mint Lamp/;

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

/** Colours in rules, and colours that no family took, that are listed: nobody looks through more. */
const MOST_USES = 600;
const MOST_LEFT = 2000;

/** ΔE OK (0–1) that nobody sees unless both lie beside each other. */
export const NOT_VISIBLY = 0.02;

/** Colours with how often they are, put together from several counts. */
function counted(...counts: readonly ReadonlyMap<string, number>[]): LooseColor[] {
  const all = new Map<string, number>();
  for (const one of counts) for (const [color, n] of one) all.set(color, (all.get(color) ?? 0) + n);
  return [...all].map(([color, count]) => ({ color, count }));
}

/** By a colour the role whose custom property is just that in every theme, the first of them; null where none is. */
function constantRoles(
  roles: readonly SheetRole[],
  properties: ReadonlyMap<string, SheetProperty>,
): (color: string) => string | null {
  const known = new Map<string, string>();
  for (const { property } of roles) {
    const colors = new Set(properties.get(property)?.colors.values());
    const [color] = colors;
    if (color !== undefined && colors.size === 1 && !known.has(color)) known.set(color, property);
  }
  return (color) => known.get(color) ?? null;
}

/** Roles that point to none of those that are left out, but to the colour that it has. */
function withoutBeyond(
  roles: readonly SheetRole[],
  left: readonly SheetRole[],
  properties: ReadonlyMap<string, SheetProperty>,
): readonly SheetRole[] {
  if (!left.length) return roles;
  const gone = new Set(left.map(({ property }) => property));
  return roles.map((role) => {
    const colors = properties.get(role.property)!.colors;
    const sources = [...role.sources].flatMap(([theme, source]): [string, StopSource][] => {
      if (source.to !== 'property' || !gone.has(source.property)) return [[theme, source]];
      const color = colors.get(theme);
      return color === undefined ? [] : [[theme, { to: 'color', color }]];
    });
    return { ...role, sources: new Map(sources) };
  });
}

/** The colours that some properties come to in any theme, without their opacity. */
function comeTo(properties: Iterable<SheetProperty>): Map<string, number> {
  const counts = new Map<string, number>();
  for (const { colors, values } of properties)
    for (const [theme, color] of colors) {
      if (values.get(theme)?.to !== 'color' || readColor(color).alpha === 0) continue;
      counts.set(opaque(color), (counts.get(opaque(color)) ?? 0) + 1);
    }
  return counts;
}

/**
 * Reads a style sheet as a colour system: what all of the page has, what it has under attributes and classes, for a colour
 * scheme or for more contrast become themes, worked out as a browser does; numbered custom properties become families, other
 * custom properties roles, `var()` links; all other colours are gathered into families by hue, as they are. `farthest`: how
 * far (ΔE OK, 0–1) a colour may move to be one with another that is used more; by default none moves. Null when the text
 * has no rule with a colour in it. Never throws.
 */
export const readSheet = (css: string, farthest = 0, placeOf?: PlaceOf): SheetSystem | null =>
  drain(readSheetInParts(css, farthest, placeOf));

const inOneFile: PlaceOf = (line) => ({ name: '', line });

/** {@link readSheet} in parts, which say how far it is, 0–1. */
export function* readSheetInParts(
  css: string,
  farthest = 0,
  placeOf = inOneFile,
): Generator<number, SheetSystem | null> {
  const rules = readRules(css);
  yield 0.35;
  const { blocks } = rules;
  const page = pageOf(rules);
  const isOwn = OWN_FILE.test(css);
  const found: ThemedPage[] = [];
  const ofSheet = themesOf(blocks);
  for (const theme of ofSheet) {
    found.push({ theme, values: page(theme.state) });
    yield 0.35 + (0.25 * found.length) / ofSheet.length;
  }
  const named = new Set<string>();
  // Themes of our own files are themes, even where they are alike.
  const all = (isOwn ? found : distinct(found)).map(({ theme: { key, name, state }, values }) => ({
    key,
    name: freeFound(name, named),
    state,
    values,
  }));
  const first = isOwn ? all : all.slice(0, MOST_THEMES);
  const { properties, unfixed } = propertiesOf(
    blocks,
    new Map(first.map(({ key, values }) => [key, values])),
  );
  const own = coloured(
    properties.values(),
    first.map(({ key }) => key),
  );
  const themes = isOwn || !own.size ? first : first.filter(({ key }) => own.has(key));
  yield 0.7;
  const written = countColors(blocks);
  if (!written.size && !properties.size) return null;

  const prefix = commonPrefix([...properties.keys()]);
  const scales = scalesOf(properties.values(), prefix);
  const inScales = new Set(
    scales.flatMap(({ shades, baseProperty }) => [
      ...shades.map(({ property }) => property),
      ...(baseProperty ? [baseProperty] : []),
    ]),
  );
  const others = [...properties.values()].filter(({ name }) => !inScales.has(name));
  const spelled = [
    ...scales.map((scale, i) => spelledFamily(scale, `spelled-${i}`)),
    ...themedScalesOf(others, themes, prefix).map((scale, i) => ({
      ...spelledFamily(scale, `themed-${i}`),
      // Their properties are roles.
      shades: new Map<string, string>(),
    })),
  ];
  const { roles: allRoles, gradients: allGradients } = rolesAndGradients(
    others,
    properties,
    themes.map(({ key }) => key),
    prefix,
  );

  const ofProperties = withoutBeyond(allRoles.slice(0, MOST_ROLES), allRoles.slice(MOST_ROLES), properties);
  const gradients = allGradients.slice(0, MOST_GRADIENTS);
  const onPages = new Set(found.flatMap(({ theme }) => theme.blocks));
  const ofParts = blocks.filter((block) => !onPages.has(block));
  const inRules = countColors(ofParts);
  const uses = rulesUses(
    blocks.map((block) =>
      onPages.has(block)
        ? { ...block, declarations: block.declarations.filter(({ property }) => !property.startsWith('--')) }
        : block,
    ),
    found.flatMap(({ theme }) => (own.has(theme.key) ? theme : [])),
  ).map((one) => {
    const { name, line } = placeOf(one.line);
    return { ...one, file: name, line };
  });
  const fromRules = isOwn
    ? { roles: [], pairs: [] }
    : rolesOfRules({
        uses,
        pairs: rulesPairs(blocks, (property) => properties.has(property)),
        themes: themes.map(({ key }) => key),
        roles: ofProperties,
        roleOfColor: constantRoles(ofProperties, properties),
      });
  yield 0.85;
  const roles = isOwn
    ? ofProperties
    : [...ofProperties, ...fromRules.roles]
        .slice(0, MOST_ROLES)
        .map((role) => withOrigin(role, properties, uses, placeOf));
  const besideScales = countColors(
    blocks.map((block) => ({
      ...block,
      declarations: block.declarations.filter(
        ({ property }) => !inScales.has(property) && !properties.has(property),
      ),
    })),
  );
  const loose = isOwn ? counted(inRules) : counted(besideScales, comeTo(others));
  const shadeColors = [...new Set(spelled.flatMap(({ colors }) => [...colors.values()]))];
  const { kept, merged } = mergeColors(loose, farthest, shadeColors);
  const families = withSnapped(spelled, kept, merged);
  const taken = new Set(shadeColors);
  const plain = new Set(plainColors(roles, gradients));
  // A sheet that spells its families out means the plain colours of its roles to be plain.
  const isMeant = (color: string) =>
    isOwn && inScales.size > plain.size && plain.has(color) && !inRules.has(color);
  const gathered = gatherFamilies(kept.filter(({ color }) => !taken.has(color) && !isMeant(color)));
  const names = new Set<string>();
  const moved = (family: GatheredFamily): SnappedColor[] => {
    const shadeOf = new Map(family.snapped.map(({ color, shade }) => [color, shade]));
    const joining = merged.flatMap((one) => {
      const shade = shadeOf.get(one.into);
      return shade === undefined ? [] : [{ ...one, shade }];
    });
    return [...family.snapped, ...joining].sort((a, b) => b.distance - a.distance);
  };
  const allFamilies: SheetFamily[] = [
    ...families,
    ...gathered.families.map((family, i) => ({
      ...family,
      snapped: moved(family),
      key: `gathered-${i}`,
      shades: new Map<string, string>(),
      baseProperty: null,
      colors: new Map<string, string>(),
    })),
  ];
  const proposed = allFamilies
    .slice(0, MOST_FAMILIES)
    .map((family) => ({ ...family, name: freeFound(family.name, names) }));
  // What is beyond as many families as a project has stays a colour of its own.
  const leftOver = [
    ...gathered.leftOver,
    ...allFamilies
      .slice(MOST_FAMILIES)
      .flatMap(({ snapped }) => snapped.map(({ color, count }) => ({ color, count }))),
  ].sort((a, b) => b.count - a.count);
  return {
    themes: themes.map(({ key, name, state }) => ({ key, name, state })),
    beyond: all.slice(first.length).map(({ name }) => name),
    families: proposed,
    roles,
    gradients,
    propertiesBeyond: allRoles.length - ofProperties.length + allGradients.length - gradients.length,
    pairs: fromRules.pairs,
    uses: uses.slice(0, MOST_USES),
    useCounts: countsOf(uses),
    unfixed,
    leftOver: leftOver.slice(0, MOST_LEFT),
    colors: new Set(
      [...written.keys(), ...loose.map(({ color }) => color), ...shadeColors].map(
        (color) => paint(color).css,
      ),
    ).size,
  };
}
