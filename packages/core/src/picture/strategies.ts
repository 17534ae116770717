/** By what the colours of a palette are chosen; documents keep it as `leaning`. */
export const PALETTE_STRATEGIES = [
  'area',
  'vivid',
  'gentle',
  'low light',
  'high light',
  'most different',
] as const;
export type PaletteStrategy = (typeof PALETTE_STRATEGIES)[number];
