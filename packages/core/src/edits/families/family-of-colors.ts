import { rgb8ToOklch, toRgb8 } from '../../color/gamut.ts';
import { fromRgb8, readColor } from '../../color/parse.ts';
import { hexOfRgb8 } from '../../color/write.ts';
import type { Family } from '../../document/families/family.ts';
import { drawnFrom, growDrawn } from '../../family/drawn.ts';
import type { GrownShade } from '../../family/growth.ts';

/** Shades of a family, at least and at most. */
const FEWEST = 3;
const MOST = 24;

/**
 * A family whose shades are some colours (CSS, opaque), lightest first: its growth is drawn from them, its base is the one
 * in the middle, and what the growth does not meet to the bit is set by hand. Null for fewer than 3 or more than 24
 * different ones.
 */
export function familyOfColors(
  colors: readonly string[],
  { id, name }: { readonly id: string; readonly name: string },
): Family | null {
  const known = new Map<string, readonly [number, number, number]>();
  for (const color of colors) {
    const rgb = toRgb8(readColor(color));
    known.set(hexOfRgb8(...rgb), rgb);
  }
  if (known.size < FEWEST || known.size > MOST) return null;
  const sorted = [...known].sort(([, a], [, b]) => rgb8ToOklch(...b)[0] - rgb8ToOklch(...a)[0]);
  const middle = Math.floor(sorted.length / 2);
  const shades = sorted.map(
    ([hex, [r, g, b]], i): GrownShade => ({
      label: String((i + 1) * 100),
      hex,
      r,
      g,
      b,
      isBase: i === middle,
    }),
  );
  const base = sorted[middle]!;
  const growth = drawnFrom(shades);
  const grown = growDrawn(fromRgb8(...base[1]), growth);
  const handSet = Object.fromEntries(
    shades.flatMap(({ label, hex }, i) => (grown[i]?.hex === hex ? [] : [[label, hex] as const])),
  );
  return { id, name, base: base[0], follows: null, growth, handSet };
}
