import { rgb8ToOklch } from '../../color/gamut.ts';
import { lightnessOfLuminance } from '../../contrast/light-axis.ts';
import { leastVeil, oneColor } from '../../contrast/over-colors.ts';
import { luminance, paintedOver, type Rgba } from '../../contrast/ratio.ts';
import type { Command } from '../../document/commands/command.ts';
import { type Link, plainLink } from '../../document/links/link.ts';
import { roleSlug, writeRoleName } from '../../document/naming/role-name.ts';
import type { Role } from '../../document/roles/role.ts';
import { groundOf, measurePair } from '../../judged/pairs/measure.ts';
import type { Measurement } from '../../judged/pairs/measurement.ts';
import { isGradient, surfaceOf } from '../../judged/pairs/surface.ts';
import { underTexts } from '../../judged/pairs/under-text.ts';
import { follow, NO_ROLE } from '../../system/follow.ts';
import { paint } from '../../system/painted.ts';
import type { ResolvedTheme, System } from '../../system/resolve.ts';

/** A veil that makes a text pass wherever it stands. */
export interface VeilRepair {
  /** What is laid over, in words: "a veil of Deepwater 950 at 42 %". */
  readonly name: string;
  /** Of the veil in this theme, 0–1. */
  readonly opacity: number;
  readonly command: Command;
}

/** L* within which two shades are about as dark. */
const ALIKE = 6;

const percent = (opacity: number) => `${Math.round(opacity * 100)} %`;

/** The least opacity of a veil of a colour under a measured text; null where none does it. */
function leastUnder(system: System, theme: ResolvedTheme, measured: Measurement, veil: Rgba): number | null {
  const { pair, over, required } = measured;
  const text = theme.roles.get(pair.foreground)?.color;
  const ground = surfaceOf(theme, pair.background);
  if (!text || !ground || !over) return null;
  const page = groundOf(system, theme);
  const beneath = isGradient(ground) ? page : paintedOver(ground, page);
  return leastVeil(text, over.bare?.seen ?? oneColor(beneath), beneath, veil, required);
}

interface VeilColor {
  readonly name: string;
  readonly color: Rgba;
  readonly link: Link;
}

/** The colour of which the least veil does it, among some; null where none does. */
function leastOf(
  system: System,
  theme: ResolvedTheme,
  measured: Measurement,
  colors: readonly VeilColor[],
): { readonly opacity: number; readonly of: VeilColor } | null {
  let best: { readonly opacity: number; readonly of: VeilColor } | null = null;
  for (const of of colors) {
    const opacity = leastUnder(system, theme, measured, of.color);
    if (opacity !== null && (!best || opacity < best.opacity)) best = { opacity, of };
  }
  return best;
}

/** More of the veil that the pair has, or as much as is needed of another colour where its own does not do it. */
function ownVeil(
  system: System,
  theme: ResolvedTheme,
  measured: Measurement,
  veil: string,
): VeilRepair | null {
  const role = theme.roles.get(veil);
  const linked = plainLink(role?.link);
  const resolved = role && linked ? moreOfIt(system, theme, measured, role.role, linked) : null;
  if (resolved) return resolved;
  const named = system.document.roles.find(({ id }) => id === veil);
  const best = leastOf(system, theme, measured, veilColors(system)) ?? leastOf(system, theme, measured, ENDS);
  if (!named || !best) return null;
  const { opacity, of } = best;
  return {
    name: `${writeRoleName(named)} as ${of.name} at ${percent(opacity)}`,
    opacity,
    command: {
      type: 'setLink',
      role: veil,
      theme: theme.theme.id,
      link: (opacity === 1 ? of.link : { ...of.link, opacity }) as Link,
    },
  };
}

/** More of a veil in its own colour; null where that does not do it. */
function moreOfIt(
  system: System,
  theme: ResolvedTheme,
  measured: Measurement,
  role: Role,
  linked: Link,
): VeilRepair | null {
  const { color } = theme.roles.get(role.id)!;
  if (!color) return null;
  // How much of it there is without the opacity that its own link lays over it.
  const { opacity: _, ...rest } = linked;
  const targetOf = (id: string) => theme.roles.get(id) ?? NO_ROLE;
  const whole =
    follow(rest as Link, { families: system.families, hasGradient: () => false, roleOf: targetOf }).color
      ?.alpha ?? 0;
  const opacity = leastUnder(system, theme, measured, color);
  if (opacity === null || whole === 0 || opacity > whole) return null;
  const share = Math.round((opacity / whole) * 1e4) / 1e4;
  const link = (share === 1 ? rest : { ...rest, opacity: share }) as Link;
  return {
    name: `${writeRoleName(role)} at ${percent(opacity)}`,
    opacity,
    command: { type: 'setLink', role: role.id, theme: theme.theme.id, link },
  };
}

const plain = (name: string, color: string): VeilColor => ({
  name,
  color: paint(color),
  link: { to: 'color', color },
});
/** What a veil is of where no shade does it: all of one of these reaches more than 4.5 under any opaque text. */
const ENDS = [plain('black', '#000000'), plain('white', '#ffffff')];

/** Colours that a veil could be of: the darkest and the lightest shade of the families, or black and white. */
function veilColors({ families }: System): readonly VeilColor[] {
  const shades = [...families.values()].flatMap(({ family, shades: list }) =>
    list
      .filter(({ alpha }) => alpha === 1)
      .map((shade) => ({
        name: `${family.name} ${shade.label}`,
        color: shade as Rgba,
        link: { to: 'shade', family: family.id, shade: shade.label } as Link,
        y: luminance(shade),
      })),
  );
  const byLight = shades.sort((a, b) => a.y - b.y);
  if (!byLight.length) return ENDS;
  // Of those that are about as dark, or as light, the greyest tints what is under it least.
  const greyest = (end: number) => {
    const near = byLight.filter(
      ({ y }) => Math.abs(lightnessOfLuminance(y) - lightnessOfLuminance(end)) <= ALIKE,
    );
    const chroma = ({ color: { r, g, b } }: { readonly color: Rgba }) => rgb8ToOklch(r, g, b)[1];
    return near.reduce((a, b) => (chroma(b) < chroma(a) ? b : a));
  };
  return [greyest(byLight[0]!.y), greyest(byLight[byLight.length - 1]!.y)];
}

/** A role of its own for a veil: beside the text's role, and as much of it in each theme as is needed there. */
function newVeil(system: System, theme: ResolvedTheme, measured: Measurement): VeilRepair | null {
  const { document } = system;
  const { pair } = measured;
  const front = document.roles.find(({ id }) => id === pair.foreground)!;
  const colors = veilColors(system);
  const best = leastOf(system, theme, measured, colors) ?? leastOf(system, theme, measured, ENDS);
  if (!best) return null;
  const { opacity, of } = best;
  const links = Object.fromEntries(
    [...system.themes].map(([id, other]): [string, Link] => {
      if (other === theme) return [id, { ...of.link, opacity }];
      const there = measurePair(system, other, pair, underTexts);
      if (there.passes) return [id, { ...of.link, opacity: 0 }];
      // A text that is dark in one theme and light in another needs another veil.
      const own =
        leastOf(system, other, there, [of]) ??
        leastOf(system, other, there, colors) ??
        leastOf(system, other, there, ENDS);
      return [id, { ...(own?.of.link ?? of.link), opacity: own?.opacity ?? 0 }];
    }),
  );
  const taken = new Set(document.roles.map(roleSlug));
  const ids = new Set(document.roles.map(({ id }) => id));
  for (let n = 1; ; n++) {
    const names = { group: [...front.group], name: n === 1 ? 'veil' : `veil-${n}` };
    const id = `${roleSlug(names)}`.slice(0, 40);
    if (taken.has(roleSlug(names)) || ids.has(id)) continue;
    return {
      name: `a veil of ${of.name} at ${percent(opacity)}`,
      opacity,
      command: {
        type: 'batch',
        label: `add a veil of ${of.name} under the text`,
        commands: [
          { type: 'addRole', role: { id, ...names, links } },
          { type: 'setPair', pair: pair.id, change: { veil: id } },
        ],
      },
    };
  }
}

/**
 * The least veil with which a failing text over a gradient, a picture or a veil passes in a theme: more of the one that it
 * has (or another colour for it), or one as a role of its own, in each theme as much as is needed there. Null where not even
 * all of black or white does it.
 */
export function veilRepair(system: System, theme: ResolvedTheme, measured: Measurement): VeilRepair | null {
  const { veil } = measured.pair;
  return veil === undefined ? newVeil(system, theme, measured) : ownVeil(system, theme, measured, veil);
}
