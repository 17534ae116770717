import type { StepsOf, WordsOf } from '../commands/definition.ts';
import { indexOf, inserted, replaced, without } from '../commands/lists.ts';
import type { Link } from '../links/link.ts';
import { checkName, nameIn } from '../naming/names.ts';
import { type Artwork, MOST_ARTWORKS } from './artwork.ts';

/** What these commands look at. */
export interface ArtworkLists {
  readonly artworks: readonly Artwork[];
}

export type ArtworkCommand =
  | { readonly type: 'addArtwork'; readonly artwork: Artwork; readonly index?: number }
  | { readonly type: 'removeArtwork'; readonly artwork: string }
  | { readonly type: 'renameArtwork'; readonly artwork: string; readonly name: string }
  /** All links of its colours at once; a colour that is not among them is painted as it is. */
  | {
      readonly type: 'linkArtwork';
      readonly artwork: string;
      readonly links: Readonly<Record<string, Link>>;
    };

export const artworkSteps: StepsOf<ArtworkCommand, ArtworkLists> = {
  addArtwork({ artworks }, { artwork, index }) {
    checkName(artwork.name, artworks, artwork.id, 'drawing');
    return [
      { artworks: inserted(artworks, artwork, index, MOST_ARTWORKS, 'drawing') },
      { type: 'removeArtwork', artwork: artwork.id },
    ];
  },

  removeArtwork({ artworks }, { artwork }) {
    const index = indexOf(artworks, artwork, 'drawing');
    return [{ artworks: without(artworks, index) }, { type: 'addArtwork', artwork: artworks[index]!, index }];
  },

  renameArtwork({ artworks }, { artwork, name }) {
    const index = indexOf(artworks, artwork, 'drawing');
    checkName(name, artworks, artwork, 'drawing');
    const old = artworks[index]!;
    return [
      { artworks: replaced(artworks, index, { ...old, name }) },
      { type: 'renameArtwork', artwork, name: old.name },
    ];
  },

  linkArtwork({ artworks }, { artwork, links }) {
    const index = indexOf(artworks, artwork, 'drawing');
    const old = artworks[index]!;
    return [
      { artworks: replaced(artworks, index, { ...old, links }) },
      { type: 'linkArtwork', artwork, links: old.links },
    ];
  },
};

export const artworkWords: WordsOf<ArtworkCommand, ArtworkLists> = {
  addArtwork: (_, { artwork }) => `add the drawing ${artwork.name}`,
  removeArtwork: (doc, { artwork }) => `remove the drawing ${nameIn(doc.artworks, artwork)}`,
  renameArtwork: (doc, { artwork, name }) => `rename the drawing ${nameIn(doc.artworks, artwork)} to ${name}`,
  linkArtwork: (doc, { artwork }) => `link the colours of ${nameIn(doc.artworks, artwork)}`,
};
