import type { Triple } from '../../color/kernel.ts';
import { oklabOf } from '../../system/painted.ts';
import type { ResolvedTheme } from '../../system/resolve.ts';

/** Colours nearer than this (ΔE OK) count as too alike to tell apart: CSS Color 4's just noticeable difference. */
export const TOO_ALIKE = 0.02;

export interface AlikeRoles {
  readonly a: string;
  readonly b: string;
  readonly difference: number;
}

// A theme never changes, only its successor does.
const known = new WeakMap<ResolvedTheme, readonly AlikeRoles[]>();

/** Pairs of roles whose opaque colours differ in a theme, but by less than {@link TOO_ALIKE}; worked out once. */
export function alikeRoles(theme: ResolvedTheme): readonly AlikeRoles[] {
  let alike = known.get(theme);
  if (!alike) {
    alike = findAlike(theme);
    known.set(theme, alike);
  }
  return alike;
}

function findAlike(theme: ResolvedTheme): AlikeRoles[] {
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
