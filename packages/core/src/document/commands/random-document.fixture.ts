import fc from 'fast-check';
import { refuseGradients } from '../coherence/painted-by-gradients.ts';
import type { ProjectDocument } from '../document.ts';
import { documentSchema } from '../document-schema.ts';
import { slug } from '../naming/names.ts';
import { roleSlug } from '../naming/role-name.ts';
import type { Role } from '../roles/role.ts';
import { DOCUMENT_VERSION } from '../version.ts';
import {
  anyArtwork,
  anyDeclined,
  anyDelivery,
  anyKind,
  anyNote,
  anyPicture,
  anyRecipe,
  anyRelatives,
  anyRound,
  anyScenes,
  anySwatch,
  color,
  familyId,
  follows,
  fullName,
  gradientId,
  gradientOf,
  growth,
  links,
  name,
  opaque,
  pairExtras,
  pairId,
  record,
  roleExtras,
  roleId,
  sampleWords,
  shade,
  stops,
  target,
  themeId,
} from './random-things.fixture.ts';

/**
 * Any document that the schema accepts, for tests: also with what commands leave behind, such as links to what is
 * gone, pairs of roles that are gone, colours set by hand for shades that are not grown any more.
 */

/** Whether no gradient paints a role of which one colour is needed, as commands hold it. */
function hasColorsWhereNeeded(document: ProjectDocument): boolean {
  try {
    refuseGradients(document);
    return true;
  } catch {
    return false;
  }
}

const listOf = <T extends { id: string }>(
  one: fc.Arbitrary<T>,
  same: (a: T, b: T) => boolean = () => false,
) => fc.uniqueArray(one, { maxLength: 4, comparator: (a, b) => a.id === b.id || same(a, b) });
const sameName = (a: { name: string }, b: { name: string }) => slug(a.name) === slug(b.name);

export const anyDocument: fc.Arbitrary<ProjectDocument> = fc
  .record({
    version: fc.constant(DOCUMENT_VERSION),
    name,
    ground: fc.option(roleId),
    words: sampleWords,
    themes: listOf(record({ id: themeId, name }), sameName).filter((themes) => themes.length > 0),
    families: listOf(
      record({
        id: familyId,
        name,
        base: opaque,
        follows,
        growth,
        handSet: fc.dictionary(shade, color, { maxKeys: 3, noNullPrototype: true }),
      }),
      sameName,
    ),
    roles: listOf(
      fc
        .tuple(record({ id: roleId, ...roleExtras, links: links(themeId) }), fullName)
        .map(([role, names]) => ({ ...role, ...names })),
      (a, b) => roleSlug(a) === roleSlug(b),
    ),
    pairs: listOf(
      fc
        .tuple(
          record({
            id: pairId,
            foreground: roleId,
            background: roleId,
            target,
            size: fc.constantFrom(6, 16, 24),
            weight: fc.constantFrom(400, 700),
          }),
          pairExtras,
        )
        .map(([pair, extras]) => ({ ...pair, ...extras }))
        .filter((pair) => pair.foreground !== pair.background),
    ),
    declined: listOf(
      anyDeclined as fc.Arbitrary<{ id: string; foreground: string; background: string }>,
      (a, b) => a.foreground === b.foreground && a.background === b.background,
    ),
    gradients: listOf(fc.tuple(gradientId, name, anyKind, stops).map(gradientOf), sameName),
    tray: listOf(anySwatch as fc.Arbitrary<{ id: string }>),
    pictures: listOf(anyPicture as fc.Arbitrary<{ id: string }>),
    relatives: anyRelatives,
    scenes: anyScenes,
    delivery: anyDelivery,
    artworks: listOf(anyArtwork as fc.Arbitrary<{ id: string; name: string }>, sameName),
    rounds: listOf(anyRound as fc.Arbitrary<{ id: string }>),
    recipes: listOf(anyRecipe as fc.Arbitrary<{ id: string; name: string }>, sameName),
    notes: listOf(anyNote as fc.Arbitrary<{ id: string }>),
  })
  .map((drawn) => {
    const document = JSON.parse(JSON.stringify(drawn)) as ProjectDocument;
    const inThemes = (links: Role['links']) =>
      Object.fromEntries(Object.entries(links).filter(([id]) => document.themes.some((t) => t.id === id)));
    return {
      ...document,
      ground: document.roles.some(({ id }) => id === document.ground) ? document.ground : null,
      roles: document.roles.map((role) => ({ ...role, links: inThemes(role.links) })),
    };
  })
  // What is left are circles of roles, and places beside a picture.
  .filter((document) => !documentSchema.validate(document).error)
  .map((document) => documentSchema.validate(document).value as ProjectDocument)
  .filter(hasColorsWhereNeeded);
