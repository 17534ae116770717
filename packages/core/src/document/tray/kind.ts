import { kindOf } from '../kind.ts';
import type { Swatch } from './swatch.ts';
import { type SwatchCommand, swatchSteps, swatchWords, type TrayList } from './swatch-commands.ts';
import { swatchSchemas } from './swatch-schema.ts';

export const tray = kindOf<{ readonly tray: readonly Swatch[] }, SwatchCommand, TrayList>()({
  empty: { tray: [] },
  steps: swatchSteps,
  words: swatchWords,
  schemas: swatchSchemas,
  compared: {
    tray: {
      as: 'whole',
      title: 'Tray',
      add: (swatch, index) => ({ type: 'addSwatch', swatch, index }),
      remove: (swatch) => ({ type: 'removeSwatch', swatch }),
    },
  },
});
