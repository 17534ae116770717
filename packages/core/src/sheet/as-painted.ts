import { convert, numbers } from '../color/convert.ts';
import { inGamut } from '../color/gamut.ts';
import { fromRgb8 } from '../color/parse.ts';
import type { Color } from '../color/spaces.ts';
import { canonical } from '../color/write.ts';
import { clamp01 } from '../numbers/clamp.ts';

const f = Math.fround;

/** How far below a half a channel still counts as one, in 8-bit steps: what single precision is off by. */
const SLACK = 3.5e-5;

/**
 * 8-bit channels of `hsl()` as browsers round them: the part of the turn in single precision, by which halves fall to one
 * side or the other (CSS Color 4 §7.1). `s` and `l` are 0–1.
 */
function ofHsl(h: number, s: number, l: number): [number, number, number] {
  const turn = ((h % 360) + 360) % 360;
  const a = s * Math.min(l, 1 - l);
  const channel = (n: number) => {
    const k = f(f(n + f(turn / 30)) % 12);
    const part = Math.max(-1, Math.min(f(k - 3), f(9 - k), 1));
    return Math.floor(clamp01(l - a * part) * 255 + 0.5 + SLACK);
  };
  return [channel(0), channel(8), channel(4)];
}

/**
 * A colour as text that comes to the bytes which a browser paints of it on an sRGB screen: what lies beyond is cut off
 * channel by channel, as browsers do, and not brought in along its hue.
 */
export function asPainted(color: Color): string {
  const [h, s, l] = color.coords;
  if (color.space === 'hsl')
    return canonical(fromRgb8(...ofHsl(h ?? 0, (s ?? 0) / 100, (l ?? 0) / 100), color.alpha ?? 0));
  if (inGamut(color)) return canonical(color);
  const [r, g, b] = numbers(convert(color, 'srgb')).map((v) => Math.round(clamp01(v) * 255));
  return canonical(fromRgb8(r!, g!, b!, color.alpha ?? 0));
}
