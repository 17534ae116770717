import { describeColor } from '../color/describe.ts';
import { rgb8ToOklch, toRgb8 } from '../color/gamut.ts';
import { rgbToOklab, type Triple } from '../color/kernel.ts';
import { fromRgb8, readColor } from '../color/parse.ts';
import { hexOfRgb8 } from '../color/write.ts';
import { LEAST_SHADES, MOST_SHADES } from '../document/limits.ts';
import { type GrownShade, growShades, type LightnessGrowth, USUAL_GROWTH } from '../family/growth.ts';
import type { LooseColor } from './counted-colors.ts';
import { fitGrowth } from './fitted-growth.ts';

/** A colour at the shade that it is nearest to. */
export interface SnappedColor extends LooseColor {
  readonly shade: string;
  /** ΔE OK between the two. */
  readonly distance: number;
  /** The colour of the sheet that it becomes, where it is another. */
  readonly into?: string;
}

/** A family that loose colours were gathered into. */
export interface GatheredFamily {
  readonly name: string;
  readonly base: string;
  readonly growth: LightnessGrowth;
  readonly handSet: Readonly<Record<string, string>>;
  readonly snapped: readonly SnappedColor[];
}

/** Below this OKLCH chroma a colour counts as neutral. */
const NEUTRAL = 0.028;
/** Degrees of hue to either side of the leading colour that are still of its family. */
const REACH = 20;
/** Hues that colours are gathered by. */
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

/** Labels by lightness, 0 for white to 1000 for black, the lightest first, each once. */
function labelsOf(members: readonly Placed[]): string[] {
  let last = -1;
  return members.map(({ lch: [l] }) => {
    last = Math.max(last + 1, Math.round((1 - l) * 100) * 10);
    return String(last);
  });
}

function nearestShade(lab: Triple, shades: readonly { readonly shade: GrownShade; readonly lab: Triple }[]) {
  let best = { label: '', distance: Number.POSITIVE_INFINITY };
  for (const { shade, lab: other } of shades) {
    const distance = Math.hypot(lab[0] - other[0], lab[1] - other[1], lab[2] - other[2]);
    if (distance < best.distance) best = { label: shade.label, distance };
  }
  return best;
}

/** The usual shades of a family with too few colours for shades of their own, which are set by hand where they lie nearest. */
function amongUsual(members: readonly Placed[], base: Placed): Omit<GatheredFamily, 'name'> {
  const shades = growShades(fromRgb8(...base.rgb), USUAL_GROWTH).map((shade) => ({
    shade,
    lab: rgbToOklab(shade.r, shade.g, shade.b),
  }));
  const handSet: Record<string, string> = {};
  const taken = new Set<string>();
  const snapped = [base, ...members.filter((one) => one !== base)].map(({ color, count, lab }) => {
    const free = shades.filter(({ shade }) => !taken.has(shade.label));
    const { label, distance } = nearestShade(lab, free);
    taken.add(label);
    const { shade } = shades.find((one) => one.shade.label === label)!;
    if (distance > 0 || !isHex(color, shade)) handSet[label] = color;
    return { color, count, shade: label, distance: 0 };
  });
  return { base: base.color, growth: USUAL_GROWTH, handSet, snapped };
}

const isHex = (color: string, { r, g, b }: GrownShade) => color === hexOfRgb8(r, g, b);

/** A family of just these colours: a shade for each, set by hand where growth gives another. */
function familyOf(members: readonly Placed[], base: Placed): Omit<GatheredFamily, 'name'> {
  if (members.length < LEAST_SHADES) return amongUsual(members, base);
  const sorted = [...members].sort((a, b) => b.lch[0] - a.lch[0]);
  const labels = labelsOf(sorted);
  const { growth, handSet, ...fitted } = fitGrowth(
    labels,
    sorted.map(({ color }) => color),
    [sorted.indexOf(base)],
  );
  const snapped = sorted.map(({ color, count }, i) => ({ color, count, shade: labels[i]!, distance: 0 }));
  return { base: sorted[fitted.base]!.color, growth, handSet, snapped };
}

/** Members in families of as many shades as one can have: the more colourful from the paler. */
function apart(members: readonly Placed[]): Placed[][] {
  const count = Math.ceil(members.length / MOST_SHADES);
  if (count === 1) return [[...members]];
  const sorted = [...members].sort((a, b) => b.lch[1] - a.lch[1]);
  const size = Math.ceil(sorted.length / count);
  return Array.from({ length: count }, (_, i) => sorted.slice(i * size, (i + 1) * size));
}

/**
 * Gathers loose opaque colours into families by hue, the greys into one, each colour a shade as it is. Families come in the
 * order of their weight in the sheet. What stands alone and is written once is left over, and so is what is beyond as many
 * families as one keeps an eye on.
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
  const groups: Placed[][] = [];
  while (rest.length && groups.length < MOST_GATHERED) {
    const [base] = rest;
    const isOf = ({ lch }: Placed) => turnBetween(lch[2], base!.lch[2]) <= REACH;
    groups.push(...apart(rest.filter(isOf)));
    rest = rest.filter((one) => !isOf(one));
  }
  if (neutrals.length) groups.push(...apart(neutrals));
  const leftOver: LooseColor[] = [...rest];
  const families: GatheredFamily[] = [];
  for (const members of groups) {
    const isAlone = members.length === 1 && members[0]!.count < 2;
    if (isAlone || members.every(({ lch }) => isEnd(lch[0]))) {
      leftOver.push(...members);
      continue;
    }
    const isGrey = members.every(({ lch }) => lch[1] < NEUTRAL);
    // The grey that leads is of middle lightness, so that shades are left on either side.
    const base = members.reduce((a, b) =>
      (isGrey ? Math.abs(b.lch[0] - 0.6) < Math.abs(a.lch[0] - 0.6) : weight(b) > weight(a)) ? b : a,
    );
    families.push({ name: isGrey ? 'Neutral' : hueName(base.rgb), ...familyOf(members, base) });
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
