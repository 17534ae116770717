import { rgb8ToOklch } from '../color/gamut.ts';
import { paint } from '../system/painted.ts';

/** OKLCH chroma from which a colour can lead, and from which it can be an accent. */
const LEADS_FROM = 0.04;
const ACCENT_FROM = 0.08;
/** Degrees of hue that an accent is from the colour that leads, at least. */
const ACCENT_APART = 40;

/**
 * Which of some colours leads a system and which is its accent, by their places: the first with a hue leads, and the
 * colourful one farthest from it in hue is the accent, if one is more than 40° away. Colours are CSS text.
 *
 * @example leadAndAccent(['#3f484a', '#0b5f6b', '#e2552b']) // { leads: 1, accent: 2 }
 */
export function leadAndAccent(colors: readonly string[]): { leads: number; accent: number | null } {
  const seen = colors.map((color) => {
    const { r, g, b } = paint(color);
    const [, chroma, hue] = rgb8ToOklch(r, g, b);
    return { chroma, hue };
  });
  const leads = Math.max(
    0,
    seen.findIndex(({ chroma }) => chroma > LEADS_FROM),
  );
  let accent: number | null = null;
  let farthest = ACCENT_APART;
  seen.forEach(({ chroma, hue }, i) => {
    const apart = Math.abs(((hue - seen[leads]!.hue + 540) % 360) - 180);
    if (i === leads || chroma < ACCENT_FROM || apart <= farthest) return;
    farthest = apart;
    accent = i;
  });
  return { leads, accent };
}
