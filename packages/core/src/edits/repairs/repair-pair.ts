import { canonical } from '../../color/write.ts';
import { nearestPassingColor } from '../../contrast/nearest-color.ts';
import { contrastRatio, formatRatio, paintedOver, type Rgba, reaches } from '../../contrast/ratio.ts';
import { nearestPassingShade } from '../../contrast/repair.ts';
import { type Link, plainLink } from '../../document/links/link.ts';
import type { Measurement } from '../../judged/pairs/measurement.ts';
import type { ResolvedShade } from '../../system/families/resolved-family.ts';
import { colorOf, paint } from '../../system/painted.ts';
import type { ResolvedTheme, System } from '../../system/resolve.ts';
import type { ResolvedRole } from '../../system/roles/resolved-role.ts';
import type { Repair } from './repair.ts';
import { repairLayered } from './repair-layered.ts';

/** One side of a failing pair, with what it is seen against. */
export interface Work {
  readonly theme: string;
  readonly measured: Measurement;
  readonly side: 'foreground' | 'background';
  readonly role: ResolvedRole;
  readonly against: Rgba;
  /** Family of the role's shade, if it comes of one. */
  readonly family: {
    readonly id: string;
    readonly name: string;
    readonly shades: readonly ResolvedShade[];
  } | null;
}

export function workOn(
  system: System,
  theme: ResolvedTheme,
  measured: Measurement,
  side: 'foreground' | 'background',
): Work | null {
  const { pair, ground, over } = measured;
  if (over && side === 'background') return null;
  const role = theme.roles.get(side === 'foreground' ? pair.foreground : pair.background);
  const other = theme.roles.get(side === 'foreground' ? pair.background : pair.foreground);
  if (!role?.color || !other?.color || !ground) return null;
  // A new ground changes what a translucent text looks like, so only an opaque text is held against it.
  if (side === 'background' && (other.color.alpha < 1 || role.color.alpha < 1)) return null;
  const source = role.source && system.families.get(role.source.family);
  return {
    theme: theme.theme.id,
    measured,
    side,
    role,
    against: side === 'foreground' ? ground : other.color,
    family: source ? { id: source.family.id, name: source.family.name, shades: source.shades } : null,
  };
}

function repaired(
  work: Work,
  painted: Rgba,
  ratio: number,
  name: string,
  cost: string | null,
  link: Link,
): Repair {
  const { side, role, against, theme } = work;
  const seen = paintedOver(painted, against);
  return {
    kind: 'repair',
    side,
    name,
    cost,
    text: side === 'foreground' ? seen : against,
    ground: side === 'foreground' ? against : seen,
    ratio,
    command: { type: 'setLink', role: role.role.id, theme, link },
  };
}

/** The nearest shade of the side's own family; null when none passes. */
export function byShade(work: Work): Repair | null {
  const { family, role, against, measured } = work;
  if (!family) return null;
  const from = family.shades.findIndex((shade) => shade.label === role.source!.shade);
  const { repair } = nearestPassingShade(family.shades, from, against, measured.required, role.opacity);
  if (!repair) return null;
  const { shade, ratio } = repair;
  const painted = { r: shade.r, g: shade.g, b: shade.b, alpha: shade.alpha * role.opacity };
  return repaired(work, painted, ratio, `${family.name} ${shade.label}`, null, {
    to: 'shade',
    family: family.id,
    shade: shade.label,
    ...(role.opacity === 1 ? {} : { opacity: role.opacity }),
  });
}

/** The nearest colour of the same hue as a plain colour, with how far off it is; null when none passes. */
export function byColor(work: Work): { readonly repair: Repair; readonly difference: number } | null {
  const { role, against, measured, family } = work;
  const found = nearestPassingColor(colorOf(role.color!), [{ ground: against, required: measured.required }]);
  if (!found.ok) return null;
  const text = canonical(found.color);
  const cost = family ? `It would no longer follow ${family.name}, none of whose shades passes.` : null;
  const repair = repaired(work, paint(text), found.ratios[0]!, text, cost, { to: 'color', color: text });
  return { repair, difference: found.difference };
}

/** Parts of an opacity that are tried. */
const STEPS = 100;

/** The least opacity with which a translucent text of the same colour passes; null where it is opaque, or none does. */
export function byOpacity(work: Work): Repair | null {
  const { side, role, against, measured } = work;
  const link = plainLink(role.link);
  if (side !== 'foreground' || !link || link.opacity === undefined || !role.color) return null;
  const whole = role.color.alpha / link.opacity;
  for (let step = Math.ceil(link.opacity * STEPS) + 1; step <= STEPS; step++) {
    const painted = { ...role.color, alpha: Math.min(1, (whole * step) / STEPS) };
    const ratio = contrastRatio(paintedOver(painted, against), against);
    if (!reaches(ratio, measured.required)) continue;
    const { opacity: _, ...rest } = link;
    const next = (step === STEPS ? rest : { ...rest, opacity: step / STEPS }) as Link;
    return repaired(work, painted, ratio, `${step} % of its opacity`, null, next);
  }
  return null;
}

interface Best {
  readonly words: string;
  readonly ratio: number;
  readonly repair: Repair;
}

/** The best that one side can come to by any shade or by black or white, opaque; null where there is nothing to try. */
function bestOf({ families }: System, work: Work): Best | null {
  const { side, against } = work;
  const of = side === 'foreground' ? 'text' : 'ground';
  const candidates: { name: string; color: Rgba; link: Link }[] = [
    ...[...families.values()].flatMap(({ family, shades }) =>
      shades.map((shade) => ({
        name: `${family.name} ${shade.label}`,
        color: shade,
        link: { to: 'shade', family: family.id, shade: shade.label } as Link,
      })),
    ),
    { name: 'black', color: paint('#000000'), link: { to: 'color', color: '#000000' } },
    { name: 'white', color: paint('#ffffff'), link: { to: 'color', color: '#ffffff' } },
  ];
  let best: Best | null = null;
  for (const { name, color, link } of candidates) {
    const ratio = contrastRatio(paintedOver(color, against), against);
    if (best && ratio <= best.ratio) continue;
    const repair = repaired(work, color, ratio, name, null, link);
    best = { words: `${name} for the ${of} gives ${formatRatio(ratio)}`, ratio, repair };
  }
  return best;
}

/**
 * The nearest repair of a failing pair. The foreground moves to the nearest shade of its own family that passes;
 * when none does, the background to the nearest of its family; else a translucent text becomes less so; else whichever side has a plain colour of its hue
 * that passes nearer by, a plain colour before one that would leave its family. Else the reason why nothing can, with
 * the best that either side can come to. What stands on more than one colour: {@link repairLayered}.
 */
export function repairPair(system: System, theme: ResolvedTheme, measured: Measurement): Repair {
  if (measured.awaited) return { kind: 'none', reason: 'The picture under it is still being looked at.' };
  if (!measured.text) return { kind: 'none', reason: 'A link is broken; repair it first.' };
  if (measured.over) return repairLayered(system, theme, measured);
  const sides = (['foreground', 'background'] as const).flatMap(
    (side) => workOn(system, theme, measured, side) ?? [],
  );
  for (const work of sides) {
    const repair = byShade(work);
    if (repair) return repair;
  }
  for (const work of sides) {
    const repair = byOpacity(work);
    if (repair) return repair;
  }
  for (const choice of [sides.filter(({ family }) => !family), sides.filter(({ family }) => family)]) {
    const found = choice.flatMap((work) => byColor(work) ?? []).sort((a, b) => a.difference - b.difference);
    if (found[0]) return found[0].repair;
  }
  const best = sides.flatMap((work) => bestOf(system, work) ?? []).sort((a, b) => b.ratio - a.ratio);
  // What the nearest colour of its hue does not find, black or white may.
  const [top] = best;
  if (top && reaches(top.ratio, measured.required)) return top.repair;
  const tried = sides.length === 2 ? 'Neither side can' : 'The text alone cannot';
  const rest = sides.length === 2 ? 'Both have to change.' : 'Change its ground too.';
  return {
    kind: 'none',
    reason: `${tried} reach ${measured.required} here${sides.length === 2 ? ' alone' : ''}: at best ${best.map(({ words }) => words).join(', ')}. ${rest}`,
  };
}
