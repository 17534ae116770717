import type { FetchedArtwork } from '@mint-lamp/core/wire/artworks';
import { ask, LONG_PATIENCE_MS } from './ask.ts';

/** Has the server fetch a page with its style sheets, or a drawing, by its address; for a project, or to begin one with. */
export const fetchArtwork = (id: string | null, address: string) =>
  ask<FetchedArtwork>(
    'POST',
    `${id === null ? '' : `/projects/${id}`}/artworks/fetched`,
    { address },
    LONG_PATIENCE_MS,
  );
