import { MOST_PAGE } from '../../page/most-page.ts';
import type { KindSchemas } from '../kind.ts';
import type { CommandSchemas } from '../schema/keys.ts';
import type { SchemaParts } from '../schema/toolbox.ts';
import { type Artwork, MOST_ART_COLORS, MOST_ARTWORKS } from './artwork.ts';
import type { ArtworkCommand } from './artwork-commands.ts';

export function artworkSchemas(
  parts: SchemaParts,
): KindSchemas<{ artworks: readonly Artwork[] }, ArtworkCommand> {
  const { Joi, drawing, objectOf, optional, id, index, link, name, record } = parts;

  const kind = Joi.valid('drawing', 'page');
  /**
   * A page is cleaned as a drawing is, and what it is shown in runs and fetches nothing; its reader is too large to be had
   * wherever documents are checked.
   */
  const content = Joi.when('kind', {
    is: 'drawing',
    then: drawing,
    otherwise: Joi.string().max(MOST_PAGE),
  });
  const key = Joi.string().pattern(/^[-#\w(][-#\w(). /,%]{0,120}\)?$/);
  const links = record(link, MOST_ART_COLORS, key);
  const artworkSchema = objectOf<Artwork>({ id, name, kind, content, links });

  const artworkCommandSchemas: CommandSchemas<ArtworkCommand> = {
    addArtwork: { artwork: artworkSchema, index: optional(index) },
    removeArtwork: { artwork: id },
    renameArtwork: { artwork: id, name },
    linkArtwork: { artwork: id, links },
  };

  return { parts: { artworks: parts.listOf(artworkSchema, MOST_ARTWORKS) }, commands: artworkCommandSchemas };
}
