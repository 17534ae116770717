/** Parts of the roles that nearly every interface needs, in the order in which they are offered. */
export const STARTER_PARTS = ['page', 'text', 'line', 'action', 'accent', 'focus', 'notice'] as const;
export type StarterPart = (typeof STARTER_PARTS)[number];

/** OKLCH hues, in degrees, that say what a notice is about. */
export const NOTICE_HUES = [
  { name: 'good', hue: 150 },
  { name: 'warning', hue: 75 },
  { name: 'danger', hue: 24 },
] as const;

/** Degrees within which a colour does for a notice, and the OKLCH chroma that it needs. */
const NEAR = 28;
const LEAST_CHROMA = 0.08;

/** Degrees between two hues, 0–180. */
export const hueApart = (a: number, b: number): number => Math.abs(((a - b + 540) % 360) - 180);

/** Whether a colour (OKLCH, hue in degrees) is near enough to a hue to say what that says. */
export const nearHue = (
  [, chroma, hue]: readonly [lightness: number, chroma: number, hue: number],
  wanted: number,
): boolean => chroma > LEAST_CHROMA && hueApart(hue, wanted) < NEAR;
