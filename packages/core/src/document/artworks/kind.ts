import { kindOf } from '../kind.ts';
import { checkName } from '../naming/names.ts';
import type { Artwork } from './artwork.ts';
import { type ArtworkCommand, type ArtworkLists, artworkSteps, artworkWords } from './artwork-commands.ts';
import { artworkSchemas } from './artwork-schema.ts';

export const artworks = kindOf<{ readonly artworks: readonly Artwork[] }, ArtworkCommand, ArtworkLists>()({
  empty: { artworks: [] },
  steps: artworkSteps,
  words: artworkWords,
  schemas: artworkSchemas,
  check({ artworks }) {
    for (const { id, name } of artworks) checkName(name, artworks, id, 'drawing');
  },
  compared: {
    artworks: {
      as: 'whole',
      title: 'Drawings',
      add: (artwork, index) => ({ type: 'addArtwork', artwork, index }),
      remove: (artwork) => ({ type: 'removeArtwork', artwork }),
    },
  },
});
