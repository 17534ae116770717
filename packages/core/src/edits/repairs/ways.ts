import { oklchToRgb8, rgb8ToOklch } from '../../color/gamut.ts';
import { hexOfRgb8 } from '../../color/write.ts';
import { contrastRatio, paintedOver, type Rgba, reaches } from '../../contrast/ratio.ts';
import { applyCommand } from '../../document/commands/apply.ts';
import type { Command } from '../../document/commands/command.ts';
import { groundOf } from '../../judged/pairs/measure.ts';
import type { Measurement } from '../../judged/pairs/measurement.ts';
import { ThemePairs } from '../../judged/pairs/theme-pairs.ts';
import { underTexts } from '../../judged/pairs/under-text.ts';
import { type Readout, readoutOf } from '../../judged/readout/readout.ts';
import { type Families, resolveFamily } from '../../system/families/resolved-family.ts';
import { follow, NO_ROLE, type Target } from '../../system/follow.ts';
import type { ResolvedTheme, System } from '../../system/resolve.ts';
import { resolveSystem } from '../../system/resolve.ts';
import type { PairSide, Repair } from './repair.ts';
import { layeredColor, layeredShade, layeredVeil } from './repair-layered.ts';
import { byColor, byOpacity, byShade, repairPair, workOn } from './repair-pair.ts';

/** A way to make a failing pair pass in a theme, with what else it does. */
export interface Way {
  readonly key: string;
  /** What is changed, in words: "Lantern 700 for the text". */
  readonly name: string;
  /** What is given up by it, in words; null for nothing. */
  readonly cost: string | null;
  /** The pair's colours afterwards, composited. */
  readonly text: Rgba;
  readonly ground: Rgba;
  readonly ratio: number;
  readonly command: Command;
  /** Measurements over all themes that pass afterwards and do not now, this one among them, and the other way round. */
  readonly mended: number;
  readonly broken: number;
}

type WayFound = Omit<Way, 'mended' | 'broken'>;

const SAID: Readonly<Record<PairSide, string>> = {
  foreground: 'the text',
  background: 'the ground',
  veil: 'the veil',
};

const asWay = (repair: Repair | null, key: string): WayFound[] =>
  repair?.kind === 'repair'
    ? [
        {
          ...repair,
          key,
          name: repair.side === 'veil' ? repair.name : `${repair.name} for ${SAID[repair.side]}`,
        },
      ]
    : [];

/** OKLCH lightness by which a base is moved from one try to the next, and the farthest that is looked at. */
const STEP = 0.01;
const FARTHEST = 0.6;

/** A role of a theme, with one family as it would be. */
function roleWith(theme: ResolvedTheme, families: Families, id: string): Target {
  const role = theme.roles.get(id);
  if (!role?.link) return NO_ROLE;
  const roleOf = (other: string) => roleWith(theme, families, other);
  return follow(role.link, {
    families,
    hasGradient: (other) => theme.gradients.get(other) !== undefined,
    roleOf,
  });
}

/** The least move of a family's base in lightness after which a pair passes; what else follows the family moves along. */
function byBase(
  system: System,
  theme: ResolvedTheme,
  measured: Measurement,
  side: 'foreground' | 'background',
): WayFound[] {
  const { pair, required } = measured;
  const role = theme.roles.get(side === 'foreground' ? pair.foreground : pair.background);
  const resolved = role?.source && system.families.get(role.source.family);
  if (!resolved || resolved.family.follows || resolved.ground !== null) return [];
  const { family } = resolved;
  const { r, g, b } = resolved.base.color;
  const [lightness, chroma, hue] = rgb8ToOklch(r, g, b);
  const beneath = groundOf(system, theme);
  for (let by = STEP; by <= FARTHEST; by += STEP)
    for (const l of [lightness - by, lightness + by]) {
      if (l < 0 || l > 1) continue;
      const color = hexOfRgb8(...oklchToRgb8(l, chroma, hue));
      const moved = resolveFamily({ ...family, base: color });
      const families = { get: (id: string) => (id === family.id ? moved : system.families.get(id)) };
      const [front, back] = [pair.foreground, pair.background].map(
        (id) => roleWith(theme, families, id).color,
      );
      if (!front || !back) return [];
      const ground = paintedOver(back, beneath);
      const text = paintedOver(front, ground);
      const ratio = contrastRatio(text, ground);
      if (!reaches(ratio, required)) continue;
      const way = l < lightness ? 'darker' : 'lighter';
      return [
        {
          key: `base ${family.id}`,
          name: `a ${way} base of ${family.name}, ${color}`,
          cost: 'All that follows the family moves along, in every theme.',
          text,
          ground,
          ratio,
          command: { type: 'setBase', family: family.id, color },
        },
      ];
    }
  return [];
}

const models = new WeakMap<ResolvedTheme, { readonly system: System; readonly pairs: ThemePairs }>();

/** The pairs of a theme as they stand, made once for as long as it is what it is. */
function pairsOf(system: System, theme: ResolvedTheme): ThemePairs {
  const known = models.get(theme);
  if (known?.system === system) return known.pairs;
  const pairs = new ThemePairs(system, theme, underTexts);
  models.set(theme, { system, pairs });
  return pairs;
}

/**
 * What another link of a role does to the measurements of its theme, which is all that it does unless more depends on
 * the role; null where that is so, or the link leads to nothing.
 */
function effectOfLink(system: System, command: Command) {
  if (command.type !== 'setLink' || command.link === null || command.link.to === 'gradient') return null;
  const theme = system.themes.get(command.theme);
  const pairs = theme && pairsOf(system, theme);
  if (!theme || !pairs?.isFree(command.role)) return null;
  const { color } = follow(command.link, {
    families: system.families,
    hasGradient: () => false,
    roleOf: (id) => theme.roles.get(id) ?? NO_ROLE,
  });
  if (!color) return null;
  const { mended, broken } = pairs.effect(pairs.recoloured(command.role, color));
  return { mended: mended.length, broken: broken.length };
}

/** What a command does to the measurements of all themes. */
function effectOf(system: System, readout: Readout, command: Command) {
  const ofLink = effectOfLink(system, command);
  if (ofLink) return ofLink;
  const result = applyCommand(system.document, command);
  if (!result.ok) return null;
  const after = readoutOf(resolveSystem(result.document, system), readout);
  let [mended, broken] = [0, 0];
  for (const [id, { measurements }] of after.measured) {
    const before = readout.measured.get(id)!.measurements;
    measurements.forEach((now, i) => {
      if (now === before[i] || now.passes === before[i]!.passes) return;
      if (now.passes) mended += 1;
      else broken += 1;
    });
  }
  return { mended, broken };
}

/** Each way once, with what it does to all others: those first that break nothing, of them those that mend most. */
function withEffects(readout: Readout, found: readonly WayFound[]): Way[] {
  const keys = new Set<string>();
  return found
    .flatMap((way): Way[] => {
      if (keys.has(way.key)) return [];
      keys.add(way.key);
      const effect = effectOf(readout.system, readout, way.command);
      return effect ? [{ ...way, ...effect }] : [];
    })
    .sort((a, b) => a.broken - b.broken || b.mended - a.mended);
}

/** The ways for a text over a gradient, a picture or a veil. */
const layeredWays = (system: System, theme: ResolvedTheme, measured: Measurement): WayFound[] => [
  ...asWay(layeredShade(system, theme, measured), 'shade foreground'),
  ...asWay(layeredVeil(system, theme, measured), 'veil'),
  ...asWay(layeredColor(system, theme, measured), 'plain foreground'),
];

const SIDES = ['foreground', 'background'] as const;

/** The ways that change one link, or one veil. */
function waysByLink(system: System, theme: ResolvedTheme, measured: Measurement): WayFound[] {
  if (measured.over) return layeredWays(system, theme, measured);
  const works = SIDES.flatMap((side) => workOn(system, theme, measured, side) ?? []);
  const nearest = repairPair(system, theme, measured);
  const side = nearest.kind === 'repair' ? nearest.side : 'foreground';
  const found = [
    ...works.flatMap((work) => asWay(byShade(work), `shade ${work.side}`)),
    ...works.flatMap((work) => asWay(byOpacity(work), `opacity ${work.side}`)),
    ...works.flatMap((work) =>
      asWay(byColor(work)?.repair ?? null, `plain ${work.side}`).map((way) => ({
        ...way,
        cost: work.family && `It would no longer follow ${work.family.name}.`,
      })),
    ),
  ];
  const [near] = asWay(nearest, `any ${side}`);
  if (!found.length) return near ? [near] : [];
  // Of those that do as much, the one that is least seen.
  return [
    ...found.filter(({ name }) => name === near?.name),
    ...found.filter(({ name }) => name !== near?.name),
  ];
}

/**
 * The way to mend a failing pair that stands first with one press: of those that change one link, or one veil, the one
 * that breaks nothing and mends most; of several, the one that is least seen. Null where there is none.
 */
export function firstWay(readout: Readout, measured: Measurement): Way | null {
  const { system } = readout;
  const theme = system.themes.get(measured.theme);
  if (!theme || measured.passes || !measured.text) return null;
  const ways = withEffects(readout, waysByLink(system, theme, measured));
  // Where each of them breaks something, the base may not.
  return ways[0]?.broken ? (waysOf(readout, measured)[0] ?? null) : (ways[0] ?? null);
}

/**
 * The ways to make a failing pair pass in a theme, each with what it does to all others, in the order of
 * {@link firstWay}: another shade for the text or
 * for the ground, a plain colour, the base of a family moved as little as does it. None for a pair that passes or whose
 * link is broken.
 */
export function waysOf(readout: Readout, measured: Measurement): Way[] {
  const { system } = readout;
  const theme = system.themes.get(measured.theme);
  if (!theme || measured.passes || !measured.text) return [];
  const bases = measured.over ? [] : SIDES.flatMap((side) => byBase(system, theme, measured, side));
  return withEffects(readout, [...waysByLink(system, theme, measured), ...bases]);
}
