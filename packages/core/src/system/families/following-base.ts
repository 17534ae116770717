import { oklchToRgb8, rgb8ToOklch, toRgb8 } from '../../color/gamut.ts';
import type { Triple } from '../../color/kernel.ts';
import { fromRgb8 } from '../../color/parse.ts';
import { hexOfRgb8 } from '../../color/write.ts';
import { type Following, MOST_TINT } from '../../document/links/following.ts';
import { between } from '../../harmony/relations.ts';
import { clamp01 } from '../../numbers/clamp.ts';
import { type Painted, paint } from '../painted.ts';

const oklchOf = ({ r, g, b }: Painted): Triple => rgb8ToOklch(r, g, b);
const hex = (l: number, c: number, h: number) => hexOfRgb8(...oklchToRgb8(clamp01(l), Math.max(0, c), h));

/**
 * The base that a following comes to, as `#rrggbb`; `own` is the family's own colour, `baseOf` gives the bases that
 * it follows. Null when one of them is not there.
 */
export function followingBase(
  follows: Following,
  own: string,
  baseOf: (family: string) => Painted | null,
): string | null {
  const first = baseOf(follows.family);
  if (!first) return null;
  if (follows.by === 'between') {
    const other = baseOf(follows.other);
    if (!other) return null;
    const middle = between(
      fromRgb8(first.r, first.g, first.b),
      fromRgb8(other.r, other.g, other.b),
      follows.share,
    );
    return hexOfRgb8(...toRgb8(middle));
  }
  const [l, c, h] = oklchOf(first);
  if (follows.by === 'tint') return hex(oklchOf(paint(own))[0], follows.chroma, h);
  return hex(l + follows.lightness, c + follows.chroma, h + follows.turn);
}

/** What of a family changes so that its base comes to a colour. */
export type BaseChange =
  | { readonly ok: true; readonly base?: string; readonly follows?: Following }
  /** It lies between two others, and has nothing of its own to change. */
  | { readonly ok: false };

const rounded = (n: number, digits: number) => Math.round(n * 10 ** digits) / 10 ** digits;

/**
 * What has to change so that a family's base becomes a colour, or as near to it as its following allows: a base of its
 * own becomes it; one that is turned from another is turned and moved further; a tint takes its lightness and chroma. `only`
 * lightness leaves hue and chroma to what is followed.
 */
export function baseChange(
  { follows }: { readonly follows: Following | null },
  color: string,
  baseOf: (family: string) => Painted | null,
  only?: 'lightness',
): BaseChange {
  if (!follows) return { ok: true, base: color };
  if (follows.by === 'between') return { ok: false };
  const [l, c, h] = oklchOf(paint(color));
  if (follows.by === 'tint' && only) return { ok: true, base: color };
  if (follows.by === 'tint')
    return { ok: true, base: color, follows: { ...follows, chroma: rounded(Math.min(MOST_TINT, c), 4) } };
  const followed = baseOf(follows.family);
  if (!followed) return { ok: false };
  const [fl, fc, fh] = oklchOf(followed);
  if (only) return { ok: true, follows: { ...follows, lightness: rounded(l - fl, 4) } };
  // A grey has no hue to be turned to.
  const turn = c < 0.004 ? follows.turn : ((((h - fh + 180) % 360) + 360) % 360) - 180;
  return {
    ok: true,
    follows: {
      by: 'turn',
      family: follows.family,
      turn: rounded(turn, 2),
      lightness: rounded(l - fl, 4),
      chroma: rounded(c - fc, 4),
    },
  };
}
