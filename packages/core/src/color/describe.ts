import { rgb8ToOklch, toRgb8 } from './gamut.ts';
import { readColor } from './parse.ts';
import type { Color } from './spaces.ts';

/** Hue words by the OKLCH hue at which each begins, chosen by eye at mid lightness. */
const HUES: readonly [number, string][] = [
  [0, 'pink'],
  [14, 'red'],
  [31, 'orange-red'],
  [52, 'orange'],
  [75, 'amber'],
  [98, 'yellow'],
  [116, 'yellow-green'],
  [135, 'green'],
  [163, 'sea green'],
  [186, 'blue-green'],
  [216, 'sky blue'],
  [243, 'blue'],
  [282, 'violet'],
  [308, 'purple'],
  [330, 'magenta'],
  [350, 'pink'],
];

function depth(l: number): string {
  if (l < 0.25) return 'very dark';
  if (l < 0.45) return 'deep';
  if (l < 0.62) return '';
  if (l < 0.8) return 'light';
  return 'pale';
}

function strength(chroma: number): string {
  if (chroma < 0.045) return 'greyish';
  if (chroma < 0.095) return 'muted';
  if (chroma < 0.17) return '';
  return 'vivid';
}

/** How far beyond its border a description reaches once it has been given: lightness, chroma, degrees of hue. */
const HOLD = [0.012, 0.012, 4] as const;

/**
 * A plain description of a colour in words that need no training, such as "deep muted blue-green". Alpha is
 * left out; a colour outside sRGB is described as it is shown. Given the words of a moment ago, it keeps them
 * as long as they nearly fit, so that they do not flicker while a colour is dragged along a border.
 */
export function describeColor(c: Color, before?: string): string {
  const [l, chroma, hue] = rgb8ToOklch(...toRgb8(c));
  const words = wordsFor(l, chroma, hue);
  if (before === undefined || before === words) return words;
  const around = [-1, 0, 1];
  const fits = around.some((i) =>
    around.some((j) =>
      around.some((k) => {
        const turned = (hue + k * HOLD[2] + 360) % 360;
        return wordsFor(l + i * HOLD[0], Math.max(0, chroma + j * HOLD[1]), turned) === before;
      }),
    ),
  );
  return fits ? before : words;
}

function wordsFor(l: number, chroma: number, hue: number): string {
  if (chroma < 0.012) {
    if (l > 0.985) return 'white';
    if (l < 0.08) return 'black';
    return [depth(l), 'grey'].filter(Boolean).join(' ');
  }
  let word = HUES[0]![1];
  for (const [from, name] of HUES) if (hue >= from) word = name;
  const parts = [depth(l), strength(chroma), word];
  // Dark oranges and ambers are what people call brown.
  if (l < 0.55 && hue >= 38 && hue < 98 && chroma < 0.14) parts[2] = 'brown';
  return parts.filter(Boolean).join(' ');
}

/** {@link describeColor} of a CSS colour, and its code after it: "deep muted blue-green, #0b5f6b". Throws where it is none. */
export const describeCode = (code: string): string => `${describeColor(readColor(code))}, ${code}`;
