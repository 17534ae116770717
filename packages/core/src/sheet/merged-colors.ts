import { oklabOf, paint } from '../system/painted.ts';
import type { LooseColor } from './counted-colors.ts';
import { type Near, NearColors } from './near-colors.ts';

/** A colour that gives way to another. */
export interface MergedColor extends LooseColor {
  /** The colour that it becomes, one of the sheet's own. */
  readonly into: string;
  /** ΔE OK between the two. */
  readonly distance: number;
}

/** What paper and ink are: nothing gives way less gladly. */
const ENDS = new Set(['#ffffff', '#000000']);

/**
 * Colours that lie within a distance (ΔE OK) of one that is used more often give way to it; none moves twice, so that none
 * moves further. `anchors` stay, and others give way to them first. Nothing gives way at a distance of 0.
 */
export function mergeColors(
  colors: readonly LooseColor[],
  farthest: number,
  anchors: readonly string[],
): { readonly kept: LooseColor[]; readonly merged: MergedColor[] } {
  const held = new Set(anchors);
  const staying = new NearColors(farthest);
  const byPaint = new Map<string, string>();
  const stay = (color: string) => {
    const painted = paint(color);
    if (!byPaint.has(painted.css)) byPaint.set(painted.css, color);
    if (farthest > 0) staying.add(color, oklabOf(painted));
  };
  for (const color of anchors) stay(color);
  const kept: LooseColor[] = [];
  const merged: MergedColor[] = [];
  for (const one of [...colors].sort((a, b) => b.count - a.count)) {
    if (held.has(one.color)) {
      kept.push(one);
      continue;
    }
    const painted = paint(one.color);
    const alike = byPaint.get(painted.css);
    let near: Near | null = alike === undefined ? null : { into: alike, distance: 0 };
    if (!near && farthest > 0 && !ENDS.has(painted.css)) near = staying.nearest(oklabOf(painted));
    if (near) merged.push({ ...one, ...near });
    else {
      kept.push(one);
      stay(one.color);
    }
  }
  return { kept, merged };
}
