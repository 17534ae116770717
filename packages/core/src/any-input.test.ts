import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { convert } from './color/convert.ts';
import { describeColor } from './color/describe.ts';
import { deltaEOk, findTwins } from './color/difference.ts';
import { findColors } from './color/find.ts';
import { gamutOutline, inGamut, maxChroma, rgb8ToOklch, toRgb8, toSrgb } from './color/gamut.ts';
import { mixIn } from './color/mix.ts';
import { color, SPACES, type SpaceId } from './color/spaces.ts';
import { nearestPassingColor } from './contrast/nearest-color.ts';
import { composite, contrastRatio, formatRatio, luminance, reaches } from './contrast/ratio.ts';
import { nearestPassingShade } from './contrast/repair.ts';
import { growDrawn } from './family/drawn.ts';
import { growColors, growShades } from './family/growth.ts';
import { growByRecipe } from './family/recipes.ts';
import { gradientFaults, shifted } from './gradient/analyse.ts';
import { bakeGradient, fitGradient } from './gradient/fit.ts';
import { paintIn } from './gradient/geometry.ts';
import { mix } from './gradient/interpolate.ts';
import { colorAtPlace, placeStops, slices } from './gradient/model.ts';
import { anyGradient } from './gradient/random-gradient.fixture.ts';
import { proposals } from './harmony/proposals.ts';
import { between, related } from './harmony/relations.ts';
import { worstOverPixels } from './picture/over-pixels.ts';
import { paletteOf } from './picture/palette.ts';
import { averageAround } from './picture/sample.ts';
import { simulate, visionTwins } from './vision/simulate.ts';

/** Numbers of every sort, the ones that break arithmetic among them. */
const number = fc.oneof(
  fc.double(),
  fc.double({ min: -2, max: 2, noNaN: true }),
  fc.constantFrom(
    0,
    -0,
    1,
    255,
    360,
    Number.NaN,
    Number.POSITIVE_INFINITY,
    Number.NEGATIVE_INFINITY,
    1e308,
    -1e308,
  ),
);
const channel = fc.oneof({ weight: 5, arbitrary: number }, { weight: 1, arbitrary: fc.constant(null) });
const space = fc.constantFrom(...(Object.keys(SPACES) as SpaceId[]));
const anyColor = fc
  .tuple(space, fc.tuple(channel, channel, channel), channel)
  .map(([id, coords, alpha]) => color(id, coords, alpha));
const rgba = fc.record({ r: number, g: number, b: number, alpha: number });
const byte = fc.integer({ min: 0, max: 255 });
const painted = fc.record({ r: byte, g: byte, b: byte, alpha: fc.constantFrom(0, 0.3, 1) });
const labels = fc.array(fc.string(), { maxLength: 30 });
const growth = fc.record({
  kind: fc.constant('lightness'),
  labels,
  lightest: number,
  darkest: number,
  curve: number,
  endChroma: number,
  hueDrift: number,
});
const anyLabels = fc.array(fc.string(), { maxLength: 5 });
const anySteps = fc.array(fc.record({ lightness: number, chroma: number, turn: number }), { maxLength: 5 });
const pixels = fc.uint8Array({ maxLength: 200 });

/** Fails on NaN anywhere in a result. */
function expectNumbers(value: unknown, path = 'result'): void {
  if (typeof value === 'number') expect(value, path).not.toBeNaN();
  else if (ArrayBuffer.isView(value)) for (const v of value as unknown as number[]) expectNumbers(v, path);
  else if (value && typeof value === 'object')
    for (const [key, v] of Object.entries(value)) expectNumbers(v, `${path}.${key}`);
}

type Case = readonly [name: string, input: fc.Arbitrary<unknown[]>, run: (...args: never[]) => unknown];

const CASES: readonly Case[] = [
  ['convert', fc.tuple(anyColor, space), convert],
  ['toSrgb', fc.tuple(anyColor), toSrgb],
  ['toRgb8', fc.tuple(anyColor), toRgb8],
  ['inGamut', fc.tuple(anyColor), inGamut],
  ['maxChroma', fc.tuple(number, number), maxChroma],
  [
    'gamutOutline',
    fc.tuple(number, fc.oneof(fc.constant(Number.NaN), fc.integer({ max: 40 }))),
    gamutOutline,
  ],
  ['rgb8ToOklch', fc.tuple(byte, byte, byte), rgb8ToOklch],
  ['describeColor', fc.tuple(anyColor, fc.option(fc.string(), { nil: undefined })), describeColor],
  ['deltaEOk', fc.tuple(anyColor, anyColor), deltaEOk],
  ['findTwins', fc.tuple(fc.array(fc.tuple(number, number, number)), number), findTwins],
  ['findColors', fc.tuple(fc.string()), findColors],
  ['mixIn', fc.tuple(anyColor, anyColor, number, space), mixIn],
  ['luminance', fc.tuple(rgba), luminance],
  ['contrastRatio', fc.tuple(rgba, rgba), contrastRatio],
  ['composite', fc.tuple(rgba, rgba), composite],
  ['formatRatio', fc.tuple(fc.double({ min: 1, max: 21 })), formatRatio],
  ['reaches', fc.tuple(number, number), reaches],
  [
    'nearestPassingShade',
    fc.tuple(fc.array(rgba), number, rgba, number, number),
    (...args: Parameters<typeof nearestPassingShade>) => nearestPassingShade(...args).best?.ratio,
  ],
  [
    'related',
    fc.tuple(
      anyColor,
      fc.constantFrom('analogous', 'split-complementary', 'monochromatic'),
      fc.record({ count: number, angle: number }),
    ),
    related,
  ],
  ['between', fc.tuple(anyColor, anyColor, number), between],
  ['mix', fc.tuple(rgba, rgba, number, fc.constantFrom('srgb', 'oklab', 'oklch', 'hsl')), mix],
  [
    'colorAtPlace',
    fc.tuple(anyGradient, number),
    (gradient: never, at: number) => colorAtPlace(placeStops(gradient), at),
  ],
  [
    'placeStops',
    fc.tuple(anyGradient, number),
    (gradient: never, length: number) => placeStops(gradient, length),
  ],
  [
    'paintIn',
    fc.tuple(anyGradient, number, number),
    (gradient: never, a: number, b: number) =>
      paintIn(gradient, { width: a, height: b }).colorAt({ x: b, y: a }),
  ],
  ['slices', fc.tuple(anyGradient, fc.oneof(fc.constant(Number.NaN), fc.integer({ max: 40 }))), slices],
  [
    'shifted',
    fc.tuple(anyGradient, fc.record({ hue: number, saturation: number, lightness: number })),
    shifted,
  ],
  ['gradientFaults', fc.tuple(anyGradient, fc.double({ min: 0, max: 4000 })), gradientFaults],
  [
    'simulate',
    fc.tuple(painted, fc.constantFrom('protan', 'deutan', 'tritan', 'achromat'), number),
    simulate,
  ],
  ['visionTwins', fc.tuple(fc.array(painted, { maxLength: 6 }), number, number), visionTwins],
  ['paletteOf', fc.tuple(pixels, fc.integer()), paletteOf],
  [
    'proposals',
    fc.tuple(
      fc.record({
        seed: number,
        count: number,
        stray: number,
        kept: fc.array(fc.tuple(number, number, number), { maxLength: 3 }),
        free: fc.array(fc.tuple(number, number, number), { maxLength: 3 }),
        way: fc.constantFrom('fresh', 'mix'),
        of: fc.array(fc.array(fc.tuple(number, number, number), { maxLength: 3 }), { maxLength: 2 }),
      }),
      fc.constantFrom(1, Number.NaN),
    ),
    proposals,
  ],
];

/** Functions that refuse some input, with what they then throw. */
const REFUSING: readonly (readonly [...Case, refusal: RegExp])[] = [
  [
    'nearestPassingColor',
    fc.tuple(anyColor, fc.array(fc.record({ ground: rgba, required: number }), { maxLength: 2 }), number),
    nearestPassingColor,
    /^At least one ground/,
  ],
  ['worstOverPixels', fc.tuple(rgba, pixels, rgba), worstOverPixels, /^The region has no pixels/],
  [
    'averageAround',
    fc.tuple(
      fc.record({
        width: fc.constantFrom(0, 2),
        height: fc.constant(2),
        pixels: fc.uint8Array({ minLength: 16, maxLength: 16 }),
      }),
      number,
      number,
      number,
    ),
    averageAround,
    /^The picture has no pixels/,
  ],
  ['growColors', fc.tuple(anyColor, growth), growColors, /^A family has/],
  [
    'growDrawn',
    fc.tuple(anyColor, fc.record({ kind: fc.constant('drawn'), labels: anyLabels, steps: anySteps })),
    growDrawn,
    /^(A family has|As many steps)/,
  ],
  ['growShades', fc.tuple(anyColor, growth), growShades, /^A family has/],
  [
    'growByRecipe',
    fc.tuple(
      anyColor,
      fc.oneof(
        fc.record({
          kind: fc.constant('mix'),
          towards: fc.constantFrom('white', 'grey'),
          labels,
          reach: number,
        }),
        fc.record({
          kind: fc.constant('opacity'),
          ground: fc.constantFrom('#fff', 'no colour'),
          labels,
          least: number,
        }),
        fc.record({
          kind: fc.constant('contrast'),
          ground: fc.constantFrom('#fff', '#777'),
          labels,
          ratios: fc.array(number, { maxLength: 30 }),
        }),
      ),
    ),
    growByRecipe,
    /^(A family has|As many ratios|Not a colour)/,
  ],
  [
    'fitGradient',
    fc.tuple(
      fc.array(painted, { maxLength: 12 }),
      fc.constantFrom('srgb', 'oklab'),
      fc.oneof(fc.constant(Number.NaN), fc.double({ min: 0, max: 1 })),
    ),
    fitGradient,
    /^A row of 1/,
  ],
  [
    'bakeGradient',
    fc.tuple(anyGradient, fc.oneof(fc.constant(Number.NaN), fc.double({ min: 0.5, max: 10 }))),
    bakeGradient,
    /^never/,
  ],
];

describe('whatever the numbers, a result without NaN', () => {
  test.each(CASES)('%s', (_, input, run) => {
    fc.assert(
      fc.property(input, (args) => {
        expectNumbers(run(...(args as never[])));
      }),
      { numRuns: 150 },
    );
  });
});

describe('whatever the numbers, a result without NaN or the error that is documented', () => {
  test.each(REFUSING)('%s', (_, input, run, refusal) => {
    fc.assert(
      fc.property(input, (args) => {
        let result: unknown;
        try {
          result = run(...(args as never[]));
        } catch (error) {
          expect(error instanceof RangeError || error instanceof TypeError).toBe(true);
          expect((error as Error).message).toMatch(refusal);
        }
        expectNumbers(result);
      }),
      { numRuns: 150 },
    );
  });
});
