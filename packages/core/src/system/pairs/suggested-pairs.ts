import type { ProjectDocument } from '../document.ts';
import type { Role } from '../roles/role.ts';
import { writeGroup } from '../roles/role-name.ts';
import type { Pair } from './pair.ts';

const TEXTS = new Set(['text', 'label', 'icon']);
const GROUNDS = new Set(['ground', 'fill', 'hover', 'raised', 'surface']);

/**
 * Pairs that the roles' names suggest and that are not there yet: *text* on *ground* or *fill* of the same group,
 * and everything in the group *text* on everything in *page*. All are asked to reach AA for body text. `newId`
 * makes ids.
 */
export function suggestedPairs(doc: ProjectDocument, newId: () => string): Pair[] {
  const known = new Set(doc.pairs.map((pair) => `${pair.foreground} ${pair.background}`));
  const grounds = new Map<string, Role[]>();
  const pages: Role[] = [];
  for (const role of doc.roles) {
    const group = writeGroup(role.group);
    if (group === 'page') pages.push(role);
    else if (GROUNDS.has(role.name)) grounds.set(group, [...(grounds.get(group) ?? []), role]);
  }
  return doc.roles.flatMap((text) => {
    const group = writeGroup(text.group);
    const on = group === 'text' ? pages : TEXTS.has(text.name) ? (grounds.get(group) ?? []) : [];
    return on
      .filter((ground) => !known.has(`${text.id} ${ground.id}`))
      .map(
        (ground): Pair => ({
          id: newId(),
          foreground: text.id,
          background: ground.id,
          target: { level: 'AA', content: 'body' },
          size: 16,
          weight: 400,
        }),
      );
  });
}
