import { Refusal } from './commands/refusal.ts';
import type { ProjectDocument } from './document.ts';
import { type Dependent, refuseCircles } from './links/circles.ts';
import { checkName } from './names.ts';
import { checkPicture } from './pictures/picture-commands.ts';
import { checkNames } from './roles/role-commands.ts';

/** Refuses a document whose things contradict each other as no sequence of commands leaves them. */
function checkCoherence(document: ProjectDocument): void {
  const { themes, families, gradients, roles, pairs, ground } = document;
  for (const recipe of document.recipes) checkName(recipe.name, document.recipes, recipe.id, 'recipe');
  for (const theme of themes) checkName(theme.name, themes, theme.id, 'theme');
  for (const family of families) checkName(family.name, families, family.id, 'family');
  for (const gradient of gradients) checkName(gradient.name, gradients, gradient.id, 'gradient');
  checkNames([], roles);
  if (ground !== null && !roles.some(({ id }) => id === ground))
    throw new Refusal('What lies beneath the page is a role that does not exist.');
  if (pairs.some((pair) => pair.foreground === pair.background))
    throw new Refusal('A pair needs two different roles.');
  const declined = new Set(document.declined.map((one) => `${one.foreground} ${one.background}`));
  if (declined.size < document.declined.length) throw new Refusal('A pair is declined twice.');
  const known = new Set(themes.map(({ id }) => id));
  if (roles.some(({ links }) => Object.keys(links).some((theme) => !known.has(theme))))
    throw new Refusal('A role has a link in a theme that does not exist.');
  for (const picture of document.pictures) checkPicture(picture);
  refuseCircles(document, [
    ...families.map(({ id }): Dependent => ({ kind: 'shades', family: id })),
    ...themes.flatMap((theme) =>
      roles.map(({ id }): Dependent => ({ kind: 'role', role: id, theme: theme.id })),
    ),
  ]);
}

/**
 * Why no sequence of commands could have made a document of the right shape, in words: two things of one name, roles
 * that point to each other in a circle, and the like; null when it is sound. What points to something that is gone
 * is sound: removing leaves that behind.
 */
export function incoherenceOf(document: ProjectDocument): string | null {
  try {
    checkCoherence(document);
    return null;
  } catch (error) {
    if (error instanceof Refusal) return error.message;
    throw error;
  }
}
