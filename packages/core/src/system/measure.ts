import { composite, contrastRatio, type Rgba, reaches } from '../contrast/ratio.ts';
import { nearestPassingShade } from '../contrast/repair.ts';
import { effectiveTarget, requiredRatio } from '../contrast/targets.ts';
import type { Command } from './commands/command.ts';
import type { Pair } from './document.ts';
import type { ResolvedRole, ResolvedShade, ResolvedTheme, System } from './resolve.ts';

const WHITE: Rgba = { r: 255, g: 255, b: 255, alpha: 1 };

/** What a pair comes to in one theme. */
export interface Measurement {
  readonly pair: Pair;
  readonly theme: string;
  /** The colours as painted, composited; null when either link is broken. */
  readonly text: Rgba | null;
  readonly ground: Rgba | null;
  /** Ratio 1–21, 0 when a link is broken. */
  readonly ratio: number;
  readonly required: number;
  readonly passes: boolean;
}

/** What lies beneath everything in a theme: the project's ground role, opaque over white. */
export function groundOf(system: System, theme: ResolvedTheme): Rgba {
  const id = system.document.ground;
  const color = id === null ? null : theme.roles.get(id)?.color;
  return color ? composite(color, WHITE) : WHITE;
}

/**
 * Measures a pair in a theme: the background over the theme's ground, the foreground over that, each
 * composited in paint order, then the WCAG ratio against the pair's target.
 */
export function measurePair(theme: ResolvedTheme, pair: Pair, beneath: Rgba): Measurement {
  const foreground = theme.roles.get(pair.foreground)?.color;
  const background = theme.roles.get(pair.background)?.color;
  const required = requiredRatio(effectiveTarget(pair.target, pair.size, pair.weight));
  const common = { pair, theme: theme.theme.id, required };
  if (!foreground || !background) return { ...common, text: null, ground: null, ratio: 0, passes: false };
  const ground = composite(background, beneath);
  const text = composite(foreground, ground);
  const ratio = contrastRatio(text, ground);
  return { ...common, text, ground, ratio, passes: reaches(ratio, required) };
}

/** Every pair in every theme, in document order. */
export function measureAll(system: System): Measurement[] {
  const out: Measurement[] = [];
  for (const theme of system.themes.values()) {
    const beneath = groundOf(system, theme);
    for (const pair of system.document.pairs) out.push(measurePair(theme, pair, beneath));
  }
  return out;
}

/** The offered way to make a pair pass in one theme. */
export type Repair =
  | {
      readonly kind: 'repair';
      readonly role: ResolvedRole;
      readonly side: 'foreground' | 'background';
      readonly shade: ResolvedShade;
      readonly family: string;
      /** The pair's colours afterwards, composited. */
      readonly text: Rgba;
      readonly ground: Rgba;
      readonly ratio: number;
      readonly command: Command;
    }
  | { readonly kind: 'none'; readonly reason: string };

function repairSide(
  system: System,
  theme: ResolvedTheme,
  measured: Measurement,
  side: 'foreground' | 'background',
): Repair | null {
  const { pair } = measured;
  const role = theme.roles.get(side === 'foreground' ? pair.foreground : pair.background);
  const other = theme.roles.get(side === 'foreground' ? pair.background : pair.foreground);
  const family = role?.source && system.families.get(role.source.family);
  if (!role?.source || !family || !other?.color || !measured.ground) return null;
  const { shades } = family;
  const from = shades.findIndex((shade) => shade.label === role.source!.shade);
  // A new ground changes what a translucent text looks like, so only an opaque text is held against it.
  if (side === 'background' && (other.color.alpha < 1 || role.color!.alpha < 1)) return null;
  const against = side === 'foreground' ? measured.ground : other.color;
  const { repair } = nearestPassingShade(shades, from, against, measured.required, role.opacity);
  if (!repair) return null;
  const { shade, ratio } = repair;
  const seen = composite({ r: shade.r, g: shade.g, b: shade.b, alpha: shade.alpha * role.opacity }, against);
  return {
    kind: 'repair',
    role,
    side,
    shade,
    family: family.family.id,
    text: side === 'foreground' ? seen : other.color,
    ground: side === 'foreground' ? measured.ground : seen,
    ratio,
    command: {
      type: 'setLink',
      role: role.role.id,
      theme: theme.theme.id,
      link: {
        to: 'shade',
        family: family.family.id,
        shade: shade.label,
        ...(role.opacity === 1 ? {} : { opacity: role.opacity }),
      },
    },
  };
}

/**
 * The nearest repair of a failing pair: the foreground moves to the nearest shade of its own family that
 * passes; when none does, the background to the nearest of its family; else the reason why neither can.
 */
export function repairPair(system: System, theme: ResolvedTheme, measured: Measurement): Repair {
  if (!measured.text) return { kind: 'none', reason: 'A link is broken; mend it first.' };
  const repair =
    repairSide(system, theme, measured, 'foreground') ?? repairSide(system, theme, measured, 'background');
  if (repair) return repair;
  const linked = [measured.pair.foreground, measured.pair.background].some(
    (id) => theme.roles.get(id)?.source,
  );
  return {
    kind: 'none',
    reason: linked
      ? 'No shade of either family passes here; the other side has to become lighter or darker.'
      : 'Both are plain colours; link one to a family and a shade can be offered.',
  };
}
