import type { ProjectDocument } from '../src/document/document.ts';
import { stopAt } from '../src/document/gradients/gradient.ts';
import type { RoleLink } from '../src/document/links/link.ts';
import { dice, LARGEST, twoRoles } from './largest-document.ts';

// The largest sizes with roles that gradients paint: 1,000 roles of which 100 are painted, 24 themes, 4,000 pairs,
// gradients of 64 stops.
const below = dice(7);
const labels = LARGEST.families[0]!.growth.labels;
const toShade = () => ({ to: 'shade', family: `f${below(64)}`, shade: labels[below(24)]! }) as const;
const SPACES = ['oklab', 'srgb', 'oklch', 'lab'] as const;

/** `share`: of the largest sizes, 0–1. */
export function paintedDocument(share = 1): ProjectDocument {
  const count = (n: number) => Math.max(1, Math.round(n * share));
  const [roleCount, paintedCount] = [count(1000), count(100)];
  const themes = Array.from({ length: count(24) }, (_, i) => ({ id: `t${i}`, name: `Theme ${i}` }));
  const gradients = Array.from({ length: count(200) }, (_, i) => ({
    ...LARGEST.gradients[0]!,
    id: `g${i}`,
    name: `Gradient ${i}`,
    space: SPACES[i % SPACES.length]!,
    stops: Array.from({ length: 64 }, (_, j) => stopAt(`s${j}`, j * 1.5, toShade())),
  }));
  const linkOf = (i: number): RoleLink =>
    i >= roleCount - paintedCount ? { to: 'gradient', gradient: `g${i % gradients.length}` } : toShade();
  const roles = Array.from({ length: roleCount }, (_, i) => ({
    id: `r${i}`,
    group: [`group-${i % 20}`],
    name: `role-${i}`,
    links: Object.fromEntries(themes.map(({ id }) => [id, linkOf(i)])),
  }));
  return {
    ...LARGEST,
    themes,
    roles,
    gradients,
    pairs: Array.from({ length: count(4000) }, (_, i) => ({
      id: `p${i}`,
      ...twoRoles(below, roleCount),
      target: { level: 'AA', content: 'body' },
      size: 16,
      weight: 400,
    })),
  };
}
