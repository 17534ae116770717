import type { Artwork } from '@mint-lamp/core/document/artworks/artwork';
import { paintArtwork } from '@mint-lamp/core/system/painted-artwork';
import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import { useMemo } from 'react';
import { useSystem } from '../../../store/selectors.ts';

/** A drawing in a theme, as it is shown. */
export function usePaintedArtwork(artwork: Artwork, theme: ResolvedTheme): string {
  const system = useSystem();
  return useMemo(() => paintArtwork(system, theme, artwork), [system, theme, artwork]);
}
