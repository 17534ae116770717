import type { MovedColor } from '@mint-lamp/core/document/pictures/picture';
import { useEffect, useState } from 'react';
import type { OpenedPicture } from '../../../../pixels/opened-picture.ts';
import type { PaletteRow } from '../../../../pixels/pixel-worker.ts';

export interface Palettes {
  readonly size: number;
  readonly rows: readonly PaletteRow[];
}

/** The palettes of a picture, a row for each leaning. The last ones stay until the next are there. */
export function usePalettes(
  picture: OpenedPicture,
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
      if (rows && !over) setDone({ input, palettes: { size, rows } });
    });
    return () => {
      over = true;
    };
  }, [picture, size, moved]);
  return { palettes: done?.palettes ?? null, busy: done?.input !== wanted };
}
