import fc from 'fast-check';
import type { CssGradient, Hint, StopPlace } from './model.ts';

/** Random gradients of every kind, for tests. Angles, places and colours are such that CSS holds them exactly. */
const channel = fc.integer({ min: 0, max: 255 });
const alpha = fc.oneof(
  { weight: 3, arbitrary: fc.constant(1) },
  { weight: 1, arbitrary: fc.constantFrom(0, 0.25, 0.5) },
);
const grey = fc.constantFrom(0, 128, 255);
const color = fc.oneof(
  { weight: 7, arbitrary: fc.record({ r: channel, g: channel, b: channel, alpha }) },
  { weight: 1, arbitrary: fc.tuple(grey, alpha).map(([v, a]) => ({ r: v, g: v, b: v, alpha: a })) },
);
const percent = fc.integer({ min: 0, max: 200 }).map((v): StopPlace => ({ value: v / 2, unit: '%' }));
const places = fc.oneof(
  { weight: 3, arbitrary: fc.constant([] as const) },
  { weight: 2, arbitrary: fc.tuple(percent) },
  { weight: 1, arbitrary: fc.tuple(percent, percent) },
);
const stop = fc.record({ kind: fc.constant('stop' as const), color, places });
const hint = percent.map((place): Hint => ({ kind: 'hint', place }));
const stops = fc
  .tuple(stop, fc.array(fc.tuple(fc.option(hint, { freq: 4 }), stop), { minLength: 1, maxLength: 4 }))
  .map(([first, rest]) => [
    first,
    ...rest.flatMap(([between, next]) => (between ? [between, next] : [next])),
  ]);
const space = fc.constantFrom('srgb', 'srgb-linear', 'oklab', 'lab', 'oklch', 'lch', 'hsl', 'hwb');
const polar = /lch|hsl|hwb/;
const common = fc
  .record({
    repeating: fc.boolean(),
    space,
    hueWay: fc.constantFrom('shorter', 'longer', 'increasing', 'decreasing'),
    stops,
  })
  .map((all) => ({ ...all, hueWay: polar.test(all.space) ? all.hueWay : 'shorter' }) as const);
const degrees = fc.integer({ min: 0, max: 359 });
const center = fc.tuple(percent, percent);
const direction = fc.oneof(
  degrees.map((d) => ({ by: 'angle', degrees: d }) as const),
  fc.record({
    by: fc.constant('corner' as const),
    x: fc.constantFrom('left', 'right', null),
    y: fc.constantFrom('top', 'bottom'),
  }),
);
const size = fc.constantFrom('closest-side', 'farthest-side', 'closest-corner', 'farthest-corner');

export const anyGradient: fc.Arbitrary<CssGradient> = fc.oneof(
  fc.tuple(common, direction).map(([all, d]) => ({ kind: 'linear', direction: d, ...all }) as CssGradient),
  fc
    .tuple(common, fc.constantFrom('circle', 'ellipse'), size, center)
    .map(([all, shape, s, c]) => ({ kind: 'radial', shape, size: s, center: c, ...all }) as CssGradient),
  fc
    .tuple(common, degrees, center)
    .map(([all, from, c]) => ({ kind: 'conic', from, center: c, ...all }) as CssGradient),
);
