import type { Rgba } from '../../contrast/ratio.ts';
import type { Pair } from '../../document/pairs/pair.ts';
import type { Picture } from '../../document/pictures/picture.ts';
import type { Regions } from '../../system/pictures/regions.ts';
import type { ResolvedTheme, System } from '../../system/resolve.ts';
import type { Measurement } from './measurement.ts';
import type { Surface } from './surface.ts';

/** What of a project the backdrop of a pair is looked up in. */
export interface Around {
  readonly pictures: readonly Picture[];
  readonly regions: Regions;
}

/** Where the pairs of a system are looked up. */
export const aroundOf = ({ document, regions }: System): Around => ({ pictures: document.pictures, regions });

/** What a layered pair comes to; or that what lies under its text is gone, or not there yet. */
type MeasuredLayers = Measurement | 'gone' | 'awaited';

/**
 * How pairs are measured that have something between ground and text, or a role that a gradient paints: by `underTexts`.
 * It is handed over, since it needs all that paints gradients and most projects have no such pair; where it is null they
 * are awaited.
 */
export interface LayeredMeasuring {
  readonly measure: (
    pair: Pair,
    text: Surface,
    ground: Surface,
    beneath: Rgba,
    theme: ResolvedTheme,
    around: Around,
  ) => MeasuredLayers;
  /** Works out beforehand what all pairs on a surface, or of it, need. */
  readonly prepare: (surface: Surface | null) => void;
  /** Whether what a pair was measured from, the roles' own colours aside, is not what it is now. */
  readonly isStale: (theme: ResolvedTheme, measured: Measurement, around: Around) => boolean;
}
