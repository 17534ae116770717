import { oklchToRgb8, rgb8ToOklch, toRgb8 } from '../color/gamut.ts';
import { readColor } from '../color/parse.ts';
import type { Color } from '../color/spaces.ts';
import { hexOfRgb8 } from '../color/write.ts';
import { composite, contrastRatio, luminance, type Rgba } from '../contrast/ratio.ts';
import { mix } from '../gradient/interpolate.ts';
import { clamp01 } from '../numbers/clamp.ts';
import type { GrownShade } from './growth.ts';

/** Tints (towards white), shades (towards black) or tones (towards the grey of mid lightness). */
interface MixRecipe {
  readonly kind: 'mix';
  readonly towards: 'white' | 'black' | 'grey';
  /** 3 to 24 labels, each once, the base's first. */
  readonly labels: readonly string[];
  /** 0–1: how much of the other the last step has. */
  readonly reach: number;
}

/** The base laid over a ground, thinner from step to step. */
interface OpacityRecipe<G = string> {
  readonly kind: 'opacity';
  /** CSS text of an opaque colour, or something that comes to one. */
  readonly ground: G;
  /** 3 to 24 labels, each once, the base's (full opacity) first. */
  readonly labels: readonly string[];
  /** Opacity of the last step, 0–1. */
  readonly least: number;
}

/** Steps that reach given ratios on a ground. */
interface ContrastRecipe<G = string> {
  readonly kind: 'contrast';
  readonly ground: G;
  /** 3 to 24 labels and as many ratios from 1 to 21, rising. */
  readonly labels: readonly string[];
  readonly ratios: readonly number[];
}

export type Recipe<G = string> = MixRecipe | OpacityRecipe<G> | ContrastRecipe<G>;

export interface RecipeShade extends GrownShade {
  /** Opacity of the base that gives this colour over the ground; 1 for other recipes. */
  readonly opacity: number;
}

const rgbaOf = (c: Color): Rgba => {
  const [r, g, b] = toRgb8(c);
  return { r, g, b, alpha: 1 };
};

function shadeOf(label: string, { r, g, b }: Rgba, isBase: boolean, opacity = 1): RecipeShade {
  const [r8, g8, b8] = [Math.round(r), Math.round(g), Math.round(b)];
  return { label, hex: hexOfRgb8(r8, g8, b8), r: r8, g: g8, b: b8, isBase, opacity };
}

const OTHER: Record<MixRecipe['towards'], Rgba> = {
  white: { r: 255, g: 255, b: 255, alpha: 1 },
  black: { r: 0, g: 0, b: 0, alpha: 1 },
  // L* 50 and OKLCH 0.57: the grey that is neither light nor dark.
  grey: { r: 119, g: 119, b: 119, alpha: 1 },
};

const unit = (n: number) => clamp01(Number.isFinite(n) ? n : 0);

/** Mixes in OKLab, where equal parts look equally far apart; lightness moves one way from the base on. */
function growMix(base: Color, { towards, labels, reach }: MixRecipe): RecipeShade[] {
  const own = rgbaOf(base);
  const last = labels.length - 1;
  return labels.map((label, i) =>
    shadeOf(label, mix(own, OTHER[towards], (unit(reach) * i) / last, 'oklab'), i === 0),
  );
}

function growOpacity(base: Color, { ground, labels, least }: OpacityRecipe): RecipeShade[] {
  const own = rgbaOf(base);
  const beneath = rgbaOf(readColor(ground));
  const last = labels.length - 1;
  return labels.map((label, i) => {
    const opacity = 1 - ((1 - unit(least)) * i) / last;
    return shadeOf(label, composite({ ...own, alpha: opacity }, beneath), i === 0, opacity);
  });
}

/** The 8-bit colour of a hue that reaches a ratio on a ground with the least to spare, on the given side of it. */
function solveRatio(chroma: number, hue: number, ground: Rgba, ratio: number, darker: boolean): Rgba {
  const at = (l: number): Rgba => {
    const [r, g, bl] = oklchToRgb8(l, chroma, hue);
    return { r, g, b: bl, alpha: 1 };
  };
  // On this side the ratio grows from the ground's lightness to the end; rounding makes small steps of it.
  const [groundL] = rgb8ToOklch(ground.r, ground.g, ground.b);
  let near = groundL;
  let far = darker ? 0 : 1;
  for (let i = 0; i < 30; i++) {
    const middle = (near + far) / 2;
    if (contrastRatio(at(middle), ground) < ratio) near = middle;
    else far = middle;
  }
  return at(far);
}

/**
 * Solves each ratio for the base's hue, on the base's own side of the ground (the side with more room when it
 * is as light as the ground), and puts the base itself in the place of the step whose ratio is nearest to its
 * own. A ratio beyond what that side gives ends at black or white.
 */
function growContrast(base: Color, { ground, labels, ratios }: ContrastRecipe): RecipeShade[] {
  const own = rgbaOf(base);
  const beneath = rgbaOf(readColor(ground));
  const [, chroma, hue] = rgb8ToOklch(own.r, own.g, own.b);
  const [ownY, groundY] = [luminance(own), luminance(beneath)];
  const roomBelow = contrastRatio(OTHER.black, beneath) >= contrastRatio(OTHER.white, beneath);
  const darker = ownY === groundY ? roomBelow : ownY < groundY;
  const ownRatio = contrastRatio(own, beneath);
  let at = 0;
  ratios.forEach((ratio, i) => {
    if (Math.abs(Math.log(ratio / ownRatio)) < Math.abs(Math.log(ratios[at]! / ownRatio))) at = i;
  });
  return labels.map((label, i) =>
    i === at
      ? shadeOf(label, own, true)
      : shadeOf(label, solveRatio(chroma, hue, beneath, ratios[i]!, darker), false),
  );
}

/**
 * Grows shades by a recipe other than even lightness. Shades come in the order of the labels; the base is
 * exactly among them; all are inside sRGB. Throws a RangeError when labels are fewer than 3 or more than 24,
 * or not as many as the ratios, and a TypeError for a ground that is no colour.
 */
export function growByRecipe(base: Color, recipe: Recipe): RecipeShade[] {
  const n = recipe.labels.length;
  if (n < 3 || n > 24) throw new RangeError('A family has 3 to 24 shades.');
  switch (recipe.kind) {
    case 'mix':
      return growMix(base, recipe);
    case 'opacity':
      return growOpacity(base, recipe);
    case 'contrast':
      if (recipe.ratios.length !== n) throw new RangeError('As many ratios as labels are needed.');
      return growContrast(base, recipe);
  }
}
