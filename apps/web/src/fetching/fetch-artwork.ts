import type { FetchedArtwork } from '@mint-lamp/core/wire/artworks';
import { ask, LONG_PATIENCE_MS } from './ask.ts';

/** Has the server fetch a page with its style sheets, or a drawing, by its address. */
export const fetchArtwork = (id: string, address: string) =>
  ask<FetchedArtwork>('POST', `/projects/${id}/artworks/fetched`, { address }, LONG_PATIENCE_MS);
