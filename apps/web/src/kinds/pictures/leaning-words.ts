import type { PaletteStrategy } from '@mint-lamp/core/picture/strategies';

/** What each palette of a picture looks for, in a few words. */
export const LEANING_WORDS: Readonly<Record<PaletteStrategy, string>> = {
  area: 'By area',
  vivid: 'Strongest colours',
  gentle: 'Softest colours',
  'low light': 'In the shadows',
  'high light': 'In the light',
  'most different': 'Farthest apart',
};
