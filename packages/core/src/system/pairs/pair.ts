import type { Target } from '../../contrast/targets.ts';

/** A foreground role on a background role, with the target that it must reach. */
export interface Pair {
  readonly id: string;
  /** Role ids. */
  readonly foreground: string;
  readonly background: string;
  readonly target: Target;
  /** Text size in CSS px and weight 100–900 for which the pair is shown and measured. */
  readonly size: number;
  readonly weight: number;
}

export const MOST_PAIRS = 4000;
