import type { Triple } from '../color/kernel.ts';
import { type Measurement, measureAll } from './measure.ts';
import { oklabOf, type Painted } from './painted.ts';
import type { ResolvedTheme, System } from './resolve.ts';

/** Colours nearer than this (ΔE OK) count as too alike to tell apart: CSS Color 4's just noticeable difference. */
export const TOO_ALIKE = 0.02;

export interface AlikeRoles {
  readonly a: string;
  readonly b: string;
  readonly difference: number;
}

export interface BrokenLink {
  readonly kind: 'role' | 'stop' | 'pair';
  /** Role, gradient or pair id. */
  readonly id: string;
  readonly theme: string;
  readonly problem: string;
}

/** The counts of the readout, each with the things it counts. */
export interface Readout {
  readonly measurements: readonly Measurement[];
  readonly passing: Readonly<Record<string, number>>;
  readonly pairs: number;
  readonly themes: number;
  readonly passingOverall: number;
  readonly alike: Readonly<Record<string, readonly AlikeRoles[]>>;
  readonly outside: readonly { readonly family: string; readonly shade: string }[];
  readonly handSet: readonly { readonly family: string; readonly shade: string }[];
  readonly broken: readonly BrokenLink[];
}

/** Pairs of roles whose opaque colours differ, but by less than {@link TOO_ALIKE}. */
function alikeRoles(theme: ResolvedTheme): AlikeRoles[] {
  const colors = new Map<string, { role: string; lab: Readonly<Triple> }>();
  for (const [id, { color }] of theme.roles)
    if (color && color.alpha === 1 && !colors.has(color.css))
      colors.set(color.css, { role: id, lab: oklabOf(color) });
  const sorted = [...colors.values()].sort((a, b) => a.lab[0] - b.lab[0]);
  const out: AlikeRoles[] = [];
  sorted.forEach((a, i) => {
    for (let j = i + 1; j < sorted.length; j++) {
      const b = sorted[j]!;
      if (b.lab[0] - a.lab[0] >= TOO_ALIKE) break;
      const [dl, da, db] = [b.lab[0] - a.lab[0], b.lab[1] - a.lab[1], b.lab[2] - a.lab[2]];
      const difference = Math.sqrt(dl * dl + da * da + db * db);
      if (difference < TOO_ALIKE) out.push({ a: a.role, b: b.role, difference });
    }
  });
  return out;
}

function brokenLinks(system: System): BrokenLink[] {
  const out: BrokenLink[] = [];
  const roles = new Set(system.document.roles.map((role) => role.id));
  const lonely = system.document.pairs.filter(
    (pair) => !roles.has(pair.foreground) || !roles.has(pair.background),
  );
  for (const [themeId, theme] of system.themes) {
    for (const [id, role] of theme.roles)
      if (role.problem) out.push({ kind: 'role', id, theme: themeId, problem: role.problem });
    for (const [id, lost] of theme.lost) {
      out.push({ kind: 'stop', id, theme: themeId, problem: `${lost} of its stops have no colour.` });
    }
    for (const { id } of lonely)
      out.push({ kind: 'pair', id, theme: themeId, problem: 'One of its roles does not exist any more.' });
  }
  return out;
}

const alikeMemory = new WeakMap<ResolvedTheme, AlikeRoles[]>();

/** Counts what passes, fails and needs a look in a whole system. */
export function readoutOf(system: System): Readout {
  const measurements = measureAll(system);
  const passing: Record<string, number> = {};
  const alike: Record<string, AlikeRoles[]> = {};
  for (const [id, theme] of system.themes) {
    passing[id] = 0;
    let found = alikeMemory.get(theme);
    if (!found) {
      found = alikeRoles(theme);
      alikeMemory.set(theme, found);
    }
    alike[id] = found;
  }
  for (const m of measurements) if (m.passes) passing[m.theme]! += 1;
  const shades = [...system.families.values()].flatMap(({ family, shades: list }) =>
    list.map((shade) => ({ family: family.id, shade: shade.label, is: shade })),
  );
  const those = (test: (shade: Painted & { handSet: boolean }) => boolean) =>
    shades.filter(({ is }) => test(is)).map(({ family, shade }) => ({ family, shade }));
  return {
    measurements,
    passing,
    pairs: system.document.pairs.length,
    themes: system.themes.size,
    passingOverall: measurements.filter((m) => m.passes).length,
    alike,
    outside: those((shade) => shade.outside),
    handSet: those((shade) => shade.handSet),
    broken: brokenLinks(system),
  };
}
