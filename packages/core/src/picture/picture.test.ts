import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { rgb8ToOklch } from '../color/gamut.ts';
import { rgbToOklab } from '../color/kernel.ts';
import { drain } from '../in-parts/drain.ts';
import { dimOthers, divide } from './division.ts';
import { countInParts, histogramOf } from './histogram.ts';
import { pictureKindOf } from './kind.ts';
import { meanError, paletteOf, paletteOfHistogram } from './palette.ts';
import { bestPixels, deepestPlaces, placesOfPalettes } from './places.ts';
import { averageAround, type Pixels, sampledText } from './sample.ts';
import { halved, partOf } from './shrink.ts';
import { PALETTE_STRATEGIES, type PaletteStrategy } from './strategies.ts';

/** A picture of patches with fine noise, as a photograph has; the same each time. */
function patches(
  width: number,
  height: number,
  parts: readonly (readonly [share: number, r: number, g: number, b: number])[],
) {
  const pixels = new Uint8ClampedArray(width * height * 4);
  let state = 1;
  const noise = () => {
    state = (Math.imul(state, 1103515245) + 12345) >>> 0;
    return ((state >>> 16) % 13) - 6;
  };
  let from = 0;
  let at = 0;
  for (const [share, r, g, b] of parts) {
    from += share;
    for (const end = Math.round(from * width * height); at < end; at++)
      pixels.set([r + noise(), g + noise(), b + noise(), 255], at * 4);
  }
  return pixels;
}

const HARBOUR = [
  [0.5, 20, 60, 75],
  [0.3, 200, 140, 110],
  [0.197, 90, 110, 112],
  [0.003, 240, 40, 30],
] as const;
const near = (c: { r: number; g: number; b: number }, [, r, g, b]: readonly number[]) =>
  Math.hypot(c.r - r!, c.g - g!, c.b - b!) < 14;

describe('palettes', () => {
  const pixels = patches(400, 300, HARBOUR);

  it('find every patch with its share, a small bright accent too, and a place that shows it', () => {
    const palette = paletteOf(pixels, 4);
    expect(palette).toHaveLength(4);
    HARBOUR.forEach((patch) => {
      const found = palette.find((c) => near(c, patch));
      expect(found, String(patch)).toBeDefined();
      expect(Math.abs(found!.share - patch[0])).toBeLessThan(0.01);
      const [r, g, b] = pixels.subarray(found!.place * 4);
      expect(near({ r: r!, g: g!, b: b! }, [0, found!.r, found!.g, found!.b])).toBe(true);
    });
    expect(palette.reduce((sum, c) => sum + c.share, 0)).toBeCloseTo(1, 9);
  });

  it('keep the accent at any size that has room for it', () => {
    for (let size = 4; size <= 16; size++)
      expect(paletteOf(pixels, size).some((c) => near(c, HARBOUR[3]))).toBe(true);
  });

  it('are the means of just the pixels that count, also where the bytes begin at an odd place', () => {
    const rows = fc.array(fc.tuple(fc.integer({ min: 40, max: 90 }), fc.constantFrom(0, 127, 128, 255)), {
      minLength: 1,
      maxLength: 60,
    });
    fc.assert(
      fc.property(rows, fc.integer({ min: 0, max: 3 }), (list, offset) => {
        const bytes = new Uint8Array(offset + list.length * 4);
        list.forEach(([v, alpha], i) => {
          bytes.set([v, v + 1, v + 2, alpha], offset + i * 4);
        });
        const counted = list.filter(([, alpha]) => alpha >= 128).map(([v]) => v);
        const h = histogramOf(bytes.subarray(offset));
        expect(h.total).toBe(counted.length);
        const sum = h.count.reduce((all, n, i) => all + n * h.green[i]!, 0);
        expect(sum).toBeCloseTo(
          counted.reduce((all, v) => all + v + 1, 0),
          6,
        );
      }),
      { numRuns: 60 },
    );
    const flat = new Uint8Array(4000).map((_, i) => [0x12, 0x35, 0x57, 0xff][i % 4]!);
    expect(paletteOf(flat, 4)).toEqual([{ r: 0x12, g: 0x35, b: 0x57, share: 1, place: 0 }]);
  });

  it('lean as asked', () => {
    const h = histogramOf(
      patches(400, 300, [
        [0.3, 30, 30, 32],
        [0.3, 235, 235, 230],
        [0.2, 120, 125, 128],
        [0.1, 220, 60, 30],
        [0.1, 30, 150, 90],
      ]),
    );
    const mean = (leaning: PaletteStrategy, channel: 0 | 1) => {
      const all = paletteOfHistogram(h, 3, leaning);
      return all.reduce((sum, c) => sum + rgb8ToOklch(c.r, c.g, c.b)[channel], 0) / all.length;
    };
    expect(mean('vivid', 1)).toBeGreaterThan(mean('gentle', 1));
    expect(mean('low light', 0)).toBeLessThan(mean('high light', 0));
    for (const leaning of ['area', 'most different'] as const)
      expect(paletteOfHistogram(h, 3, leaning)).toHaveLength(3);
  });

  it('are six answers where they lean six ways', () => {
    const pictures = [
      [
        [0.34, 30, 62, 80],
        [0.2, 205, 150, 120],
        [0.2, 96, 112, 116],
        [0.1, 236, 232, 220],
        [0.06, 20, 22, 26],
        [0.04, 226, 85, 43],
        [0.04, 224, 162, 26],
        [0.02, 63, 125, 58],
      ],
      [
        [0.5, 110, 130, 96],
        [0.2, 60, 84, 52],
        [0.12, 190, 196, 160],
        [0.08, 240, 240, 236],
        [0.05, 32, 28, 24],
        [0.03, 200, 40, 70],
        [0.02, 40, 90, 190],
      ],
    ] as const;
    for (const parts of pictures) {
      const h = histogramOf(patches(400, 300, parts));
      const rows = PALETTE_STRATEGIES.map((leaning) =>
        paletteOfHistogram(h, 5, leaning).map(({ r, g, b }) => rgbToOklab(r, g, b)),
      );
      /** How far the colours of one row lie from the nearest of the other, in the mean. */
      const apart = (a: (typeof rows)[number], b: (typeof rows)[number]) =>
        a.reduce(
          (sum, one) =>
            sum + Math.min(...b.map((other) => Math.hypot(...one.map((v, i) => v - other[i]!)))) / a.length,
          0,
        );
      rows.forEach((row, i) => {
        for (let j = 0; j < i; j++)
          expect(
            apart(row, rows[j]!) + apart(rows[j]!, row),
            `${PALETTE_STRATEGIES[i]}, ${PALETTE_STRATEGIES[j]}`,
          ).toBeGreaterThan(0.03);
      });
      // The one that wants the most different has the widest reach.
      const spread = (row: (typeof rows)[number]) =>
        Math.min(
          ...row.flatMap((a, i) => row.slice(0, i).map((b) => Math.hypot(...a.map((v, k) => v - b[k]!)))),
        );
      for (const row of rows.slice(0, 5)) expect(spread(rows[5]!)).toBeGreaterThanOrEqual(spread(row) - 1e-9);
    }
  });

  it('are the same each time, of any pixels, with shares that come to 1', () => {
    const bytes = fc.array(fc.integer({ min: 0, max: 255 }), { minLength: 0, maxLength: 400 });
    fc.assert(
      fc.property(bytes, fc.integer({ min: 2, max: 16 }), (list, size) => {
        const picture = Uint8ClampedArray.from(list);
        const palette = paletteOf(picture, size);
        expect(paletteOf(picture, size)).toEqual(palette);
        expect(palette.length).toBeLessThanOrEqual(size);
        if (palette.length) expect(palette.reduce((sum, c) => sum + c.share, 0)).toBeCloseTo(1, 9);
        for (const c of palette)
          for (const v of [c.r, c.g, c.b]) expect(Number.isInteger(v) && v >= 0 && v <= 255).toBe(true);
      }),
      { numRuns: 100 },
    );
    expect(paletteOf(new Uint8ClampedArray([9, 9, 9, 0]), 4)).toEqual([]);
  });

  it('stand for the picture better the larger they are', () => {
    const errors = [2, 4, 8].map((size) =>
      meanError(
        pixels,
        paletteOf(pixels, size).map(({ r, g, b }) => [r, g, b]),
      ),
    );
    expect(errors[1]!).toBeLessThan(errors[0]!);
    expect(errors[2]!).toBeLessThanOrEqual(errors[1]! + 1e-6);
  });
});

describe('samples', () => {
  const picture = {
    width: 2,
    height: 2,
    pixels: new Uint8ClampedArray([0, 0, 0, 255, 255, 255, 255, 255, 255, 255, 255, 255, 255, 0, 0, 0]),
  };

  test.each([
    [1, 0, 0, [0, 0, 0, 1]],
    [3, 0, 0, [213, 213, 213, 0.75]],
    [101, 9, 9, [213, 213, 213, 0.75]],
    [1, 1, 1, [0, 0, 0, 0]],
  ])(
    'the average of %d px around %d, %d is in linear light and weighted by alpha',
    (side, x, y, expected) => {
      const { r, g, b, alpha } = averageAround(picture, x, y, side);
      expect([r, g, b].map(Math.round).concat(alpha)).toEqual(expected);
    },
  );
});

/** A picture of some rows of letters, each a colour. */
function lettered(rows: readonly string[], colors: Readonly<Record<string, readonly number[]>>) {
  const pixels = Uint8ClampedArray.from(rows.flatMap((row) => [...row].flatMap((c) => [...colors[c]!, 255])));
  return { width: rows[0]!.length, height: rows.length, pixels };
}

describe('the places of a divided picture', () => {
  it('lie deepest within each part, in the middle of several as deep', () => {
    const colors = { a: [200, 40, 30], b: [20, 60, 200], c: [240, 240, 240] };
    const picture = lettered(
      ['aaaaaaabbbbb', 'aaaaaaabbbbb', 'aaaaaaabbbbb', 'aaaaaaabcbbb', 'aaaaaaabbbbb'],
      colors,
    );
    const list = Object.values(colors).map(([r, g, b]) => ({ r: r!, g: g!, b: b! }));
    const division = divide(histogramOf(picture.pixels), list);
    const places = deepestPlaces(picture, division, [...list, { r: 0, g: 255, b: 0 }]);
    expect(places).toEqual([{ x: 3, y: 2 }, { x: 10, y: 2 }, { x: 8, y: 3 }, null]);
  });
});

describe('the places of a palette', () => {
  const labOf = (p: { r: number; g: number; b: number }) => rgbToOklab(p.r, p.g, p.b);
  const far = (a: readonly number[], b: readonly number[]) => Math.hypot(...a.map((v, i) => v - b[i]!));

  it('show the colour as well as any pixel, or to the eye', () => {
    // Soft slopes with grain, over which the mean of a part is met only in places.
    const [width, height] = [160, 120];
    const pixels = new Uint8ClampedArray(width * height * 4);
    for (let i = 0; i < width * height; i++) {
      const [x, y] = [i % width, Math.floor(i / width)];
      const grain = ((i * 7919) % 41) - 20;
      pixels.set([x * 1.6 + grain, y * 2 + grain, 200 - x + grain, 255], i * 4);
    }
    const whole = { width, height, pixels };
    let small: Pixels = whole;
    for (let n = 0; n < 2; n++) {
      small = drain(halved(small));
    }
    const h = histogramOf(pixels);
    const labs = Array.from({ length: width * height }, (_, i) =>
      rgbToOklab(pixels[i * 4]!, pixels[i * 4 + 1]!, pixels[i * 4 + 2]!),
    );
    for (const leaning of PALETTE_STRATEGIES)
      for (const size of [2, 6]) {
        const colors = paletteOfHistogram(h, size, leaning);
        const palette = { division: divide(h, colors), colors };
        drain(placesOfPalettes(whole, h, small, 4, [palette]))[0]!.forEach(({ x, y }, i) => {
          const lab = labOf(colors[i]!);
          const best = labs.reduce((least, one) => Math.min(least, far(one, lab)), Number.POSITIVE_INFINITY);
          expect(far(labs[y * width + x]!, lab)).toBeLessThanOrEqual(Math.max(0.02, best * 2));
        });
      }
  });
});

describe('the pixels that show some colours best', () => {
  const channel = fc.integer({ min: 0, max: 255 });
  const rgb = fc.record({ r: channel, g: channel, b: channel });

  test('are those that a look at every pixel finds, the first of several as near', () => {
    const picture = fc.array(fc.tuple(rgb, fc.constantFrom(255, 255, 255, 128, 127, 0)), {
      minLength: 1,
      maxLength: 60,
    });
    fc.assert(
      fc.property(picture, fc.array(rgb, { maxLength: 40 }), (list, colors) => {
        const pixels = Uint8ClampedArray.from(list.flatMap(([{ r, g, b }, alpha]) => [r, g, b, alpha]));
        const whole = { width: list.length, height: 1, pixels };
        const expected = colors.map((color) => {
          const far = list.map(([{ r, g, b }, alpha]) =>
            alpha < 128
              ? Number.POSITIVE_INFINITY
              : (r - color.r) ** 2 + (g - color.g) ** 2 + (b - color.b) ** 2,
          );
          const least = Math.min(...far);
          return least === Number.POSITIVE_INFINITY ? null : { x: far.indexOf(least), y: 0 };
        });
        expect(bestPixels(whole, histogramOf(pixels), colors)).toEqual(expected);
      }),
    );
  });
});

describe('a picture half as large', () => {
  it('has the means of what each pixel stands for, by how opaque that is', () => {
    const pixels = Uint8ClampedArray.from([
      ...[100, 0, 0, 255, 200, 0, 0, 255, 9, 9, 9, 255],
      ...[100, 0, 0, 255, 0, 80, 0, 255, 9, 9, 9, 255],
      ...[50, 60, 70, 255, 250, 250, 250, 0, 1, 2, 3, 4],
    ]);
    const half = drain(halved({ width: 3, height: 3, pixels }));
    expect([half.width, half.height]).toEqual([2, 2]);
    expect([...half.pixels]).toEqual([...[100, 20, 0, 255, 9, 9, 9, 255], ...[50, 60, 70, 128, 1, 2, 3, 4]]);
  });

  test('has the mean of four pixels in each channel, weighted by alpha and rounded as pixels are', () => {
    const bytes = fc.array(fc.integer({ min: 0, max: 255 }), { minLength: 16, maxLength: 16 });
    fc.assert(
      fc.property(bytes, fc.constantFrom(null, 255, 128, 1), (four, alpha) => {
        const pixels = Uint8ClampedArray.from(four, (v, i) => (i % 4 === 3 && alpha !== null ? alpha : v));
        const all = pixels[3]! + pixels[7]! + pixels[11]! + pixels[15]!;
        const sum = (k: number) =>
          [0, 4, 8, 12].reduce((so, at) => so + pixels[at + k]! * pixels[at + 3]!, 0);
        // Of opaque ones halves go up, as when they are drawn.
        const mean = (k: number) => (all === 1020 ? Math.floor(sum(k) / 1020 + 0.5) : all ? sum(k) / all : 0);
        const expected = new Uint8ClampedArray([mean(0), mean(1), mean(2), (all + 2) >> 2]);
        expect([...drain(halved({ width: 2, height: 2, pixels })).pixels]).toEqual([...expected]);
      }),
    );
  });

  it('tells how far it is', () => {
    const parts = halved({ width: 2, height: 600, pixels: new Uint8ClampedArray(4800) });
    expect([...parts]).toEqual([128 / 300, 256 / 300]);
  });
});

describe('a part of a picture', () => {
  it('is what of it lies within', () => {
    const picture = lettered(
      ['abc', 'def', 'ghi'],
      Object.fromEntries([...'abcdefghi'].map((c, i) => [c, [i, i, i]])),
    );
    const part = partOf(picture, 1.5, -2, 5, 4)!;
    expect([part.x, part.y, part.width, part.height]).toEqual([1, 0, 2, 2]);
    expect([...part.pixels].filter((_, i) => i % 4 === 0)).toEqual([1, 2, 4, 5]);
    expect(partOf(picture, 3, 0, 9, 9)).toBeNull();
  });
});

describe('a sampled colour', () => {
  it('is spelled as documents have it', () => {
    expect(sampledText({ r: 226.4, g: 85.2, b: 42.6, alpha: 1 })).toBe('#e2552b');
    expect(sampledText({ r: 0, g: 0, b: 0, alpha: 0.5 })).toBe('#00000080');
  });
});

describe('counting in parts', () => {
  it('comes to what counting at once comes to, and tells how far it is', () => {
    const pixels = patches(70, 50, HARBOUR);
    const parts = countInParts(pixels, 1000);
    const told: number[] = [];
    const histogram = drain(parts, (share) => told.push(share));
    expect(told.map((share) => Math.round(share * 100))).toEqual([29, 57, 86]);
    expect(histogram).toEqual(histogramOf(pixels));
  });
});

describe('a picture divided among colours', () => {
  const pixels = patches(200, 100, HARBOUR);
  const h = histogramOf(pixels);
  const colors = HARBOUR.map(([, r, g, b]) => ({ r, g, b }));

  it('gives every pixel to the nearest, with shares of the whole', () => {
    const { shares } = divide(h, colors);
    HARBOUR.forEach(([share], i) => {
      expect(Math.abs(shares[i]! - share)).toBeLessThan(0.002);
    });
    expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9);
    expect(divide(h, colors.slice(0, 1)).shares).toEqual([1]);
    expect(divide(histogramOf(new Uint8Array()), colors).shares).toEqual([0, 0, 0, 0]);
    expect(divide(h, []).shares).toEqual([]);
  });

  it('dims just what belongs to the others', () => {
    const division = divide(h, colors);
    const shown = Uint8ClampedArray.from(pixels);
    dimOthers(shown, division, 3);
    let kept = 0;
    for (let at = 0; at < pixels.length; at += 4)
      if ([0, 1, 2].every((k) => shown[at + k] === pixels[at + k])) kept += 1;
    expect(kept / (pixels.length / 4)).toBeCloseTo(division.shares[3]!, 2);
    expect([...shown.subarray(0, 3)]).not.toEqual([...pixels.subarray(0, 3)]);
  });
});

describe('the kind of a file', () => {
  const text = (value: string) => new TextEncoder().encode(value);
  const bytes = (...parts: (string | number)[]) =>
    Uint8Array.from(parts.flatMap((part) => (typeof part === 'string' ? [...text(part)] : [part])));
  test.each([
    ['png', bytes(0x89, 'PNG\r\n', 0x1a, '\n', 0)],
    ['jpeg', bytes(0xff, 0xd8, 0xff, 0xe0)],
    ['webp', bytes('RIFF', 1, 2, 3, 4, 'WEBPVP8 ')],
    ['gif', bytes('GIF89a')],
    ['avif', bytes(0, 0, 0, 28, 'ftypavif', 0, 0, 0, 0, 'mif1miaf')],
    ['avif', bytes(0, 0, 0, 28, 'ftypmif1', 0, 0, 0, 0, 'miafavif')],
    ['svg', text('<svg xmlns="http://www.w3.org/2000/svg"/>')],
    ['svg', text('\ufeff<?xml version="1.0"?>\n<!-- a > b -->\n<!DOCTYPE svg [<!ENTITY a "b">]>\n<svg:svg>')],
    [null, bytes(0, 0, 0, 28, 'ftypheic', 0, 0, 0, 0, 'mif1heic')],
    [null, bytes(0, 0, 0, 12, 'ftypmp42', 'avif')],
    [null, text('<!doctype html><svg></svg>')],
    [null, text('<svgs/>')],
    [null, text('RIFF1234WAVE')],
    [null, text('PNG')],
    [null, bytes()],
  ] as const)('is %s by its bytes', (kind, file) => {
    expect(pictureKindOf(file)).toBe(kind);
  });

  it('is found in any bytes without trouble', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 300 }), (any) => {
        pictureKindOf(any);
      }),
    );
    const long = `<!--${'<!DOCTYPE <!-- '.repeat(5000)}`;
    expect(pictureKindOf(text(long))).toBeNull();
  });
});
