/** WCAG 2.2 targets: success criteria 1.4.3, 1.4.6 and 1.4.11. */

export type Level = 'AA' | 'AAA';
export type Content = 'body' | 'large' | 'graphics';

export interface Target {
  readonly level: Level;
  readonly content: Content;
}

const RATIOS: Record<Content, Record<Level, number>> = {
  body: { AA: 4.5, AAA: 7 },
  large: { AA: 3, AAA: 4.5 },
  // 1.4.11 knows one level only.
  graphics: { AA: 3, AAA: 3 },
};

export const CONTENT_NAMES: Record<Content, string> = {
  body: 'body text',
  large: 'large text',
  graphics: 'graphics and controls',
};

/** The ratio that a target asks for: 3, 4.5 or 7. */
export function requiredRatio(target: Target): number {
  return RATIOS[target.content][target.level];
}

/** Whether text counts as large: at least 24 CSS px, or 18.66 px in bold (weight 700 and up). */
export function isLargeText(sizePx: number, weight: number): boolean {
  return sizePx >= 24 || (weight >= 700 && sizePx >= 18.66);
}

/**
 * The target that really holds for a size: large text that is too small to be large has to reach what body
 * text must. Size in CSS px, weight 100–900.
 */
export function effectiveTarget(target: Target, sizePx: number, weight: number): Target {
  return target.content === 'large' && !isLargeText(sizePx, weight) ? { ...target, content: 'body' } : target;
}

/** A target in words, such as "AA body text". */
export function describeTarget(target: Target): string {
  return target.content === 'graphics'
    ? CONTENT_NAMES.graphics
    : `${target.level} ${CONTENT_NAMES[target.content]}`;
}
