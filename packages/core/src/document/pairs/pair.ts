import { effectiveTarget, requiredRatio, type Target } from '../../contrast/targets.ts';
import type { Backdrop } from './backdrop.ts';

/**
 * Uses that WCAG 2.2 asks no contrast of: a control that is inactive, pure decoration, a logotype (1.4.3, 1.4.6 and
 * 1.4.11).
 */
export type ExemptUse = 'inactive' | 'decoration' | 'logotype';
export const EXEMPT_NAMES: Readonly<Record<ExemptUse, string>> = {
  inactive: 'an inactive control',
  decoration: 'pure decoration',
  logotype: 'a logotype',
};
export const EXEMPT_USES = Object.keys(EXEMPT_NAMES) as ExemptUse[];

/** That a pair has not to reach its target, and why. */
export interface Exemption {
  readonly as: ExemptUse;
  readonly reason: string;
}

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
  /** The words that it is shown with; left out, those of the project. */
  readonly words?: string;
  readonly exempt?: Exemption;
  /** What lies on the ground under the text: a gradient, a picture. */
  readonly backdrop?: Backdrop;
  /** The role that is laid over the ground, and over what lies on it, under the text. */
  readonly veil?: string;
}

export const MOST_PAIRS = 4000;

/** The ratio that a pair has to reach: 3, 4.5 or 7 by its target and size; 1, which everything reaches, where it is exempt. */
export const requiredOf = ({ target, size, weight, exempt }: Pair): number =>
  exempt ? 1 : requiredRatio(effectiveTarget(target, size, weight));

/** Whether something lies between the ground of a pair and its text. */
export const isLayered = ({ backdrop, veil }: Pair): boolean => backdrop !== undefined || veil !== undefined;
