import { emptyDocument, type ProjectDocument } from '../src/document/document.ts';
import { stopAt } from '../src/document/gradients/gradient.ts';
import type { Link } from '../src/document/links/link.ts';
import { USUAL_GROWTH } from '../src/family/growth.ts';

// The largest sizes that are to hold: 64 families × 24 shades, 500 roles × 12 themes, 2,000 pairs,
// 200 gradients × 64 stops.
/** Whole numbers below another, the same row for the same seed; its low bits alone would come round again at once. */
export function dice(seed: number): (n: number) => number {
  let state = seed;
  return (n) => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return (state >>> 8) % n;
  };
}

/** The foreground and the background of a pair among so many roles, which are not the same. */
export function twoRoles(below: (n: number) => number, n: number) {
  const first = below(n);
  return { foreground: `r${first}`, background: `r${(first + 1 + below(n - 1)) % n}` };
}

const below = dice(1);
const labels = Array.from({ length: 24 }, (_, i) => String((i + 1) * 10));
export const hex = () => `#${below(0x1000000).toString(16).padStart(6, '0')}`;
const families = Array.from({ length: 64 }, (_, i) => ({
  id: `f${i}`,
  name: `Family ${i}`,
  base: hex(),
  growth: { ...USUAL_GROWTH, labels },
  follows: null,
  handSet: {},
}));
const themes = Array.from({ length: 12 }, (_, i) => ({ id: `t${i}`, name: `Theme ${i}` }));
const toShade = (): Link => ({ to: 'shade', family: `f${below(64)}`, shade: labels[below(24)]! });
const roles = Array.from({ length: 500 }, (_, i) => ({
  id: `r${i}`,
  group: [`group-${i % 20}`],
  name: `role-${i}`,
  links: Object.fromEntries(
    themes.map((theme) => [
      theme.id,
      i > 100 && i % 5 === 0 ? { to: 'role' as const, role: `r${below(100)}` } : toShade(),
    ]),
  ),
}));
export const LARGEST: ProjectDocument = {
  ...emptyDocument('', []),
  name: 'Largest',
  ground: 'r0',
  words: { text: null, action: null },
  themes,
  families,
  roles,
  pairs: Array.from({ length: 2000 }, (_, i) => ({
    id: `p${i}`,
    ...twoRoles(below, 500),
    target: { level: 'AA', content: 'body' },
    size: 16,
    weight: 400,
  })),
  gradients: Array.from({ length: 200 }, (_, i) => ({
    id: `g${i}`,
    name: `Gradient ${i}`,
    kind: 'linear',
    direction: { by: 'angle', degrees: 90 },
    repeating: false,
    space: 'oklab',
    hueWay: 'shorter',
    stops: Array.from({ length: 64 }, (_, j) =>
      stopAt(`s${j}`, j * 1.5, j % 4 ? toShade() : { to: 'role', role: `r${below(500)}` }),
    ),
  })),
};
