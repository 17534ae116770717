import { refused } from '../refused-picture.ts';

/** Pixels of noise of one octave, at most, in all filters of a drawing: some ten seconds of painting. */
const MOST_NOISE = 12_000_000;

/** What one more octave costs, in parts of what noise costs at all; measured. */
const OCTAVE = 0.3;

const NOISE = /<(?:[\w-]+:)?feTurbulence\b([^>]*)/g;
const OCTAVES = /\bnumOctaves\s*=\s*["']\s*(\d{1,9})/;

/**
 * Pixels of noise that the filters of an SVG would have to work out at a size in px, each filter once and over all of
 * it. Noise is what makes a drawing of a few bytes cost minutes; what else does is given up when it takes too long.
 */
export function noiseOf(svg: string, width: number, height: number): number {
  let cost = 0;
  for (const [, attributes = ''] of svg.matchAll(NOISE)) {
    const octaves = Number(OCTAVES.exec(attributes)?.[1] ?? 1);
    cost += 1 + OCTAVE * Math.max(0, octaves - 1);
  }
  return cost * width * height;
}

/** Refuses a drawing whose noise would take too long, before it is painted. */
export function checkNoise(svg: string, width: number, height: number): void {
  const noise = noiseOf(svg, width, height);
  if (noise > MOST_NOISE) throw refused.noise(noise, width, height, MOST_NOISE);
}
