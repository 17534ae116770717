import { canonical } from '../../color/write.ts';
import { nearestPassingColor } from '../../contrast/nearest-color.ts';
import {
  endsOfGrounds,
  type Grounds,
  worstOnGrounds,
  worstRatioOnGrounds,
} from '../../contrast/over-colors.ts';
import { formatRatio, paintedOver, type Rgba, reaches } from '../../contrast/ratio.ts';
import { applyCommand } from '../../document/commands/apply.ts';
import type { Link } from '../../document/links/link.ts';
import { measurePair } from '../../judged/pairs/measure.ts';
import type { Measurement } from '../../judged/pairs/measurement.ts';
import { underTexts } from '../../judged/pairs/under-text.ts';
import { colorOf, fade, paint } from '../../system/painted.ts';
import { type ResolvedTheme, resolveSystem, type System } from '../../system/resolve.ts';
import { veilRepair } from './least-veil.ts';
import type { Repair } from './repair.ts';

/** A colour tried for a text over grounds. */
function tried(text: Rgba, grounds: Grounds, required: number) {
  const { ratio, ground } = worstOnGrounds(text, grounds);
  return { ratio, ground, text: paintedOver(text, ground), passes: reaches(ratio, required) };
}

/** The nearest shade of its own family with which a text passes over all that it stands on; null when none does. */
export function layeredShade(system: System, theme: ResolvedTheme, measured: Measurement): Repair | null {
  const { pair, over, required } = measured;
  const role = theme.roles.get(pair.foreground)!;
  const source = role.source && system.families.get(role.source.family);
  if (!source || !over) return null;
  const { family, shades } = source;
  const from = shades.findIndex(({ label }) => label === role.source!.shade);
  const order = shades
    .map((shade, i) => ({ shade, steps: Math.abs(i - from) }))
    .sort((a, b) => a.steps - b.steps);
  for (const { shade } of order) {
    const now = tried(fade(shade, role.opacity), over.grounds, required);
    if (!now.passes) continue;
    const opacity = role.opacity === 1 ? {} : { opacity: role.opacity };
    const link: Link = { to: 'shade', family: family.id, shade: shade.label, ...opacity };
    return {
      kind: 'repair',
      side: 'foreground',
      name: `${family.name} ${shade.label}`,
      cost: null,
      text: now.text,
      ground: now.ground,
      ratio: now.ratio,
      command: { type: 'setLink', role: role.role.id, theme: theme.theme.id, link },
    };
  }
  return null;
}

/** The least veil under the text that makes it pass, with what it looks like then; null where none does. */
export function layeredVeil(system: System, theme: ResolvedTheme, measured: Measurement): Repair | null {
  const veil = veilRepair(system, theme, measured);
  const result = veil && applyCommand(system.document, veil.command);
  if (!veil || !result?.ok) return null;
  const next = resolveSystem(result.document, system);
  const there = next.themes.get(theme.theme.id)!;
  const pair = result.document.pairs.find(({ id }) => id === measured.pair.id)!;
  const now = measurePair(next, there, pair, underTexts);
  if (!now.passes || !now.text || !now.ground) return null;
  return {
    kind: 'repair',
    side: 'veil',
    name: veil.name,
    cost: null,
    text: now.text,
    ground: now.ground,
    ratio: now.ratio,
    command: veil.command,
  };
}

/**
 * A grey with which a text passes over all that it stands on, black and white among them; null where none does. It may
 * also be between two grounds that are far from each other by light.
 */
function passingGrey(grounds: Grounds, required: number): Rgba | null {
  for (const v of [0, 255, ...Array.from({ length: 254 }, (_, i) => i + 1)]) {
    const grey = { r: v, g: v, b: v, alpha: 1 };
    if (reaches(worstRatioOnGrounds(grey, grounds), required)) return grey;
  }
  return null;
}

/**
 * The nearest plain colour of its hue with which a text passes over all that it stands on, else a grey; null when no
 * text does.
 */
export function layeredColor(system: System, theme: ResolvedTheme, measured: Measurement): Repair | null {
  const { pair, over, required } = measured;
  const role = theme.roles.get(pair.foreground)!;
  if (!role.color || !over) return null;
  const demands = endsOfGrounds(over.grounds).map((ground) => ({ ground, required }));
  const found = nearestPassingColor(colorOf(role.color), demands);
  const grey = found.ok ? null : passingGrey(over.grounds, required);
  if (!found.ok && !grey) return null;
  const color = found.ok ? canonical(found.color) : canonical(colorOf({ ...grey!, alpha: 1 }));
  const now = tried(paint(color), over.grounds, required);
  if (!now.passes) return null;
  const family = role.source && system.families.get(role.source.family)?.family.name;
  return {
    kind: 'repair',
    side: 'foreground',
    name: color,
    cost: family ? `It would no longer follow ${family}.` : null,
    text: now.text,
    ground: now.ground,
    ratio: now.ratio,
    command: { type: 'setLink', role: role.role.id, theme: theme.theme.id, link: { to: 'color', color } },
  };
}

const along = ({ over }: Measurement) =>
  over?.along == null ? '' : `it is worst at ${Math.round(over.along)} % of its line; `;

/** The best that any shade, or black or white, comes to over all that a text stands on, in words. */
function bestText({ families }: System, { grounds }: NonNullable<Measurement['over']>): string {
  const candidates = [
    ...[...families.values()].flatMap(({ family, shades }) =>
      shades.map((shade) => ({ name: `${family.name} ${shade.label}`, color: shade as Rgba })),
    ),
    { name: 'black', color: paint('#000000') },
    { name: 'white', color: paint('#ffffff') },
  ].map(({ name, color }) => ({ name, ratio: worstOnGrounds(color, grounds).ratio }));
  const best = candidates.reduce((a, b) => (b.ratio > a.ratio ? b : a));
  return `${best.name} gives ${formatRatio(best.ratio)} at its worst place`;
}

/**
 * The nearest repair of a text over a gradient, a picture or a veil: the nearest shade of its own family that passes
 * wherever it stands, else the least veil, else a plain colour of its hue. Else why nothing can, and the best possible.
 */
export function repairLayered(system: System, theme: ResolvedTheme, measured: Measurement): Repair {
  const found =
    layeredShade(system, theme, measured) ??
    layeredVeil(system, theme, measured) ??
    layeredColor(system, theme, measured);
  if (found) return found;
  const gradient = system.document.gradients.find(
    ({ id }) => id === theme.roles.get(measured.pair.foreground)?.gradient,
  );
  if (gradient)
    return {
      kind: 'none',
      reason: `A gradient paints the text, ${gradient.name}: ${along(measured)}change that stop, or give the text one colour.`,
    };
  return {
    kind: 'none',
    reason: `No text and no veil reaches ${measured.required} everywhere here: at best ${bestText(system, measured.over!)}. Move the text, or choose what lies under it otherwise.`,
  };
}
