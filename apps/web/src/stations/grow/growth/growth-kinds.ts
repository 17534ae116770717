import { hexOfRgb8 } from '@mint-lamp/core/color/write';
import { contrastRatio, type Rgba } from '@mint-lamp/core/contrast/ratio';
import type { Growth } from '@mint-lamp/core/family/grow';
import { USUAL_GROWTH } from '@mint-lamp/core/family/growth';

/** The kinds of growth as a designer chooses among them: mixing is three of them. */
export type GrowthKind = 'lightness' | 'white' | 'black' | 'grey' | 'opacity' | 'contrast';

export const GROWTH_KINDS: readonly { value: GrowthKind; label: string }[] = [
  { value: 'lightness', label: 'Even lightness' },
  { value: 'white', label: 'Tints, towards white' },
  { value: 'black', label: 'Darker mixes, towards black' },
  { value: 'grey', label: 'Tones, towards grey' },
  { value: 'opacity', label: 'Opacity over a ground' },
  { value: 'contrast', label: 'Contrast on a ground' },
];

export const kindOf = (growth: Growth): GrowthKind => (growth.kind === 'mix' ? growth.towards : growth.kind);

const round = (v: number) => Math.round(v * 100) / 100;

/** The ratios that WCAG asks for; a scale of contrasts is of most use where it has just these among its steps. */
const ASKED = [3, 4.5, 7];

/**
 * As many ratios as there are labels, each about the same factor above the last, up to what the ground allows;
 * those nearest to 3, 4.5 and 7 are just that.
 */
export function evenRatios(count: number, ground: Rgba): number[] {
  const most = Math.max(
    contrastRatio({ r: 0, g: 0, b: 0, alpha: 1 }, ground),
    contrastRatio({ r: 255, g: 255, b: 255, alpha: 1 }, ground),
  );
  const least = 1.1;
  const last = Math.max(least, most * 0.9);
  const ratios = Array.from({ length: count }, (_, i) => round(least * (last / least) ** (i / (count - 1))));
  for (const asked of ASKED) {
    const off = ratios.map((ratio) => Math.abs(Math.log(ratio / asked)));
    const at = off.indexOf(Math.min(...off));
    const rising = (ratios[at - 1] ?? 0) < asked && asked < (ratios[at + 1] ?? most);
    if (rising && !ASKED.includes(ratios[at]!)) ratios[at] = asked;
  }
  return ratios;
}

/** A growth of another kind with the same labels, as it usually is; `ground` is what the marks stand against. */
export function growthOfKind(kind: GrowthKind, { labels }: Growth, ground: Rgba): Growth {
  const text = hexOfRgb8(Math.round(ground.r), Math.round(ground.g), Math.round(ground.b));
  switch (kind) {
    case 'lightness':
      return { ...USUAL_GROWTH, labels };
    case 'opacity':
      return { kind, ground: text, labels, least: 0.06 };
    case 'contrast':
      return { kind, ground: text, labels, ratios: evenRatios(labels.length, ground) };
    default:
      return { kind: 'mix', towards: kind, labels, reach: 0.9 };
  }
}
