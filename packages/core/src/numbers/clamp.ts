/** A number held between two others; NaN stays NaN. */
export const clamp = (value: number, low: number, high: number): number =>
  Math.min(high, Math.max(low, value));

/** A number held between 0 and 1. */
export const clamp01 = (value: number): number => clamp(value, 0, 1);

/** A channel held between 0 and 255. */
export const clamp255 = (value: number): number => clamp(value, 0, 255);
