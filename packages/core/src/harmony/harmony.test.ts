import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { runs } from '../../test/runs.ts';
import { inGamut, rgb8ToOklch, toRgb8 } from '../color/gamut.ts';
import { rgbToOklab, type Triple } from '../color/kernel.ts';
import { fromRgb8, readColor } from '../color/parse.ts';
import { writeHex } from '../color/write.ts';
import { luminance, ratioOfLuminances } from '../contrast/ratio.ts';
import { factsOf } from './facts.ts';
import { inBetween } from './in-between.ts';
import { type Proposal, type ProposalRecipe, proposals } from './proposals.ts';
import { between, type Relation, related } from './relations.ts';
import { hueRibbon } from './ribbon.ts';
import { tintsOf } from './tints.ts';

const channel = fc.integer({ min: 0, max: 255 });
const any = fc.tuple(channel, channel, channel).map(([r, g, b]) => fromRgb8(r, g, b));
const hueOf = (text: string) => rgb8ToOklch(...toRgb8(readColor(text)))[2];

describe('relations', () => {
  test.each<[Relation, object, number[]]>([
    ['complementary', {}, [0, 180]],
    ['split-complementary', {}, [0, 150, 210]],
    ['split-complementary', { angle: 20 }, [0, 160, 200]],
    ['analogous', { count: 5, angle: 15 }, [0, 15, -15, 30, -30]],
    ['triadic', {}, [0, 120, 240]],
    ['tetradic', { angle: 60 }, [0, 60, 180, 240]],
    ['square', {}, [0, 90, 180, 270]],
  ])('%s %j turns the hue by %j', (relation, options, turns) => {
    const own = readColor('#6a7f86');
    const hues = related(own, relation, options).map((c) => hueOf(writeHex(c)));
    hues.forEach((hue, i) => {
      const off = ((((hue - hues[0]! - turns[i]!) % 360) + 540) % 360) - 180;
      expect(Math.abs(off)).toBeLessThan(4);
    });
  });

  it('are inside sRGB, begin with the colour itself, and keep its lightness', () => {
    const relation = fc.constantFrom<Relation>(
      'complementary',
      'split-complementary',
      'analogous',
      'triadic',
      'tetradic',
      'square',
      'monochromatic',
    );
    fc.assert(
      fc.property(any, relation, fc.nat(20), fc.nat(120), (c, kind, count, angle) => {
        const all = related(c, kind, { count, angle });
        expect(writeHex(all[0]!)).toBe(writeHex(c));
        const [l] = rgb8ToOklch(...toRgb8(c));
        for (const other of all) {
          expect(inGamut(other)).toBe(true);
          if (kind === 'monochromatic') continue;
          const rgb = toRgb8(other);
          // No nearer in 8 bits: with every channel one lower it is darker, with every channel one higher lighter.
          const step = (by: number) =>
            rgb8ToOklch(...(rgb.map((v) => Math.min(255, Math.max(0, v + by))) as Triple))[0];
          expect(step(-1)).toBeLessThanOrEqual(l + 1e-9);
          expect(step(1)).toBeGreaterThanOrEqual(l - 1e-9);
          // Away from black that is less than anyone sees.
          if (l >= 0.15) expect(Math.abs(rgb8ToOklch(...rgb)[0] - l)).toBeLessThan(0.012);
        }
      }),
      { numRuns: 500 },
    );
  });

  it('have a colour between two others', () => {
    expect(writeHex(between(readColor('#000'), readColor('#fff')))).toBe('#636363');
    expect(writeHex(between(readColor('#0b5f6b'), readColor('#e2552b'), 0))).toBe('#0b5f6b');
    expect(writeHex(between(readColor('#0b5f6b'), readColor('#e2552b'), 1))).toBe('#e2552b');
  });
});

describe('proposals', () => {
  const channels = fc.tuple(channel, channel, channel) as fc.Arbitrary<Triple>;
  const recipes = fc.record<ProposalRecipe>({
    seed: fc.integer(),
    count: fc.integer({ min: 3, max: 12 }),
    stray: fc.double({ min: 0, max: 1, noNaN: true }),
    kept: fc.array(channels, { maxLength: 4 }),
    free: fc.array(channels, { maxLength: 5 }),
    way: fc.constantFrom('fresh', 'like', 'away', 'mix'),
    of: fc.array(fc.array(channels, { maxLength: 8 }), { maxLength: 2 }),
  });
  const lab = (c: Readonly<Triple>) => rgbToOklab(c[0], c[1], c[2]);
  const apart = (a: Readonly<Triple>, b: Readonly<Triple>) =>
    Math.hypot(...lab(a).map((v, i) => v - lab(b)[i]!));
  const rgba = ([r, g, b]: Readonly<Triple>) => ({ r, g, b, alpha: 1 });

  it('keep what is kept, carry text, hold no near-twins, and none repeats another: in any round', () => {
    fc.assert(
      fc.property(recipes, (recipe) => {
        const made = proposals(recipe, 9);
        const { kept, free } = recipe;
        const least = Math.max(recipe.count, kept.length + free.length);
        for (const { colors } of made) {
          expect(colors.slice(0, kept.length)).toEqual(kept);
          expect(colors.length).toBeGreaterThanOrEqual(least);
          expect(colors.length).toBeLessThanOrEqual(least + 2);
          const lights = colors.map((c) => luminance(rgba(c)));
          expect(ratioOfLuminances(Math.max(...lights), Math.min(...lights))).toBeGreaterThanOrEqual(7);
          const labs = colors.map(lab);
          const between = labs.flatMap((a, i) =>
            labs.slice(Math.max(i + 1, kept.length)).map((b) => Math.hypot(...a.map((v, k) => v - b[k]!))),
          );
          expect(Math.min(1, ...between)).toBeGreaterThan(0.0209);
        }
        const others = made.flatMap(({ colors: a }, i) =>
          made
            .slice(i + 1)
            .filter(({ colors: b }) => a.length === b.length)
            .map(({ colors: b }) => {
              const fresh = a.slice(kept.length).map((c, k) => apart(c, b[k + kept.length]!));
              return fresh.reduce((sum, d) => sum + d, 0) / fresh.length;
            }),
        );
        expect(Math.min(1, ...others)).toBeGreaterThanOrEqual(0.0299);
        // There is room for a round whenever something is free.
        if (free.length || recipe.count > kept.length + 1) expect(made.length).toBe(9);
        expect(proposals(recipe, 9)).toEqual(made);
      }),
      { numRuns: runs(10_000) },
    );
  });

  it('stray as far as they may, and go by earlier ones as they are asked to', () => {
    const free = ['#0b5f6b', '#e2552b', '#d9c7a0', '#3d4a4d'].map((text) => toRgb8(readColor(text)));
    const base: ProposalRecipe = { seed: 4, count: 4, stray: 0.1, kept: [], free, way: 'fresh', of: [] };
    /** How far free colours are moved in the mean. */
    const moved = (made: readonly Proposal[], from: readonly Readonly<Triple>[]) =>
      made.reduce((sum, { colors }) => sum + from.reduce((all, c, i) => all + apart(c, colors[i]!), 0), 0) /
      (made.length * from.length);
    expect(moved(proposals(base, 12), free)).toBeLessThan(
      moved(proposals({ ...base, stray: 0.9 }, 12), free) / 2,
    );
    const [one, two] = proposals({ ...base, stray: 0.8 }, 2).map(({ colors }) => colors.slice(0, 4));
    const by = (way: ProposalRecipe['way'], ...of: (readonly Readonly<Triple>[])[]) =>
      proposals({ ...base, seed: 9, stray: 0.5, way, of }, 9);
    expect(moved(by('like', one!), one!)).toBeLessThan(0.09);
    expect(moved(by('away', one!), one!)).toBeGreaterThan(0.2);
    const between = by('mix', one!, two!);
    expect(moved(between, one!) + moved(between, two!)).toBeLessThan(moved(by('away', one!), one!) * 2);
  });

  it('are others for another seed', () => {
    const base: ProposalRecipe = { seed: 1, count: 5, stray: 0.5, kept: [], free: [], way: 'fresh', of: [] };
    expect(proposals(base, 9)).not.toEqual(proposals({ ...base, seed: 2 }, 9));
  });
});

describe('the hue ribbon', () => {
  it('has all hues at one lightness, each with as much of the chroma as sRGB has', () => {
    const ribbon = hueRibbon(0.7, 0.2, 37);
    expect([ribbon[0]!.hue, ribbon.at(-1)!.hue]).toEqual([0, 360]);
    for (const { hue, css, reach } of ribbon) {
      const [l, c] = rgb8ToOklch(...toRgb8(readColor(css)));
      expect(Math.abs(l - 0.7)).toBeLessThan(0.01);
      expect(Math.abs(c - 0.2 * reach), String(hue)).toBeLessThan(0.008);
    }
    expect(ribbon.some(({ reach }) => reach < 0.8)).toBe(true);
    expect(hueRibbon(0.7, 0.02).every(({ reach }) => reach === 1)).toBe(true);
  });
});

describe('the facts of some colours', () => {
  const rgb = (text: string) => {
    const [r, g, b] = toRgb8(readColor(text));
    return { r, g, b, alpha: 1 };
  };
  it('say what carries text, what is alike, and what is so without red-green vision', () => {
    const facts = factsOf(['#0b5f6b', '#0c606c', '#ffd24a', '#c03a2b', '#6b6a1e'].map(rgb));
    expect(facts.onWhite[0]).toBeGreaterThan(4.5);
    expect(facts.onWhite[2]).toBeLessThan(4.5);
    expect(facts.onBlack[2]).toBeGreaterThan(4.5);
    expect(facts.twins.map(({ a, b }) => [a, b])).toEqual([[0, 1]]);
    const seen = factsOf(['#b5651d', '#6b8e23'].map(rgb));
    expect(seen.twins).toEqual([]);
    expect(factsOf(['#0b5f6b', '#ffd24a'].map(rgb)).redGreen).toEqual([]);
  });

  it('name a pair that red-green vision alone tells apart once', () => {
    // Found by search: far apart for most, near for those without red-green vision.
    let found = 0;
    for (let hue = 0; hue < 360 && found < 3; hue += 5) {
      const colors = [rgb(`oklch(0.6 0.12 ${hue})`), rgb(`oklch(0.6 0.12 ${360 - hue})`)];
      const { redGreen } = factsOf(colors);
      expect(redGreen.length).toBeLessThanOrEqual(1);
      found += redGreen.length;
    }
    expect(found).toBeGreaterThan(0);
  });
});

describe('colours in between two others', () => {
  const channels = fc.tuple(channel, channel, channel);
  it('are as far from each other as the eye can tell, in order', () => {
    fc.assert(
      fc.property(channels, channels, fc.integer({ min: 1, max: 9 }), (a, b, count) => {
        const [from, to] = [fromRgb8(...a), fromRgb8(...b)];
        const all = [from, ...inBetween(from, to, count), to].map((c) => rgbToOklab(...toRgb8(c)));
        expect(all).toHaveLength(count + 2);
        const steps = all.slice(1).map((c, i) => Math.hypot(...c.map((v, k) => v - all[i]![k]!)));
        const mean = steps.reduce((sum, step) => sum + step, 0) / steps.length;
        // In 8 bits a step is off by what one of a channel comes to, which near black is much.
        for (const step of steps) expect(Math.abs(step - mean)).toBeLessThan(0.03 + mean * 0.12);
      }),
      { numRuns: runs(2000) },
    );
    expect(inBetween(readColor('#000'), readColor('#fff'), 1).map((c) => writeHex(c))).toEqual(['#636363']);
  });
});

describe('tints, tones and shades', () => {
  it('go a quarter, a half and three quarters of the way to white, mid-grey and black', () => {
    const all = tintsOf(readColor('#e2552b'));
    expect(all.map(({ kind, part }) => `${kind} ${part}`)).toEqual(
      ['tint', 'tone', 'shade'].flatMap((kind) => [0.25, 0.5, 0.75].map((part) => `${kind} ${part}`)),
    );
    const light = all.map(({ color }) => rgb8ToOklch(...toRgb8(color))[0]);
    const own = rgb8ToOklch(...toRgb8(readColor('#e2552b')))[0];
    expect(light.slice(0, 3).every((l, i, list) => l > (list[i - 1] ?? own))).toBe(true);
    expect(light.slice(6).every((l, i, list) => l < (list[i - 1] ?? own))).toBe(true);
    const chroma = all.slice(3, 6).map(({ color }) => rgb8ToOklch(...toRgb8(color))[1]);
    expect(chroma[0]! > chroma[1]! && chroma[1]! > chroma[2]!).toBe(true);
  });
});
