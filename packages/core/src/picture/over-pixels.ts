import { contrastRatio, luminance, paintedOver, type Rgba, ratioOfLuminances } from '../contrast/ratio.ts';

/** The worst contrast of a text over pixels. */
export interface WorstContrast {
  readonly ratio: number;
  /** Index of the pixel. */
  readonly at: number;
  readonly ground: Rgba;
}

/** Every colour of a region of RGBA pixels as it is painted on an opaque ground, once, with the index of a pixel. */
function* groundsIn(
  pixels: Uint8ClampedArray | Uint8Array,
  beneath: Rgba,
): Generator<[index: number, ground: Rgba]> {
  if (pixels.length < 4) throw new RangeError('The region has no pixels.');
  const seen = new Map<number, number>();
  for (let i = 0; i + 3 < pixels.length; i += 4) {
    const key = pixels[i]! * 0x1000000 + pixels[i + 1]! * 0x10000 + pixels[i + 2]! * 0x100 + pixels[i + 3]!;
    if (!seen.has(key)) seen.set(key, i / 4);
  }
  for (const index of seen.values()) {
    const [r, g, b, a] = pixels.subarray(index * 4, index * 4 + 4);
    yield [index, paintedOver({ r: r!, g: g!, b: b!, alpha: a! / 255 }, beneath)];
  }
}

/**
 * The worst ratio of each of several opaque texts over a region of RGBA pixels, as {@link worstOverPixels} has them
 * one by one, for about the cost of one.
 */
export function worstOfEach(
  texts: readonly Rgba[],
  pixels: Uint8ClampedArray | Uint8Array,
  beneath: Rgba,
): number[] {
  const worst = texts.map(() => Number.POSITIVE_INFINITY);
  const own = texts.map(luminance);
  for (const [, ground] of groundsIn(pixels, beneath)) {
    const y = luminance(ground);
    for (let i = 0; i < worst.length; i++) worst[i] = Math.min(worst[i]!, ratioOfLuminances(own[i]!, y));
  }
  return worst;
}

/**
 * The worst WCAG ratio of a text over a region of RGBA pixels (4 bytes each, not premultiplied) lying on an
 * opaque ground, with the index of that pixel. Throws a RangeError for a region without pixels.
 */
export function worstOverPixels(
  text: Rgba,
  pixels: Uint8ClampedArray | Uint8Array,
  beneath: Rgba,
): WorstContrast {
  let worst: WorstContrast | null = null;
  for (const [index, ground] of groundsIn(pixels, beneath)) {
    const ratio = contrastRatio(paintedOver(text, ground), ground);
    if (!worst || ratio < worst.ratio) worst = { ratio, at: index, ground };
  }
  return worst!;
}
