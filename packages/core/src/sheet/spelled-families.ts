import type { LightnessGrowth } from '../family/growth.ts';
import { oklabOf, paint } from '../system/painted.ts';
import { type LooseColor, opaque } from './counted-colors.ts';
import { fitGrowth } from './fitted-growth.ts';
import type { SnappedColor } from './gathered-families.ts';
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

/** Colours nearer than this (ΔE OK) to a shade that the sheet spells out belong to it. */
const TWINS = 0.02;

/** Spelled families with those of some colours that hardly differ from one of their shades, the farthest first. */
export function withTwins(families: readonly SheetFamily[], colors: readonly LooseColor[]): SheetFamily[] {
  const shades = families.flatMap(({ key, colors: own }) =>
    [...own].map(([shade, color]) => ({ key, shade, lab: oklabOf(paint(color)) })),
  );
  const snapped = new Map<string, SnappedColor[]>(families.map(({ key }) => [key, []]));
  for (const { color, count } of colors) {
    const [l, a, b] = oklabOf(paint(color));
    let near: { key: string; shade: string; distance: number } | null = null;
    for (const { key, shade, lab } of shades) {
      const distance = Math.hypot(l - lab[0], a - lab[1], b - lab[2]);
      if (distance < (near?.distance ?? TWINS)) near = { key, shade, distance };
    }
    if (near) snapped.get(near.key)!.push({ color, count, shade: near.shade, distance: near.distance });
  }
  return families.map((family) => ({
    ...family,
    snapped: snapped.get(family.key)!.sort((a, b) => b.distance - a.distance),
  }));
}
