import { convert, numbers } from '../color/convert.ts';
import { maxChroma, rgb8ToOklch, toRgb8 } from '../color/gamut.ts';
import { oklabToLinear, polar } from '../color/kernel.ts';
import { fromRgb8 } from '../color/parse.ts';
import { type Color, color } from '../color/spaces.ts';
import { clamp } from '../numbers/clamp.ts';
import { type GrownColor, type GrownShade, paintApart } from './growth.ts';

/** Where a step of a drawn growth stands. */
export interface DrawnStep {
  /** OKLCH lightness, 0–1. */
  readonly lightness: number;
  /** OKLCH chroma in parts of the base's, which counts as {@link LEAST_CHROMA} at least; 0–10. */
  readonly chroma: number;
  /** Degrees of OKLCH hue from the base's, −180 to 180. */
  readonly turn: number;
}

/**
 * A growth with every step drawn on its own. The base takes the step whose lightness is nearest to its own, and chroma
 * and hue of the others are meant from there; lightnesses are as drawn, whatever the base.
 */
export interface DrawnGrowth {
  readonly kind: 'drawn';
  /** Shade labels from the lightest to the darkest, 3 to 24, each once. */
  readonly labels: readonly string[];
  /** One for each label; lightness falls from each to the next. */
  readonly steps: readonly DrawnStep[];
}

/** The chroma that a greyer base counts as having, so that its shades can be drawn with some. */
export const LEAST_CHROMA = 0.02;
/** The least that lightness falls from a drawn step to the next. */
const LEAST_FALL = 0.00001;
/** How far beyond 0 and 1 a linear channel may lie that is an 8-bit colour still. */
const ROUNDED = 0.0001;
const MOST_CHROMA = 10;

const turned = (degrees: number) => ((((degrees + 180) % 360) + 360) % 360) - 180;
const rounded = (n: number) => Math.round(n * 1e6) / 1e6;
const finite = (n: number, low: number, high: number) => clamp(Number.isFinite(n) ? n : low, low, high);

const isInside = (l: number, c: number, h: number) =>
  oklabToLinear(l, ...polar(c, h), [0, 0, 0]).every((v) => v >= -ROUNDED && v <= 1 + ROUNDED);

/** The place of the step that a base takes: the one whose lightness is nearest. */
function stepOfBase(steps: readonly DrawnStep[], lightness: number): number {
  let at = 0;
  steps.forEach((step, i) => {
    if (Math.abs(step.lightness - lightness) < Math.abs(steps[at]!.lightness - lightness)) at = i;
  });
  return at;
}

/**
 * Grows the shades of a family as they were drawn, lightest first, painted in 8-bit sRGB: the base is exactly among
 * them, and no two fall together. Labels fewer than 3 or more than 24, or not as many as the steps, are a RangeError.
 */
export function growDrawn(base: Color, { labels, steps }: DrawnGrowth): GrownShade[] {
  if (labels.length < 3 || labels.length > 24) throw new RangeError('A family has 3 to 24 shades.');
  if (steps.length !== labels.length) throw new RangeError('As many steps as labels are needed.');
  const painted = fromRgb8(...toRgb8(base));
  const [baseL, baseC, baseH] = numbers(convert(painted, 'oklch'));
  const at = stepOfBase(steps, baseL);
  const own = steps[at]!;
  const full = Math.max(LEAST_CHROMA, baseC);
  // What the base has of chroma against what its step was drawn with; the others go with it.
  const unit = (full * finite(baseC / full, 0.25, 4)) / finite(own.chroma, 0.25, 4);
  const grown = labels.map((label, i): GrownColor => {
    if (i === at) return { label, color: painted, isBase: true };
    const step = steps[i]!;
    const l = finite(step.lightness, 0, 1);
    const h = baseH + finite(step.turn, -180, 180) - finite(own.turn, -180, 180);
    const wanted = unit * finite(step.chroma, 0, MOST_CHROMA);
    // Where the gamut has a dent, colours beyond it are inside again: an 8-bit one stays what it is.
    const chroma = isInside(l, wanted, h) ? wanted : Math.min(wanted, maxChroma(l, h));
    return { label, color: color('oklch', [l, chroma, h]), isBase: false };
  });
  return paintApart(grown);
}

/**
 * The drawn growth by which a base grows the shades that it has now, to the bit unless two of them are alike; they are
 * put in order of lightness. One of the shades is the base.
 */
export function drawnFrom(shades: readonly GrownShade[]): DrawnGrowth {
  const base = shades.find(({ isBase }) => isBase) ?? shades[0]!;
  const [, baseC, baseH] = rgb8ToOklch(base.r, base.g, base.b);
  const unit = Math.max(LEAST_CHROMA, baseC);
  let above = Number.POSITIVE_INFINITY;
  const steps = shades.map(({ r, g, b }) => {
    const [l, c, h] = rgb8ToOklch(r, g, b);
    const lightness = rounded(Math.min(l, above - LEAST_FALL));
    above = lightness;
    return { lightness, chroma: rounded(c / unit), turn: rounded(turned(h - baseH)) };
  });
  return { kind: 'drawn', labels: shades.map(({ label }) => label), steps: lifted(steps) };
}

/** The steps raised where they would have gone below 0, so that lightness falls to the end. */
function lifted(steps: readonly DrawnStep[]): DrawnStep[] {
  let below = -LEAST_FALL;
  const out = [...steps];
  for (let i = out.length - 1; i >= 0; i--) {
    const lightness = rounded(Math.max(out[i]!.lightness, below + LEAST_FALL));
    out[i] = { ...out[i]!, lightness };
    below = lightness;
  }
  return out;
}

/** A drawn growth with one step moved: lightness is held between its neighbours', the rest in its ranges. */
export function withStepMoved(
  growth: DrawnGrowth,
  index: number,
  change: Partial<DrawnStep>,
  gap = 0.005,
): DrawnGrowth {
  const old = growth.steps[index];
  if (!old) return growth;
  const step = { ...old, ...change };
  const [above, below] = [growth.steps[index - 1], growth.steps[index + 1]];
  const most = above ? above.lightness - Math.min(gap, (above.lightness - old.lightness) / 2) : 1;
  const least = below ? below.lightness + Math.min(gap, (old.lightness - below.lightness) / 2) : 0;
  const moved = {
    lightness: rounded(finite(step.lightness, least, most)),
    chroma: rounded(finite(step.chroma, 0, MOST_CHROMA)),
    turn: rounded(finite(step.turn, -180, 180)),
  };
  return { ...growth, steps: growth.steps.map((one, i) => (i === index ? moved : one)) };
}

/** A drawn growth with a step halfway between one and the next darker one. */
export function withStepBetween(growth: DrawnGrowth, index: number, label: string): DrawnGrowth {
  const [a, b] = [growth.steps[index]!, growth.steps[index + 1]!];
  const middle = {
    lightness: (a.lightness + b.lightness) / 2,
    chroma: rounded((a.chroma + b.chroma) / 2),
    turn: rounded(turned(a.turn + turned(b.turn - a.turn) / 2)),
  };
  const at = index + 1;
  return {
    kind: 'drawn',
    labels: [...growth.labels.slice(0, at), label, ...growth.labels.slice(at)],
    steps: [...growth.steps.slice(0, at), middle, ...growth.steps.slice(at)],
  };
}

/** A drawn growth without one of its steps. */
export function withoutStep({ labels, steps }: DrawnGrowth, index: number): DrawnGrowth {
  const rest = <T>(list: readonly T[]) => list.filter((_, i) => i !== index);
  return { kind: 'drawn', labels: rest(labels), steps: rest(steps) };
}

/** What numbers of a scale are multiples of, the roundest first. */
const ROUND = [1000, 500, 100, 50, 25, 10, 5, 1, 0.5, 0.25, 0.1, 0.05, 0.01];

/** The roundest number well between two others, as near to their middle as it can be. */
function roundBetween(a: number, b: number): number {
  const middle = (a + b) / 2;
  const reach = Math.abs(b - a) / 4;
  for (const unit of ROUND) {
    const near = Math.round(middle / unit) * unit;
    if (Math.abs(near - middle) <= reach) return rounded(near);
  }
  return rounded(middle);
}

/**
 * A label for a shade between two others, that none of them has: the roundest number between theirs, or the first
 * one's with what tells it from them, of at most 24 characters.
 */
export function labelBetween(labels: readonly string[], index: number): string {
  const [a, b] = [labels[index]!, labels[index + 1]!];
  const [from, to] = [a, b].map((label) => (label.trim() === '' ? Number.NaN : Number(label))) as [
    number,
    number,
  ];
  const wanted = Number.isFinite(from) && Number.isFinite(to) ? String(roundBetween(from, to)) : null;
  if (wanted !== null && !labels.includes(wanted)) return wanted;
  // Words that come of two are made once; after that they are counted.
  const isMade = a.includes('-') || b.includes('-');
  const stem = (wanted ?? (isMade ? a.replace(/-.*$/, '') : `${a}-${b}`)).slice(0, 20);
  if (!labels.includes(stem)) return stem;
  let n = 2;
  while (labels.includes(`${stem}-${n}`)) n++;
  return `${stem}-${n}`;
}
