import { rgb8ToOklch } from '../../color/gamut.ts';
import { contrastRatio, paintedOver, type Rgba, reaches } from '../../contrast/ratio.ts';
import type { Gradient } from '../../document/gradients/gradient.ts';
import type { Pair } from '../../document/pairs/pair.ts';
import type { FamilyMap } from '../../system/families/resolved-families.ts';
import type { ResolvedFamily } from '../../system/families/resolved-family.ts';
import { oklabOf } from '../../system/painted.ts';
import type { ResolvedTheme, System } from '../../system/resolve.ts';
import { groundOf } from '../pairs/measure.ts';
import { TOO_ALIKE } from './alike.ts';
import type { ShadeAddress } from './readout.ts';

/** The best text that the families have for a ground. */
export interface Carrier {
  /** The ground's role, where it was met; null for white beneath a system without grounds. */
  readonly ground: { readonly role: string | null; readonly theme: string; readonly color: Rgba };
  readonly shade: ShadeAddress | null;
  readonly ratio: number;
  /** Whether it carries body text, 4.5 to 1. */
  readonly enough: boolean;
}

/** Two families of which at least half of one's shades are near-twins of the other's. */
interface AlikeFamilies {
  readonly a: string;
  readonly b: string;
  /** Shades of the smaller one that have a near-twin, of all that it has. */
  readonly twins: number;
  readonly of: number;
}

/** Families of one hue that roles use. */
export interface HueInUse {
  /** OKLCH hue, degrees: the first family's. */
  readonly hue: number;
  readonly families: readonly string[];
  /** Ids of the roles that show it in the theme. */
  readonly roles: readonly string[];
}

/** What a system needs to be worth handing over, as far as its families say. */
export interface Needs {
  readonly dark: Carrier | null;
  readonly light: Carrier | null;
  readonly alike: readonly AlikeFamilies[];
  readonly hues: readonly HueInUse[];
  /** Shades that no role in any theme, no gradient and no growth comes to. */
  readonly unused: readonly ShadeAddress[];
}

/** Body text at AA. */
const CARRIES = 4.5;
/** More hues than about these make a page restless. */
export const FEW_HUES = 3;
/** OKLCH chroma from which a base has a hue that is seen. */
const SEEN_HUE = 0.04;
/** Degrees within which two families look like one hue. */
const ONE_HUE = 25;

interface Ground {
  readonly role: string | null;
  readonly theme: string;
  readonly color: Rgba;
  readonly y: number;
}

const weight = ({ r, g, b }: Rgba) => 0.2126 * r + 0.7152 * g + 0.0722 * b;

const groundRoles = new WeakMap<readonly Pair[], ReadonlySet<string>>();

/** The roles that text of pairs stands on. */
function rolesOfGrounds(pairs: readonly Pair[]): ReadonlySet<string> {
  let roles = groundRoles.get(pairs);
  if (!roles) {
    roles = new Set(pairs.map(({ background }) => background));
    groundRoles.set(pairs, roles);
  }
  return roles;
}

/** The darkest and the lightest of the grounds that text stands on: of pairs, and what lies beneath the page, in every theme. */
function darkestAndLightest(system: System): { readonly dark: Ground | null; readonly light: Ground | null } {
  const { pairs, ground } = system.document;
  const ids = [...rolesOfGrounds(pairs)];
  if (ground !== null && !rolesOfGrounds(pairs).has(ground)) ids.push(ground);
  let dark: Ground | null = null;
  let light: Ground | null = null;
  const look = (role: string | null, theme: string, color: Rgba) => {
    const y = weight(color);
    if (!dark || y < dark.y) dark = { role, theme, color, y };
    if (!light || y >= light.y) light = { role, theme, color, y };
  };
  for (const [theme, resolved] of system.themes) {
    const beneath = groundOf(system, resolved);
    let any = false;
    for (const role of ids) {
      const color = resolved.roles.get(role)?.color;
      if (!color) continue;
      any = true;
      look(role, theme, color.alpha === 1 ? color : paintedOver(color, beneath));
    }
    if (!any) look(null, theme, beneath);
  }
  return { dark, light };
}

function carrier(families: FamilyMap, ground: Ground | null): Carrier | null {
  if (!ground) return null;
  let best: { shade: ShadeAddress; ratio: number } | null = null;
  for (const [family, { shades }] of families)
    for (const shade of shades) {
      if (shade.alpha < 1) continue;
      const ratio = contrastRatio(shade, ground.color);
      if (!best || ratio > best.ratio) best = { shade: { family, shade: shade.label }, ratio };
    }
  const { role, theme, color } = ground;
  return {
    ground: { role, theme, color },
    shade: best?.shade ?? null,
    ratio: best?.ratio ?? 1,
    enough: best !== null && reaches(best.ratio, CARRIES),
  };
}

const twinsOf = new WeakMap<ResolvedFamily, WeakMap<ResolvedFamily, number>>();

/** How many shades of one family have a near-twin in the other; worked out once. */
function countTwins(a: ResolvedFamily, b: ResolvedFamily): number {
  let of = twinsOf.get(a);
  if (!of) {
    of = new WeakMap();
    twinsOf.set(a, of);
  }
  let count = of.get(b);
  if (count === undefined) {
    const others = b.shades.map(oklabOf);
    count = a.shades.filter((shade) => {
      const [l, x, y] = oklabOf(shade);
      return others.some((o) => (o[0] - l) ** 2 + (o[1] - x) ** 2 + (o[2] - y) ** 2 < TOO_ALIKE ** 2);
    }).length;
    of.set(b, count);
  }
  return count;
}

function alikeFamilies(families: FamilyMap): AlikeFamilies[] {
  const list = [...families.values()];
  const out: AlikeFamilies[] = [];
  list.forEach((first, i) => {
    for (const second of list.slice(i + 1)) {
      const [small, large] = first.shades.length <= second.shades.length ? [first, second] : [second, first];
      const twins = countTwins(small, large);
      if (twins * 2 >= small.shades.length)
        out.push({ a: first.family.id, b: second.family.id, twins, of: small.shades.length });
    }
  });
  return out.sort((a, b) => b.twins / b.of - a.twins / a.of);
}

function huesIn(families: FamilyMap, theme: ResolvedTheme): HueInUse[] {
  const roles = new Map<string, string[]>();
  for (const { role, source } of theme.roles.values())
    if (source) {
      const list = roles.get(source.family);
      if (list) list.push(role.id);
      else roles.set(source.family, [role.id]);
    }
  const hues: { hue: number; families: string[]; roles: string[] }[] = [];
  for (const [id, { base }] of families) {
    const users = roles.get(id);
    const [, chroma, hue] = rgb8ToOklch(base.color.r, base.color.g, base.color.b);
    if (!users || chroma < SEEN_HUE) continue;
    const same = hues.find((one) => Math.abs(((hue - one.hue + 540) % 360) - 180) <= ONE_HUE);
    if (same) {
      same.families.push(id);
      same.roles.push(...users);
    } else hues.push({ hue, families: [id], roles: [...users] });
  }
  return hues;
}

/** Shades by their families. */
class Used {
  private readonly byFamily = new Map<string, Set<string>>();

  add(family: string, shade: string): void {
    const shades = this.byFamily.get(family);
    if (shades) shades.add(shade);
    else this.byFamily.set(family, new Set([shade]));
  }

  has(family: string, shade: string): boolean {
    return this.byFamily.get(family)?.has(shade) ?? false;
  }
}

const usedByGradients = new WeakMap<
  readonly Gradient[],
  { readonly shades: Used; readonly bases: ReadonlySet<string> }
>();

/** The shades, and the families whose bases, stops of gradients point to. */
function usedByStops(gradients: readonly Gradient[]) {
  let used = usedByGradients.get(gradients);
  if (used) return used;
  const shades = new Used();
  const bases = new Set<string>();
  for (const { stops } of gradients)
    for (const one of stops) {
      if (one.kind !== 'stop') continue;
      if (one.color.to === 'shade') shades.add(one.color.family, one.color.shade);
      if (one.color.to === 'base') bases.add(one.color.family);
    }
  used = { shades, bases };
  usedByGradients.set(gradients, used);
  return used;
}

/** Shades that nothing comes to. A shade that is reached through its base counts as used. */
function unusedShades(system: System): ShadeAddress[] {
  const used = new Used();
  for (const theme of system.themes.values())
    for (const { source } of theme.roles.values()) if (source) used.add(source.family, source.shade);
  const { gradients, families: list } = system.document;
  const byStops = usedByStops(gradients);
  for (const { growth } of list) {
    const ground = growth.kind === 'opacity' || growth.kind === 'contrast' ? growth.ground : null;
    if (ground?.to === 'shade') used.add(ground.family, ground.shade);
  }
  return [...system.families].flatMap(([family, { shades, base }]) =>
    shades
      .filter(
        ({ label }) =>
          !used.has(family, label) &&
          !byStops.shades.has(family, label) &&
          !(byStops.bases.has(family) && base.label === label),
      )
      .map(({ label }) => ({ family, shade: label })),
  );
}

/** What a system needs, with where it is met; hues are those of one theme. */
export function needsOf(system: System, theme: ResolvedTheme): Needs {
  const { dark, light } = darkestAndLightest(system);
  const any = system.families.size > 0;
  // The darkest text is asked for the lightest ground, and the other way round.
  return {
    dark: any ? carrier(system.families, light) : null,
    light: any ? carrier(system.families, dark) : null,
    alike: alikeFamilies(system.families),
    hues: huesIn(system.families, theme),
    unused: unusedShades(system),
  };
}
