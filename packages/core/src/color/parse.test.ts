import Reference from 'colorjs.io';
import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { runs } from '../../test/runs.ts';
import { convert, numbers } from './convert.ts';
import { parseColor, readColor } from './parse.ts';
import type { Color } from './spaces.ts';
import { canonical, fromPlainCmyk, plainCmyk, writeColor, writeHex } from './write.ts';

function parsed(text: string): Color {
  const result = parseColor(text);
  if (!result.ok) throw new Error(`${text}: ${result.reason}`);
  return result.color;
}

describe('reading CSS colours', () => {
  test.each([
    ['#0B5F6B', '#0b5f6b'],
    ['0b5f6b', '#0b5f6b'],
    ['#abc', '#aabbcc'],
    ['#abcd', '#aabbccdd'],
    ['#0b5f6b80', '#0b5f6b80'],
    ['tomato', '#ff6347'],
    ['ReBeCcApUrPlE', '#663399'],
    ['transparent', '#00000000'],
    ['rgb(11, 95, 107)', '#0b5f6b'],
    ['rgb(11 95 107 / 50%)', '#0b5f6b80'],
    ['rgba(11, 95, 107, .5)', '#0b5f6b80'],
    ['rgb(100% 0% 0%)', '#ff0000'],
    ['hsl(120deg 100% 25%)', '#008000'],
    ['hsl(0.5turn, 100%, 50%)', '#00ffff'],
    ['hwb(120 0% 50%)', '#008000'],
    ['lab(50% 0 0)', '#777777'],
    ['oklch(0.628 0.2577 29.23)', '#ff0000'],
    ['oklab(1 0 0)', '#ffffff'],
    ['color(srgb 1 0.5 0)', '#ff8000'],
    ['color(srgb-linear 1 1 1)', '#ffffff'],
    ['color(display-p3 1 1 1)', '#ffffff'],
    ['rgb(none 0 0)', '#000000'],
  ])('%s is %s', (text, hex) => {
    expect(writeHex(parsed(text))).toBe(hex);
  });

  test.each([
    ['', /Nothing/],
    ['#CFF00', /3, 4, 6 or 8 digits; this has 5/],
    ['#ggg', /"g" is not a hex digit/],
    ['rgb(300 0 0 0 0)', /5 values/],
    ['rgb(1 2)', /needs red, green and blue; this has 2/],
    ['rgb(1 2 x)', /"x" is neither/],
    ['blurple-ish', /not a colour that CSS knows/],
    ['x'.repeat(500), /too long/],
  ])('%j is refused with its reason', (text, reason) => {
    const result = parseColor(text);
    expect(result.ok).toBe(false);
    expect(!result.ok && result.reason).toMatch(reason);
  });

  it('never throws and never returns NaN, whatever the text', () => {
    const piece = fc.oneof(
      fc.string(),
      fc.constantFrom(
        'rgb(',
        'hsl(',
        'oklch(',
        'color(',
        ')',
        '#',
        '/',
        ',',
        '%',
        'deg',
        'none',
        'NaN',
        '1e999',
        '-',
      ),
      fc.double().map(String),
    );
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 12 }), (pieces) => {
        const result = parseColor(pieces.join(''));
        if (result.ok)
          for (const v of [...result.color.coords, result.color.alpha])
            expect(v === null || Number.isFinite(v)).toBe(true);
        else expect(result.reason.length).toBeGreaterThan(5);
      }),
      { numRuns: runs(20_000) },
    );
  });
});

const rgb8 = fc.tuple(...[0, 1, 2].map(() => fc.integer({ min: 0, max: 255 })));
const hexOf = (channels: readonly number[]) =>
  `#${channels.map((v) => v.toString(16).padStart(2, '0')).join('')}`;

describe('writing colours', () => {
  it('writes every 8-bit colour so that reading gives it back, in every notation of the lamp', () => {
    const spaces = ['srgb', 'hsl', 'hwb', 'oklch', 'oklab', 'lch', 'lab', 'display-p3'] as const;
    fc.assert(
      fc.property(rgb8, fc.constantFrom(...spaces), (channels, space) => {
        const hex = hexOf(channels);
        expect(writeHex(readColor(writeColor(readColor(hex), space)))).toBe(hex);
      }),
      { numRuns: runs(3000) },
    );
  });

  it('keeps one canonical spelling', () => {
    expect(canonical(parsed('rgb(11 95 107)'))).toBe('#0b5f6b');
    expect(canonical(parsed('rgb(11 95 107 / 0.4)'))).toBe('#0b5f6b66');
    expect(canonical(parsed('rgb(11 95 107 / 0.333)'))).toBe('rgb(11 95 107 / 0.333)');
    expect(canonical(parsed('oklch(0.7 0.35 150)'))).toBe('oklch(0.7 0.35 150)');
  });

  it('gives plain CMYK that leads back', () => {
    expect(plainCmyk(parsed('#ff8000')).map(Math.round)).toEqual([0, 50, 100, 0]);
    expect(plainCmyk(parsed('#000'))).toEqual([0, 0, 0, 100]);
    fc.assert(
      fc.property(rgb8, (channels) => {
        const back = fromPlainCmyk(...plainCmyk(readColor(hexOf(channels)))).map((v) => Math.round(v * 255));
        expect(back).toEqual(channels);
      }),
    );
  });
});

describe('converting', () => {
  test.each([
    ['oklch', 'oklch'],
    ['oklab', 'oklab'],
    ['display-p3', 'p3'],
    ['xyz-d65', 'xyz-d65'],
    ['hsl', 'hsl'],
    ['hwb', 'hwb'],
  ] as const)('to %s agrees with an independent implementation to 1e-6', (space, reference) => {
    fc.assert(
      fc.property(rgb8, (channels) => {
        const ours = numbers(convert(readColor(hexOf(channels)), space));
        const theirs = new Reference('srgb', channels.map((v) => v / 255) as [number, number, number]).to(
          reference,
        );
        theirs.coords.forEach((v, i) => {
          // Both leave the hue of a grey open.
          if (v !== null && !Number.isNaN(v) && Math.max(...channels) !== Math.min(...channels))
            expect(Math.abs(v - ours[i]!)).toBeLessThan(1e-6 * (space === 'oklch' && i === 2 ? 1000 : 1));
        });
      }),
      { numRuns: runs(1000) },
    );
  });
});
