import type { LightnessGrowth } from '../family/growth.ts';
import { type LooseColor, opaque } from './counted-colors.ts';
import { fitGrowth } from './fitted-growth.ts';
import type { SnappedColor } from './gathered-families.ts';
import type { MergedColor } from './merged-colors.ts';
import { basesOf, type SheetScale } from './scales.ts';

/** A family that a style sheet proposes. */
export interface SheetFamily {
  /** Unique among the proposed families. */
  readonly key: string;
  readonly name: string;
  readonly base: string;
  readonly growth: LightnessGrowth;
  readonly handSet: Readonly<Record<string, string>>;
  /** The labels of the shades that the sheet spells out, by custom property. */
  readonly shades: ReadonlyMap<string, string>;
  /** The custom property that stands for its base itself; null where there is none. */
  readonly baseProperty: string | null;
  /** The colours of those, by label. */
  readonly colors: ReadonlyMap<string, string>;
  /** Loose colours that are nearest to one of its shades, the largest distances first. */
  readonly snapped: readonly SnappedColor[];
}

/** The family that a sheet spells out, grown as near to it as can be and set by hand where it is not. */
export function spelledFamily(scale: SheetScale, key: string): SheetFamily {
  const labels = scale.shades.map(({ label }) => label);
  const colors = scale.shades.map(({ color }) => color);
  const { base, growth, handSet } = fitGrowth(labels, colors, basesOf(scale));
  return {
    key,
    name: scale.name,
    base: opaque(colors[base]!),
    growth,
    handSet,
    baseProperty: scale.baseProperty,
    shades: new Map(scale.shades.map(({ property, label }) => [property, label])),
    colors: new Map(scale.shades.map(({ label, color }) => [label, color])),
    snapped: [],
  };
}

/** Spelled families with the colours that become one of their shades: those that are one, and those that give way to one. */
export function withSnapped(
  families: readonly SheetFamily[],
  colors: readonly LooseColor[],
  merged: readonly MergedColor[],
): SheetFamily[] {
  const at = new Map<string, { key: string; shade: string }>();
  for (const { key, colors: own } of families)
    for (const [shade, color] of own) if (!at.has(color)) at.set(color, { key, shade });
  const snapped = new Map<string, SnappedColor[]>(families.map(({ key }) => [key, []]));
  for (const { color, count } of colors) {
    const place = at.get(color);
    if (place) snapped.get(place.key)!.push({ color, count, shade: place.shade, distance: 0 });
  }
  for (const one of merged) {
    const place = at.get(one.into);
    if (place) snapped.get(place.key)!.push({ ...one, shade: place.shade });
  }
  return families.map((family) => ({
    ...family,
    snapped: snapped.get(family.key)!.sort((a, b) => b.distance - a.distance),
  }));
}
