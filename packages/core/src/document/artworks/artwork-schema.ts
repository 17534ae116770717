import { cleanSvg, MOST_SVG } from '../../svg/clean-svg.ts';
import type { KindSchemas } from '../kind.ts';
import type { CommandSchemas } from '../schema/keys.ts';
import type { SchemaParts } from '../schema/toolbox.ts';
import { type Artwork, MOST_ART_COLORS, MOST_ARTWORKS } from './artwork.ts';
import type { ArtworkCommand } from './artwork-commands.ts';

export function artworkSchemas(
  parts: SchemaParts,
): KindSchemas<{ artworks: readonly Artwork[] }, ArtworkCommand> {
  const { Joi, objectOf, optional, color, id, index, link, name, record } = parts;

  /** A drawing as it comes from cleaning, and nothing else: it is shown to others. */
  const svg = Joi.string()
    .max(MOST_SVG)
    .custom((value: string, helpers) => {
      const cleaned = cleanSvg(value);
      return cleaned.ok && cleaned.svg === value ? value : helpers.error('svg.unclean');
    })
    .messages({ 'svg.unclean': '{{#label}} is no drawing that was cleaned' });
  const links = record(link, MOST_ART_COLORS, color);
  const artworkSchema = objectOf<Artwork>({ id, name, svg, links });

  const artworkCommandSchemas: CommandSchemas<ArtworkCommand> = {
    addArtwork: { artwork: artworkSchema, index: optional(index) },
    removeArtwork: { artwork: id },
    renameArtwork: { artwork: id, name },
    linkArtwork: { artwork: id, links },
  };

  return { parts: { artworks: parts.listOf(artworkSchema, MOST_ARTWORKS) }, commands: artworkCommandSchemas };
}
