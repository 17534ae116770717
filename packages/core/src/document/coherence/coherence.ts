import { Refusal } from '../commands/refusal.ts';
import type { ProjectDocument } from '../document.ts';
import { KINDS } from '../kinds.ts';
import { type Dependent, refuseCircles } from '../links/circles.ts';

/** Refuses a document whose things contradict each other as no sequence of commands leaves them. */
function checkCoherence(document: ProjectDocument): void {
  for (const { check } of KINDS) check?.(document);
  const { themes, families, roles } = document;
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
