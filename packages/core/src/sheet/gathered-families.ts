import { describeColor } from '../color/describe.ts';
import { rgb8ToOklch, toRgb8 } from '../color/gamut.ts';
import { rgbToOklab, type Triple } from '../color/kernel.ts';
import { fromRgb8, readColor } from '../color/parse.ts';
import { type GrownShade, growShades, type LightnessGrowth, USUAL_GROWTH } from '../family/growth.ts';
import type { LooseColor } from './counted-colors.ts';
import { withinRange } from './fitted-growth.ts';

/** A colour at the shade that it is nearest to. */
export interface SnappedColor extends LooseColor {
  readonly shade: string;
  /** ΔE OK between the two. */
  readonly distance: number;
}

/** A family that loose colours were gathered into. */
export interface GatheredFamily {
  readonly name: string;
  readonly base: string;
  readonly growth: LightnessGrowth;
  /** The largest distances first. */
  readonly snapped: readonly SnappedColor[];
}

/** Below this OKLCH chroma a colour counts as neutral. */
const NEUTRAL = 0.028;
/** Degrees of hue to either side of the leading colour that are still of its family. */
const REACH = 20;
/** ΔE OK beyond which a colour is not a shade of the family any more. */
const FARTHEST = 0.09;
const MOST_GATHERED = 16;

/** Black and white alone are no family. */
const isEnd = (l: number) => l < 0.001 || l > 0.999;

interface Placed extends LooseColor {
  readonly rgb: Triple;
  readonly lab: Triple;
  readonly lch: Triple;
}

const turnBetween = (a: number, b: number) => Math.abs(((a - b + 540) % 360) - 180);

/** How much a colour leads: what is written often and is colourful is what the others are shades of. */
const weight = ({ count, lch: [l, chroma] }: Placed) =>
  Math.sqrt(count) * (chroma + 0.01) * (1 - Math.abs(l - 0.58));

/** Growths that are tried: with the usual ends, and with those of the colours where they go further. */
function growthsFor(members: readonly Placed[]): LightnessGrowth[] {
  const lights = members.map(({ lch }) => lch[0]);
  const ends = [
    { lightest: USUAL_GROWTH.lightest, darkest: USUAL_GROWTH.darkest },
    { lightest: withinRange(Math.max(...lights), 0.9, 1), darkest: withinRange(Math.min(...lights), 0, 0.3) },
  ];
  return ends.flatMap((range) =>
    [0.15, 0.35, 0.6, 0.9, 1.2].flatMap((endChroma) =>
      [-20, -8, 0, 8, 20].map((hueDrift) => ({ ...USUAL_GROWTH, ...range, endChroma, hueDrift })),
    ),
  );
}

function nearestShade(lab: Triple, shades: readonly { readonly shade: GrownShade; readonly lab: Triple }[]) {
  let best = { label: '', distance: Number.POSITIVE_INFINITY };
  for (const { shade, lab: other } of shades) {
    const distance = Math.hypot(lab[0] - other[0], lab[1] - other[1], lab[2] - other[2]);
    if (distance < best.distance) best = { label: shade.label, distance };
  }
  return best;
}

/** The family of a group of colours whose growth comes nearest to them all. */
function familyOf(members: readonly Placed[], base: Placed): Omit<GatheredFamily, 'name'> {
  let best: { growth: LightnessGrowth; snapped: SnappedColor[]; sum: number } | null = null;
  for (const growth of growthsFor(members)) {
    const shades = growShades(fromRgb8(...base.rgb), growth).map((shade) => ({
      shade,
      lab: rgbToOklab(shade.r, shade.g, shade.b),
    }));
    const snapped = members.map(({ color, count, lab }) => {
      const { label, distance } = nearestShade(lab, shades);
      return { color, count, shade: label, distance };
    });
    const sum = snapped.reduce((total, { distance, count }) => total + distance * Math.sqrt(count), 0);
    if (!best || sum < best.sum) best = { growth, snapped, sum };
  }
  return { base: base.color, growth: best!.growth, snapped: best!.snapped };
}

/**
 * Gathers loose opaque colours into families by hue, the greys into one, and snaps each to the shade that it is nearest
 * to. Families come in the order of their weight in the sheet. What is too far from every shade, and what stands alone
 * and is written once, is left over.
 */
export function gatherFamilies(colors: readonly LooseColor[]): {
  readonly families: GatheredFamily[];
  readonly leftOver: LooseColor[];
} {
  const placed = colors.map((one): Placed => {
    const rgb = toRgb8(readColor(one.color));
    return { ...one, rgb, lab: rgbToOklab(...rgb), lch: rgb8ToOklch(...rgb) };
  });
  const neutrals = placed.filter(({ lch }) => lch[1] < NEUTRAL);
  let rest = placed.filter(({ lch }) => lch[1] >= NEUTRAL).sort((a, b) => weight(b) - weight(a));
  const groups: { base: Placed; members: Placed[] }[] = [];
  while (rest.length && groups.length < MOST_GATHERED) {
    const [base] = rest;
    const isOf = ({ lch }: Placed) => turnBetween(lch[2], base!.lch[2]) <= REACH;
    groups.push({ base: base!, members: rest.filter(isOf) });
    rest = rest.filter((one) => !isOf(one));
  }
  if (neutrals.length) {
    // The grey that leads is of middle lightness, so that shades are left on either side.
    const middle = neutrals.reduce((a, b) => (Math.abs(b.lch[0] - 0.6) < Math.abs(a.lch[0] - 0.6) ? b : a));
    groups.push({ base: middle, members: neutrals });
  }
  const leftOver: LooseColor[] = [...rest];
  const families: GatheredFamily[] = [];
  for (const { base, members } of groups) {
    if ((members.length === 1 && base.count < 2) || members.every(({ lch }) => isEnd(lch[0]))) {
      leftOver.push(...members);
      continue;
    }
    const family = familyOf(members, base);
    const near = family.snapped.filter(({ distance }) => distance <= FARTHEST);
    leftOver.push(...family.snapped.filter(({ distance }) => distance > FARTHEST));
    families.push({
      ...family,
      name: base.lch[1] < NEUTRAL ? 'Neutral' : hueName(base.rgb),
      snapped: [...near].sort((a, b) => b.distance - a.distance),
    });
  }
  return { families, leftOver: leftOver.map(({ color, count }) => ({ color, count })) };
}

/** The hue alone, of a colour's description. */
function hueName([r, g, b]: Triple): string {
  const words = describeColor(fromRgb8(r, g, b))
    .replace(/^(?:very dark|deep|light|pale) /, '')
    .replace(/^(?:greyish|muted|vivid) /, '');
  return words.charAt(0).toUpperCase() + words.slice(1);
}
