import { USUAL_GROWTH } from '../src/family/growth.ts';
import type { Link, ProjectDocument } from '../src/system/document.ts';
import { readoutOf } from '../src/system/readout.ts';
import { resolveSystem } from '../src/system/resolve.ts';
import { reportShare, timeOf } from './report.ts';

// The largest sizes that are to hold: 64 families × 24 shades, 500 roles × 12 themes, 2,000 pairs,
// 200 gradients × 64 stops.
let state = 1;
const below = (n: number) => {
  state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
  return state % n;
};
const labels = Array.from({ length: 24 }, (_, i) => String((i + 1) * 10));
const hex = () => `#${below(0x1000000).toString(16).padStart(6, '0')}`;
const families = Array.from({ length: 64 }, (_, i) => ({
  id: `f${i}`,
  name: `Family ${i}`,
  base: hex(),
  growth: { ...USUAL_GROWTH, labels },
  handSet: {},
}));
const themes = Array.from({ length: 12 }, (_, i) => ({ id: `t${i}`, name: `Theme ${i}` }));
const toShade = (): Link => ({ to: 'shade', family: `f${below(64)}`, shade: labels[below(24)]! });
const roles = Array.from({ length: 500 }, (_, i) => ({
  id: `r${i}`,
  path: `group-${i % 20}/role-${i}`,
  links: Object.fromEntries(
    themes.map((theme) => [
      theme.id,
      i > 100 && i % 5 === 0 ? { to: 'role' as const, role: `r${below(100)}` } : toShade(),
    ]),
  ),
}));
const document: ProjectDocument = {
  version: 1,
  name: 'Largest',
  ground: 'r0',
  themes,
  families,
  roles,
  pairs: Array.from({ length: 2000 }, (_, i) => ({
    id: `p${i}`,
    foreground: `r${below(500)}`,
    background: `r${below(500)}`,
    target: { level: 'AA', content: 'body' },
    size: 16,
    weight: 400,
  })),
  gradients: Array.from({ length: 200 }, (_, i) => ({
    id: `g${i}`,
    name: `Gradient ${i}`,
    kind: 'linear',
    angle: 90,
    space: 'oklab',
    stops: Array.from({ length: 64 }, (_, j) => ({
      id: `s${j}`,
      position: j * 1.5,
      link: j % 4 ? toShade() : ({ to: 'role', role: `r${below(500)}` } as const),
    })),
  })),
  tray: [],
};

const fresh = () => ({ ...document, families: document.families.map((family) => ({ ...family })) });
reportShare(
  'resolving the largest document in full',
  timeOf(() => resolveSystem(fresh())),
  50,
  'ms',
);

let system = resolveSystem(document);
let n = 0;
const change = () => {
  n += 1;
  const at = n % 64;
  const next = { ...system.document, families: [...system.document.families] };
  next.families[at] = { ...next.families[at]!, base: hex() };
  return next;
};
const times: number[] = [];
let seen = 0;
// Once round first, so that the figures are not those of code that the engine has not compiled yet.
for (let i = 0; i < 64; i++) system = resolveSystem(change(), system);
for (let i = 0; i < 300; i++) {
  const next = change();
  const start = performance.now();
  system = resolveSystem(next, system);
  // The gradients of the theme that is shown are read as well, since they are worked out only then.
  for (const gradient of system.themes.get('t0')!.gradients.values()) seen += gradient.colors.length;
  times.push(performance.now() - start);
}
times.sort((a, b) => a - b);
if (seen !== 300 * 200 * 64) throw new Error('Not all stops were read.');
reportShare('resolving after one base has changed, median', times[150]!, 2, 'ms');
reportShare('resolving after one base has changed, 95th percentile', times[285]!, 2, 'ms');

readoutOf(system);
const counted = timeOf(() => {
  system = resolveSystem(change(), system);
  return readoutOf(system);
}, 10);
reportShare('resolving and counting the readout after one base has changed', counted, 16, 'ms');
