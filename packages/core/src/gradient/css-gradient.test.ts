import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { runs } from '../../test/runs.ts';
import type { Rgba } from '../contrast/ratio.ts';
import { gradientFaults, shifted } from './analyse.ts';
import { bakeGradient, fitGradient } from './fit.ts';
import { angleOf, evenStops, paintIn, reversedStops } from './geometry.ts';
import { mix } from './interpolate.ts';
import { type CssGradient, colorAtPlace, placeStops, slices } from './model.ts';
import { anyGradient } from './random-gradient.fixture.ts';
import { readGradient } from './read-css.ts';
import { writeGradient } from './write-css.ts';

function read(text: string): CssGradient {
  const result = readGradient(text);
  if (!result.ok) throw new Error(result.reason);
  return result.gradient;
}
const rounded = ({ r, g, b, alpha }: Rgba) => [r, g, b].map(Math.round).concat(alpha);

describe('reading and writing CSS gradients', () => {
  it('gives the same gradient back, over random ones of every kind', () => {
    fc.assert(
      fc.property(anyGradient, (gradient) => {
        expect(read(writeGradient(gradient))).toEqual(gradient);
      }),
      { numRuns: runs(1000) },
    );
  });

  test.each([
    ['linear-gradient(red, blue)', 'linear-gradient(180deg in srgb, #ff0000, #0000ff)'],
    [
      'LINEAR-GRADIENT(to left top, red 10%, blue 20px 30px)',
      'linear-gradient(to top left in srgb, #ff0000 10%, #0000ff 20px 30px)',
    ],
    [
      'linear-gradient(in oklch longer hue, red, 30%, blue)',
      'linear-gradient(180deg in oklch longer hue, #ff0000, 30%, #0000ff)',
    ],
    [
      'linear-gradient(.25turn, red, rgb(0 0 255 / 50%))',
      'linear-gradient(90deg in srgb, #ff0000, rgb(0 0 255 / 0.5))',
    ],
    [
      'repeating-radial-gradient(circle 20px at left, red, blue 10px)',
      'repeating-radial-gradient(circle 20px at 0% 50% in srgb, #ff0000, #0000ff 10px)',
    ],
    ['radial-gradient(red, blue)', 'radial-gradient(ellipse farthest-corner in srgb, #ff0000, #0000ff)'],
    [
      'radial-gradient(closest-side at 20% 30%, red, blue)',
      'radial-gradient(ellipse closest-side at 20% 30% in srgb, #ff0000, #0000ff)',
    ],
    ['radial-gradient(30px 20px, red, blue)', 'radial-gradient(ellipse 30px 20px in srgb, #ff0000, #0000ff)'],
    [
      'conic-gradient(from 45deg at 25% 75%, red 90deg, blue)',
      'conic-gradient(from 45deg at 25% 75% in srgb, #ff0000 25%, #0000ff)',
    ],
    ['-webkit-linear-gradient(left, red, blue)', 'linear-gradient(to right in srgb, #ff0000, #0000ff)'],
    ['-moz-linear-gradient(30deg, red, blue)', 'linear-gradient(60deg in srgb, #ff0000, #0000ff)'],
    [
      '-webkit-radial-gradient(center, circle cover, red, blue)',
      'radial-gradient(circle farthest-corner in srgb, #ff0000, #0000ff)',
    ],
    [
      '-webkit-gradient(linear, left top, left bottom, from(red), color-stop(.5, lime), to(blue))',
      'linear-gradient(to bottom in srgb, #ff0000 0%, #00ff00 50%, #0000ff 100%)',
    ],
    [
      '-webkit-gradient(radial, 40 30, 20, 40 30, 80, from(red), color-stop(50%, lime), to(blue))',
      'radial-gradient(circle 80px at 40px 30px in srgb, #ff0000 25%, #00ff00 62.5%, #0000ff 100%)',
    ],
    ['linear-gradient(#fff, oklch(0 0 0))', 'linear-gradient(180deg in oklab, #ffffff, #000000)'],
    [
      'linear-gradient(90deg, rgb(0 0 0) 1in, hsl(0 0% 100%) 3pc 36pt)',
      'linear-gradient(90deg in srgb, #000000 96px, #ffffff 48px 48px)',
    ],
  ])('%s', (text, written) => {
    expect(writeGradient(read(text))).toBe(written);
  });

  test.each([
    ['red', /no linear, radial or conic/],
    ['linear-gradient()', /at least one colour/],
    ['linear-gradient(to nowhere, red)', /no side or corner/],
    ['linear-gradient(red, , blue)', /nothing between two commas/],
    ['linear-gradient(red 10%, 20%)', /hint stands between/],
    ['linear-gradient(reddish, blue)', /"reddish" is no colour/],
    ['linear-gradient(red 1em, blue)', /"1em" depends on the page/],
    ['linear-gradient(in moonlight, red, blue)', /not mixed in "moonlight"/],
    ['conic-gradient(from red, blue, red)', /After "from" comes an angle/],
    ['-webkit-gradient(radial, 1 1, 2, 3 3, 4, from(red))', /two centres/],
    ['-webkit-gradient(radial, 1 1, 4, 1 1, 4, from(red))', /second radius/],
    ['-webkit-gradient(conic, 1 1, 4, from(red))', /linear or radial/],
  ])('%s is refused with its reason', (text, reason) => {
    const result = readGradient(text);
    expect(!result.ok && result.reason).toMatch(reason);
  });

  it('never throws, whatever the text', () => {
    const piece = fc.oneof(
      fc.string(),
      fc.constantFrom(
        'linear-gradient(',
        'conic-gradient(',
        '-webkit-gradient(',
        ')',
        ',',
        'red',
        '10%',
        'in',
        'at',
        'to',
        'from',
        'circle',
        '9e999px',
      ),
    );
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 14 }), (pieces) => {
        const result = readGradient(pieces.join(' '));
        if (result.ok) colorAtPlace(placeStops(result.gradient), 50);
        else expect(result.reason.length).toBeGreaterThan(5);
      }),
      { numRuns: runs(5000) },
    );
  });
});

describe('places', () => {
  const at = (text: string, place: number) => rounded(colorAtPlace(placeStops(read(text), 200), place));
  test.each([
    ['linear-gradient(black, white)', 50, [128, 128, 128, 1]],
    ['linear-gradient(black 20px, white)', 10, [0, 0, 0, 1]],
    ['linear-gradient(black, red, white)', 50, [255, 0, 0, 1]],
    ['linear-gradient(black 50%, white 20%)', 51, [255, 255, 255, 1]],
    ['linear-gradient(black, 25%, white)', 25, [128, 128, 128, 1]],
    ['linear-gradient(black, 0%, white)', 1, [255, 255, 255, 1]],
    ['linear-gradient(red 0% 50%, blue 50% 100%)', 49.9, [255, 0, 0, 1]],
    ['linear-gradient(red 0% 50%, blue 50% 100%)', 50, [0, 0, 255, 1]],
    ['repeating-linear-gradient(black 0%, white 20%)', 30, [128, 128, 128, 1]],
    ['repeating-linear-gradient(black 10%, white 30%)', 0, [128, 128, 128, 1]],
    ['repeating-linear-gradient(red 10%, blue 10%)', 77, [0, 0, 255, 1]],
    ['linear-gradient(red, transparent)', 50, [255, 0, 0, 0.5]],
    ['linear-gradient(in hsl longer hue, red, lime)', 50, [0, 0, 255, 1]],
    ['linear-gradient(in hsl increasing hue, lime, red)', 50, [0, 0, 255, 1]],
    ['linear-gradient(in hsl decreasing hue, lime, red)', 50, [255, 255, 0, 1]],
    ['linear-gradient(in oklch, white, blue)', 100, [0, 0, 255, 1]],
    ['linear-gradient(in hsl, cyan, red)', 50, [128, 255, 0, 1]],
    ['linear-gradient(in hsl, red, cyan)', 50, [128, 255, 0, 1]],
    ['linear-gradient(in hsl longer hue, cyan, red)', 50, [128, 255, 0, 1]],
    ['linear-gradient(in hsl longer hue, red, red)', 50, [0, 255, 255, 1]],
  ])('%s at %d %%', (text, place, expected) => {
    expect(at(text, place)).toEqual(expected);
  });

  it('are cut into even slices', () => {
    expect(slices(read('linear-gradient(black, white)'), 3).map(rounded)).toEqual([
      [0, 0, 0, 1],
      [128, 128, 128, 1],
      [255, 255, 255, 1],
    ]);
  });
});

describe('in a box', () => {
  it('corners get the angle that gives the other corners the middle colour', () => {
    const box = { width: 300, height: 100 };
    const painter = paintIn(read('linear-gradient(to top right, black, white)'), box);
    expect(painter.placeAt({ x: 0, y: 0 })).toBeCloseTo(50, 9);
    expect(painter.placeAt({ x: 300, y: 100 })).toBeCloseTo(50, 9);
    expect(angleOf({ by: 'corner', x: null, y: 'top' }, box)).toBe(0);
  });

  test.each([
    ['radial-gradient(circle closest-side, black, white)', 200, 50, 100],
    ['radial-gradient(circle farthest-side, black, white)', 300, 50, 100],
    ['radial-gradient(ellipse closest-side, black, white)', 300, 50, 100],
    ['radial-gradient(black, white)', 300, 100, 100],
    ['radial-gradient(circle 30px at 10px 10px, black, white)', 10, 25, 50],
    ['conic-gradient(black, white)', 300, 50, 25],
    ['conic-gradient(from 90deg, black, white)', 150, 100, 25],
  ])('%s at %d, %d lies at %d %%', (text, x, y, place) => {
    expect(paintIn(read(text), { width: 300, height: 100 }).placeAt({ x, y })).toBeCloseTo(place, 6);
  });
});

test('a repeating shape without extent is its average colour, each stretch by its length', () => {
  const gradient = read('repeating-radial-gradient(circle closest-side at 0% 50%, red 0% 50%, black)');
  expect(rounded(paintIn(gradient, { width: 20, height: 20 }).colorAt({ x: 7, y: 7 }))).toEqual([
    191, 0, 0, 1,
  ]);
});

const reversed = (gradient: CssGradient) => ({ ...gradient, stops: reversedStops(gradient.stops) });

describe('turning round and spacing', () => {
  it('reverse twice is the same, and shows the other end first', () => {
    const gradient = read('linear-gradient(red 10%, 30%, lime 40% 60%, blue)');
    expect(reversed(reversed(gradient))).toEqual(gradient);
    const [a, b] = [placeStops(gradient), placeStops(reversed(gradient))];
    for (let p = 0.5; p < 100; p += 7)
      expect(rounded(colorAtPlace(a, p))[3]).toEqual(rounded(colorAtPlace(b, 100 - p))[3]);
    expect(rounded(colorAtPlace(b, 0))).toEqual([0, 0, 255, 1]);
    expect(() => reversed(read('linear-gradient(red 10px, blue)'))).toThrow(RangeError);
  });

  it('spaces evenly', () => {
    const gradient = read('linear-gradient(red 1%, 2%, lime 3%, blue 4%)');
    expect(writeGradient({ ...gradient, stops: evenStops(gradient.stops) })).toBe(
      'linear-gradient(180deg in srgb, #ff0000 0%, #00ff00 50%, #0000ff 100%)',
    );
  });

  it('shifts all stops and stays inside sRGB', () => {
    const gradient = read('linear-gradient(#0b5f6b, 20%, #e2552b)');
    expect(writeGradient(shifted(gradient, {}))).toBe(writeGradient(gradient));
    expect(writeGradient(shifted(gradient, { saturation: -1 }))).toMatch(
      /#([0-9a-f]{2})\1\1, 20%, #([0-9a-f]{2})\2\2\)/,
    );
    expect(writeGradient(shifted(gradient, { hue: 360 }))).toBe(writeGradient(gradient));
    expect(writeGradient(shifted(gradient, { lightness: 1 }))).toContain('#ffffff, 20%, #ffffff');
  });
});

describe('fitting and baking', () => {
  it('finds the three stops that a row of sixty colours came from', () => {
    const row = slices(read('linear-gradient(in oklab, #0b5f6b, #e2552b 50%, #f8dc89)'), 61);
    expect(fitGradient(row, 'oklab', 0.002).map((stop) => stop.place)).toEqual([0, 50, 100]);
    expect(fitGradient(row.slice(0, 1))).toHaveLength(1);
    expect(() => fitGradient([])).toThrow(RangeError);
  });

  it('keeps the tolerance at every colour of any row', () => {
    const channel = fc.integer({ min: 0, max: 255 });
    const row = fc.array(fc.record({ r: channel, g: channel, b: channel, alpha: fc.constant(1) }), {
      minLength: 2,
      maxLength: 24,
    });
    fc.assert(
      fc.property(row, (colors) => {
        const stops = fitGradient(colors, 'srgb', 0.03);
        colors.forEach((c, i) => {
          const place = (i / (colors.length - 1)) * 100;
          const next = Math.max(
            1,
            stops.findIndex((stop) => stop.place >= place - 1e-9),
          );
          const [a, b] = [stops[next - 1]!, stops[next]!];
          const seen = mix(a.color, b.color, (place - a.place) / (b.place - a.place), 'srgb');
          expect(Math.hypot(seen.r - c.r, seen.g - c.g, seen.b - c.b)).toBeLessThan(60);
        });
      }),
      { numRuns: 40 },
    );
  });

  it('bakes any gradient to sRGB stops that paint the same within a step, few of them', () => {
    fc.assert(
      fc.property(anyGradient, (gradient) => {
        const still = { ...gradient, repeating: false };
        const baked = bakeGradient(still);
        expect(baked.space).toBe('srgb');
        const [a, b] = [placeStops(still, 100), placeStops(baked, 100)];
        for (let i = 0; i <= 400; i++) {
          const place = a.first + ((a.last - a.first) * (i + 0.37)) / 401;
          const [x, y] = [colorAtPlace(a, place), colorAtPlace(b, place)];
          for (const key of ['r', 'g', 'b'] as const)
            expect(Math.abs(x[key] * x.alpha - y[key] * y.alpha)).toBeLessThan(1.6);
        }
      }),
      { numRuns: 40 },
    );
    const simple = bakeGradient(read('linear-gradient(in oklab, #0b5f6b, #2c7580)'));
    expect(simple.stops.length).toBeLessThanOrEqual(3);
  });
});

describe('faults', () => {
  it('are told: a grey dip between opposites, twins beside each other, bands in a slow change', () => {
    const dip = gradientFaults(read('linear-gradient(in oklab, #0b5f6b, #e2552b)')).greyDips;
    expect(dip).toHaveLength(1);
    expect(dip[0]!.place).toBeGreaterThan(20);
    expect(gradientFaults(read('linear-gradient(in oklch, #0b5f6b, #e2552b)')).greyDips).toEqual([]);
    expect(gradientFaults(read('linear-gradient(#808080, #818181, #000)')).twins).toMatchObject([
      { a: 0, b: 1 },
    ]);
    const slow = read('linear-gradient(#808080, #8a8a8a)');
    expect(gradientFaults(slow, { length: 1000 }).bands.length).toBeGreaterThan(8);
    expect(gradientFaults(slow, { length: 60 }).bands).toEqual([]);
    expect(gradientFaults(read('linear-gradient(#808080, #808080)')).bands).toEqual([]);
  });

  it('of greyness are healed by the stop that is offered, for any two opposites', () => {
    const at = (place: number) => [{ value: place, unit: '%' } as const] as const;
    fc.assert(
      fc.property(fc.nat(359), fc.integer({ min: 110, max: 180 }), (hue, turn) => {
        const gradient = read(
          `linear-gradient(in oklab, oklch(0.55 0.09 ${hue}), oklch(0.7 0.09 ${hue + turn}))`,
        );
        const [dip] = gradientFaults(gradient).greyDips;
        expect(dip).toBeDefined();
        const stop = { kind: 'stop', color: dip!.remedy, places: at(dip!.place) } as const;
        const healed = { ...gradient, stops: [gradient.stops[0]!, stop, gradient.stops[1]!] };
        expect(gradientFaults(healed).greyDips).toEqual([]);
      }),
    );
  });
});
