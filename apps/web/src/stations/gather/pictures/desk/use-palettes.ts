import type { MovedColor } from '@mint-lamp/core/document/pictures/picture';
import { useEffect, useState } from 'react';
import type { OpenedPicture } from '../../../../pixels/opened-picture.ts';
import type { PaletteRow } from '../../../../pixels/palette-rows.ts';

export interface Palettes {
  readonly size: number;
  readonly rows: readonly PaletteRow[];
  /** Counted from all pixels of the picture, and not from a small copy. */
  readonly isExact: boolean;
}

/**
 * The palettes of a picture, a row for each leaning; those of a small copy first where it is not whole yet. The last ones
 * stay until the next are there.
 */
export function usePalettes(
  picture: OpenedPicture,
  isWhole: boolean,
  size: number,
  moved: readonly MovedColor[],
): { readonly palettes: Palettes | null; readonly busy: boolean } {
  const [done, setDone] = useState<{ input: unknown; palettes: Palettes } | null>(null);
  const [wanted, setWanted] = useState<unknown>(null);
  useEffect(() => {
    const input = {};
    let over = false;
    setWanted(input);
    void picture.palettes(size, moved).then((rows) => {
      if (rows && !over) setDone({ input, palettes: { size, rows, isExact: isWhole } });
    });
    return () => {
      over = true;
    };
  }, [picture, isWhole, size, moved]);
  return { palettes: done?.palettes ?? null, busy: done?.input !== wanted };
}
