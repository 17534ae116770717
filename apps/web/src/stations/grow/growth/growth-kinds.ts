import { hexOfRgb8 } from '@mint-lamp/core/color/write';
import { contrastRatio, type Rgba } from '@mint-lamp/core/contrast/ratio';
import type { FamilyGrowth } from '@mint-lamp/core/document/links/growth-ground';
import { type DrawnGrowth, labelBetween, withoutStep, withStepBetween } from '@mint-lamp/core/family/drawn';
import { USUAL_GROWTH } from '@mint-lamp/core/family/growth';

/** The kinds of growth as a designer chooses among them: mixing is three of them. */
export type GrowthKind = 'lightness' | 'white' | 'black' | 'grey' | 'opacity' | 'contrast' | 'drawn';

export const GROWTH_KINDS: readonly { value: GrowthKind; label: string }[] = [
  { value: 'lightness', label: 'Even lightness steps' },
  { value: 'white', label: 'Tints, mixed with white' },
  { value: 'black', label: 'Mixed with black' },
  { value: 'grey', label: 'Tones, mixed with grey' },
  { value: 'opacity', label: 'Opacity over a ground' },
  { value: 'contrast', label: 'Contrast on a ground' },
  { value: 'drawn', label: 'Curves, step by step' },
];

export const kindOf = (growth: FamilyGrowth): GrowthKind =>
  growth.kind === 'mix' ? growth.towards : growth.kind;

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

/** What a kind of growth starts from, besides its labels. */
export interface GrowthStart {
  /** What the marks stand against. */
  readonly ground: Rgba;
  /** The shades as they are, drawn. */
  readonly drawn: () => DrawnGrowth;
}

/** A growth of another kind with the same labels, as it usually is. */
export function growthOfKind(
  kind: GrowthKind,
  { labels }: FamilyGrowth,
  { ground, drawn }: GrowthStart,
): FamilyGrowth {
  const color = hexOfRgb8(Math.round(ground.r), Math.round(ground.g), Math.round(ground.b));
  const on = { to: 'color', color } as const;
  switch (kind) {
    case 'lightness':
      return { ...USUAL_GROWTH, labels };
    case 'opacity':
      return { kind, ground: on, labels, least: 0.06 };
    case 'contrast':
      return { kind, ground: on, labels, ratios: evenRatios(labels.length, ground) };
    case 'drawn':
      return drawn();
    default:
      return { kind: 'mix', towards: kind, labels, reach: 0.9 };
  }
}

/** The same growth with other labels; ratios are spread anew when there are more or fewer of them. */
export function relabelled(growth: FamilyGrowth, labels: readonly string[], ground: Rgba): FamilyGrowth {
  if (growth.kind === 'drawn') return { ...growth, labels };
  if (growth.kind !== 'contrast' || growth.labels.length === labels.length) return { ...growth, labels };
  return { ...growth, labels, ratios: evenRatios(labels.length, ground) };
}

/** Where labels stand on their scale: as the numbers that they are, or by their places where some are none. */
function placesOf(labels: readonly string[]): number[] {
  const numbers = labels.map((label) => (label.trim() ? Number(label) : Number.NaN));
  return numbers.every(Number.isFinite) ? numbers : labels.map((_, i) => i);
}

/**
 * A growth with more or fewer steps: new ones where labels are farthest apart; those that go are where labels are
 * nearest to each other, but never an end and never one that is `held`, as it is used. Null when too many are held.
 */
export function withCount(
  growth: FamilyGrowth,
  count: number,
  held: ReadonlySet<string>,
  ground: Rgba,
): FamilyGrowth | null {
  let now = growth;
  const places = placesOf(growth.labels);
  const gapAt = (i: number) => Math.abs(places[i + 1]! - places[i]!);
  while (now.labels.length < count) {
    const { labels } = now;
    let at = 0;
    for (let i = 1; i < labels.length - 1; i++) if (gapAt(i) > gapAt(at)) at = i;
    const label = labelBetween(labels, at);
    const [from, to] = [places[at]!, places[at + 1]!];
    const place = Number(label);
    const isBetween = place > Math.min(from, to) && place < Math.max(from, to);
    places.splice(at + 1, 0, isBetween ? place : (from + to) / 2);
    now =
      now.kind === 'drawn'
        ? withStepBetween(now, at, label)
        : relabelled(now, [...labels.slice(0, at + 1), label, ...labels.slice(at + 1)], ground);
  }
  while (now.labels.length > count) {
    const { labels } = now;
    let at = -1;
    for (let i = 1; i < labels.length - 1; i++)
      if (!held.has(labels[i]!) && (at < 0 || gapAt(i - 1) < gapAt(at - 1))) at = i;
    if (at < 0) return null;
    places.splice(at, 1);
    now =
      now.kind === 'drawn'
        ? withoutStep(now, at)
        : relabelled(
            now,
            labels.filter((_, i) => i !== at),
            ground,
          );
  }
  return now;
}
