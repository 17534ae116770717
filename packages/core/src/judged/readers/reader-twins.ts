import { rgbToOklab } from '../../color/kernel.ts';
import type { Rgba } from '../../contrast/ratio.ts';
import { type Link, plainLink } from '../../document/links/link.ts';
import { opacityOf, placeOf } from '../../system/families/family-place.ts';
import { fade, type Painted } from '../../system/painted.ts';
import type { ResolvedTheme, System } from '../../system/resolve.ts';
import { type Deficiency, simulate, visionTwins } from '../../vision/simulate.ts';
import type { LayeredMeasuring } from '../pairs/layered.ts';
import { ThemePairs } from '../pairs/theme-pairs.ts';
import { meaningSets } from './meaning.ts';

/** ΔE OK below which two colours that should say different things count as the same to somebody. */
const READER_TWINS = 0.04;

/** Two roles that say different things and can hardly be told apart with a deficiency. */
export interface ReaderTwins {
  /** What they have in common, such as "notice … ground". */
  readonly set: string;
  /** Role ids. */
  readonly a: string;
  readonly b: string;
  readonly deficiency: Deficiency;
  /** ΔE OK as they are, and as they are seen. */
  readonly before: number;
  readonly seen: number;
  /** Share of people concerned, 0–1. */
  readonly people: number;
}

/** The roles that carry meaning in a theme and become twins for someone, the commonest deficiency first. Severity 0–1. */
export function readerTwins(system: System, theme: ResolvedTheme, severity: number): ReaderTwins[] {
  return meaningSets(system.document).flatMap(({ name, roles }) => {
    const known = roles.flatMap(({ id }) => {
      const color = theme.roles.get(id)?.color;
      return color ? [{ id, color }] : [];
    });
    return visionTwins(
      known.map(({ color }) => color),
      severity,
      READER_TWINS,
    ).map(({ a, b, ...rest }) => ({ set: name, a: known[a]!.id, b: known[b]!.id, ...rest }));
  });
}

const seenAs = (color: Rgba, deficiency: Deficiency, severity: number) => {
  const { r, g, b } = simulate(color, deficiency, severity);
  return rgbToOklab(r, g, b);
};

/** ΔE OK of two colours as they are seen with a deficiency. */
function seenApart(a: Rgba, b: Rgba, deficiency: Deficiency, severity: number): number {
  const [p, q] = [seenAs(a, deficiency, severity), seenAs(b, deficiency, severity)];
  return Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2]);
}

/** A link that parts two twins. */
export interface Parting {
  readonly role: string;
  readonly theme: string;
  readonly link: Link;
  readonly before: Painted;
  readonly after: Painted;
}

const DEFICIENCIES = ['deutan', 'protan', 'tritan', 'achromat'] as const;

/** Whether two colours count as the same to somebody, though they are not. */
const areTwins = (a: Rgba, b: Rgba, deficiency: Deficiency, severity: number) =>
  seenApart(a, b, deficiency, severity) < READER_TWINS;

/**
 * Whether a change of colours makes no two roles of one meaning twins for anybody that were none, so that one mend never
 * brings back what another has parted, and mends come to an end.
 */
function makesNoTwins(
  system: System,
  theme: ResolvedTheme,
  changed: ReadonlyMap<string, Painted>,
  severity: number,
): boolean {
  const was = (id: string) => theme.roles.get(id)?.color ?? null;
  return meaningSets(system.document).every(({ roles }) =>
    roles.every(({ id: a }) => {
      const [now, before] = [changed.get(a), was(a)];
      if (!now || !before) return true;
      return roles.every(({ id: b }) => {
        const other = was(b);
        if (a === b || !other) return true;
        const later = changed.get(b) ?? other;
        return DEFICIENCIES.every(
          (deficiency) =>
            !areTwins(now, later, deficiency, severity) || areTwins(before, other, deficiency, severity),
        );
      });
    }),
  );
}

/**
 * The least change that parts two twins: the shade nearest in its family, for either of them, after which they are told
 * apart with that deficiency, no two roles of one meaning are twins for anybody that were not, and no pair fails that
 * passed. Null where no single shade does it.
 */
export function partingOf(
  system: System,
  theme: ResolvedTheme,
  { a, b, deficiency }: ReaderTwins,
  severity: number,
  layers: LayeredMeasuring | null,
): Parting | null {
  const pairs = new ThemePairs(system, theme, layers);
  let best: { readonly parting: Parting; readonly steps: number } | null = null;
  for (const [role, twin] of [
    [a, b],
    [b, a],
  ] as const) {
    const { link: linked, color } = theme.roles.get(role)!;
    const link = plainLink(linked);
    const at = link && placeOf(system.families, link);
    if (!link || !at || !color || !pairs.isFree(role)) continue;
    system.families.get(at.family)!.shades.forEach((shade, i) => {
      const steps = Math.abs(i - at.at);
      if (!steps || (best && steps >= best.steps)) return;
      const after = fade(shade, link.opacity ?? 1);
      const changed = pairs.recoloured(role, after);
      const other = changed.get(twin) ?? theme.roles.get(twin)!.color!;
      if (areTwins(after, other, deficiency, severity)) return;
      if (pairs.effect(changed).broken.length) return;
      if (!makesNoTwins(system, theme, changed, severity)) return;
      const next: Link = { to: 'shade', family: at.family, shade: shade.label, ...opacityOf(link) };
      best = { parting: { role, theme: theme.theme.id, link: next, before: color, after }, steps };
    });
  }
  return best === null ? null : (best as { readonly parting: Parting }).parting;
}
