import { contrastRatio, paintedOver, type Rgba, reaches } from './ratio.ts';

interface ShadeRepair<T> {
  readonly shade: T;
  readonly ratio: number;
  /** Steps away from the present shade in the family's order. */
  readonly steps: number;
}

export interface RepairOutcome<T> {
  /** The nearest shade that passes, or null when none does. */
  readonly repair: ShadeRepair<T> | null;
  /** The shade with the highest ratio, whether it passes or not; null for an empty family. */
  readonly best: ShadeRepair<T> | null;
}

/**
 * The shade of a family nearest to the present one that reaches a ratio on an opaque ground. Near is counted
 * in shades from `from`, the index of the present shade (of two equally near, the one with the higher ratio);
 * the present shade itself is considered too. `opacity` (0–1) is what the link lays over the shade.
 */
export function nearestPassingShade<T extends Rgba>(
  shades: readonly T[],
  from: number,
  ground: Rgba,
  required: number,
  opacity = 1,
): RepairOutcome<T> {
  let repair: ShadeRepair<T> | null = null;
  let best: ShadeRepair<T> | null = null;
  shades.forEach((shade, i) => {
    const seen = paintedOver({ r: shade.r, g: shade.g, b: shade.b, alpha: shade.alpha * opacity }, ground);
    const candidate = { shade, ratio: contrastRatio(seen, ground), steps: Math.abs(i - from) };
    if (!best || candidate.ratio > best.ratio) best = candidate;
    if (!reaches(candidate.ratio, required)) return;
    if (
      !repair ||
      candidate.steps < repair.steps ||
      (candidate.steps === repair.steps && candidate.ratio > repair.ratio)
    )
      repair = candidate;
  });
  return { repair, best };
}
