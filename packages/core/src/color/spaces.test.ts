import Reference from 'colorjs.io';
import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { isLong, runs } from '../../test/runs.ts';
import { convert, numbers, srgbFrom } from './convert.ts';
import { deltaEOk, findTwins } from './difference.ts';
import { gamutOutline, inGamut, maxChroma, rgb8ToOklch, toSrgb } from './gamut.ts';
import { parseColor, readColor } from './parse.ts';
import { color, SPACES, type SpaceId } from './spaces.ts';
import { writeColor, writeHex } from './write.ts';

const RUNS = runs(10_000);
const REFERENCE: Record<string, string> = {
  'display-p3': 'p3',
  'a98-rgb': 'a98rgb',
  'prophoto-rgb': 'prophoto',
};
// Twelve bits a channel: finer than any screen, and free of the noise of numbers next to nothing.
const unit = fc.integer({ min: 0, max: 4095 }).map((v) => v / 4095);
const rgb = fc.tuple(unit, unit, unit);
const SPACE_IDS = (Object.keys(SPACES) as SpaceId[]).filter((id) => id !== 'srgb');

describe('spaces', () => {
  test.each(['srgb', ...SPACE_IDS] as const)('%s comes to the same sRGB by the short way', (space) => {
    const around = fc.double({ min: -0.2, max: 1.2, noNaN: true });
    fc.assert(
      fc.property(around, around, around, (...parts) => {
        const coords = parts.map((v, i) => {
          const { min, max } = SPACES[space].channels[i]!;
          return min + (max - min) * v;
        }) as [number, number, number];
        const there = [...coords] as [number, number, number];
        srgbFrom(space)(there);
        numbers(convert(color(space, coords), 'srgb')).forEach((v, i) => {
          expect(there[i]).toBeCloseTo(v, 9);
        });
      }),
      { numRuns: RUNS },
    );
  });

  test.each(SPACE_IDS)('%s agrees with an independent implementation to 1e-6, there and back', (space) => {
    const { channels } = SPACES[space];
    fc.assert(
      fc.property(rgb, ([r, g, b]) => {
        const ours = convert(color('srgb', [r, g, b]), space);
        const theirs = new Reference('srgb', [r, g, b]).to(REFERENCE[space] ?? space).coords;
        const polarChroma =
          space === 'oklch' || space === 'lch' ? (ours.coords[1] ?? 0) / channels[1].max : 1;
        channels.forEach((channel, i) => {
          const mine = ours.coords[i];
          const other = theirs[i];
          if (
            mine === null ||
            mine === undefined ||
            other === null ||
            other === undefined ||
            Number.isNaN(other)
          )
            return;
          let off = Math.abs(mine - other);
          if (channel.id === 'h') {
            // The hue of a nearly grey colour is noise in both.
            if (polarChroma < 0.01 || Math.max(r, g, b) - Math.min(r, g, b) < 0.01) return;
            off = Math.min(off, 360 - off) / 360;
          } else off /= channel.max - channel.min;
          if (space === 'hsl' || space === 'hsv')
            if (Math.max(r, g, b) < 0.01 || Math.min(r, g, b) > 0.99) return;
          expect(off, `${channel.name} of rgb ${r} ${g} ${b}`).toBeLessThan(1e-6);
        });
        numbers(convert(ours, 'srgb')).forEach((v, i) => {
          expect(Math.abs(v - [r, g, b][i]!)).toBeLessThan(1e-6);
        });
      }),
      { numRuns: RUNS },
    );
  });

  it('writes and reads 8-bit colours without loss: all 16.7 million, or one in 61', () => {
    const wrong: string[] = [];
    for (let v = 0; v < 1 << 24; v += isLong ? 1 : 61) {
      const hex = `#${v.toString(16).padStart(6, '0')}`;
      const read = parseColor(hex);
      if (!read.ok || writeHex(read.color) !== hex) wrong.push(hex);
    }
    expect(wrong).toEqual([]);
  });

  it('maps into the gamut as the CSS method does, to ΔE OK 0.005', () => {
    // At no lightness at all the specification says black, and the other implementation a little more.
    const any = fc.tuple(
      unit.map((v) => 0.01 + v * 0.99),
      fc.double({ min: 0, max: 0.4, noNaN: true }),
      fc.double({ min: 0, max: 360, noNaN: true }),
    );
    fc.assert(
      fc.property(any, ([l, c, h]) => {
        const ours = toSrgb(color('oklch', [l, c, h]));
        const theirs = new Reference('oklch', [l, c, h]).to('srgb').toGamut({ method: 'css' }).coords as [
          number,
          number,
          number,
        ];
        const other = color(
          'srgb',
          theirs.map((v) => Math.min(1, Math.max(0, v))) as [number, number, number],
        );
        expect(deltaEOk(ours, other)).toBeLessThan(0.005);
      }),
      { numRuns: RUNS },
    );
  });

  it('agrees with the fast way from hex, and outlines the gamut', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 0xffffff }), (v) => {
        const hex = `#${v.toString(16).padStart(6, '0')}`;
        const slow = numbers(convert(readColor(hex), 'oklch'));
        const fast = rgb8ToOklch(v >> 16, (v >> 8) & 255, v & 255);
        expect(Math.abs(fast[0] - slow[0])).toBeLessThan(1e-9);
        expect(Math.abs(fast[1] - slow[1])).toBeLessThan(1e-6);
      }),
    );
    const outline = gamutOutline(200, 11);
    expect([...outline]).toEqual(Array.from({ length: 11 }, (_, i) => maxChroma(i / 10, 200)));
  });
});

describe('computed colours', () => {
  test.each([
    ['color-mix(in srgb, red, blue)', '#800080'],
    ['color-mix(in srgb, red 25%, blue)', '#4000bf'],
    ['color-mix(in srgb, red 20%, blue 20%)', '#80008066'],
    ['color-mix(in oklab, white, black)', '#636363'],
    ['color-mix(in hsl longer hue, red, lime)', '#0000ff'],
    ['color-mix(in hsl, red, lime)', '#ffff00'],
    ['color-mix(in srgb, #ff000080, transparent)', '#ff000040'],
    ['light-dark(#111111, #eeeeee)', '#111111'],
    ['rgb(from #336699 b g r)', '#996633'],
    ['rgb(from #336699 r g b / 50%)', '#33669980'],
    ['hsl(from red calc(h + 120) s l)', '#00ff00'],
    ['oklch(from #0b5f6b l 0 h)', '#545454'],
    ['color(from #336699 srgb calc(r * 2) g b)', '#666699'],
    ['color-mix(in srgb, color-mix(in srgb, red, blue), light-dark(white, black))', '#bf80bf'],
  ])('%s is %s', (text, hex) => {
    const result = parseColor(text);
    if (!result.ok) throw new Error(result.reason);
    expect(writeHex(result.color)).toBe(hex);
  });

  it('know the dark side, too', () => {
    const result = parseColor('light-dark(#111111, #eeeeee)', 'dark');
    expect(result.ok && writeHex(result.color)).toBe('#eeeeee');
  });

  test.each([
    ['rgb(var(--x) 0 0)', /variable of its page/],
    ['currentcolor', /not known here/],
    ['color-mix(red, blue)', /begins with "in"/],
    ['color-mix(in srgb, red)', /takes two colours; this has 1/],
    ['color-mix(in srgb, red 0%, blue 0%)', /both 0/],
    ['rgb(from nothing r g b)', /after "from"/],
    ['rgb(from red r g)', /needs three values/],
    ['rgb(from red r g q)', /"q"/],
    ['light-dark(red)', /takes two/],
    [`${'color-mix(in srgb, '.repeat(40)}red${', blue)'.repeat(40)}`, /nested too deeply/],
  ])('%s is refused with its reason', (text, reason) => {
    const result = parseColor(text);
    expect(!result.ok && result.reason).toMatch(reason);
  });

  it('agree with an independent implementation in every mixing space', () => {
    fc.assert(
      fc.property(
        rgb,
        rgb,
        unit,
        fc.constantFrom('srgb', 'oklab', 'lab', 'oklch', 'lch', 'srgb-linear'),
        (a, b, t, space) => {
          const text = (c: readonly number[]) => `color(srgb ${c.join(' ')})`;
          const ours = parseColor(`color-mix(in ${space}, ${text(a)}, ${text(b)} ${(t * 100).toFixed(4)}%)`);
          if (!ours.ok) throw new Error(ours.reason);
          const [x, y] = [new Reference('srgb', a), new Reference('srgb', b)];
          const theirs = x.mix(y, Number((t * 100).toFixed(4)) / 100, { space, outputSpace: 'oklab' });
          const other = color('oklab', theirs.coords as [number, number, number]);
          // Opposite hues may go either way round.
          const [h1, h2] = [x, y].map((c) => c.to('oklch').coords[2] ?? 0) as [number, number];
          if (/lch/.test(space) && Math.abs(Math.abs(h1 - h2) - 180) < 8) return;
          expect(deltaEOk(ours.color, other)).toBeLessThan(1e-4);
        },
      ),
      { numRuns: 1000 },
    );
  });
});

describe('writing', () => {
  it('gives fixed decimals and shortest hex', () => {
    expect(writeColor(readColor('#0b5f6b'), 'oklch')).toBe('oklch(0.44618 0.0741 210.316)');
    expect(writeHex(readColor('#aabbcc'), true)).toBe('#abc');
    expect(writeHex(readColor('#aabbccdd'), true)).toBe('#abcd');
    expect(writeHex(readColor('#aabbcd'), true)).toBe('#aabbcd');
  });
});

describe('difference', () => {
  // Sharma, Wu and Dalal 2005, table 1.
  it('finds the same near-twins as trying all pairs', () => {
    const lab = fc.tuple(
      unit,
      fc.double({ min: -0.1, max: 0.1, noNaN: true }),
      fc.double({ min: -0.1, max: 0.1, noNaN: true }),
    );
    fc.assert(
      fc.property(fc.array(lab, { maxLength: 40 }), (labs) => {
        const all: string[] = [];
        labs.forEach((p, a) => {
          labs.forEach((q, b) => {
            if (a < b && Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2]) < 0.05) all.push(`${a} ${b}`);
          });
        });
        expect(
          findTwins(labs, 0.05)
            .map(({ a, b }) => `${a} ${b}`)
            .sort(),
        ).toEqual(all.sort());
      }),
    );
  });

  it('knows Display P3 from sRGB', () => {
    expect(inGamut(readColor('color(display-p3 0 1 0)'))).toBe(false);
    expect(inGamut(readColor('color(display-p3 0 1 0)'), 'display-p3')).toBe(true);
  });
});
