import { isLargeText } from '../../contrast/targets.ts';
import type { ProjectDocument } from '../../document/document.ts';
import { writeGroup } from '../../document/naming/role-name.ts';
import type { Backdrop } from '../../document/pairs/backdrop.ts';
import type { Pair } from '../../document/pairs/pair.ts';
import type { Role } from '../../document/roles/role.ts';

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

/** Where a scene really puts a text: role ids, what lies between, and how large the text is there. */
export interface TextPlace {
  readonly text: string;
  readonly ground: string;
  readonly backdrop: Backdrop | null;
  readonly veil: string | null;
  /** CSS px, and weight 100–900. */
  readonly size: number;
  readonly weight: number;
}

/** A pair that could be made, and what it was found by. */
export interface Suggestion {
  readonly pair: Pair;
  readonly from: 'names' | 'scene';
}

/** Two pairs are about the same where a text stands on the same. */
function standing({
  foreground,
  background,
  backdrop,
  veil,
}: Omit<Pair, 'id' | 'target' | 'size' | 'weight'>): string {
  const on =
    backdrop?.kind === 'gradient'
      ? `gradient ${backdrop.gradient}`
      : backdrop
        ? `picture ${backdrop.picture}`
        : background;
  return `${foreground} on ${on} under ${veil ?? 'nothing'}`;
}

/**
 * The pairs that names suggest, then those that scenes do, without what is there and what was declined. Those of scenes
 * have the size that the text has there, and reach AA for it. `newId` makes ids.
 */
export function suggestions(
  doc: ProjectDocument,
  uses: readonly TextPlace[],
  newId: () => string,
): Suggestion[] {
  const declined = new Set(doc.declined.map(({ foreground, background }) => `${foreground} ${background}`));
  const known = new Set(doc.pairs.map(standing));
  const named = suggestedPairs(doc, newId).map((pair): Suggestion => ({ pair, from: 'names' }));
  const met = uses.map(
    ({ text, ground, backdrop, veil, size, weight }): Suggestion => ({
      from: 'scene',
      pair: {
        id: newId(),
        foreground: text,
        background: ground,
        target: { level: 'AA', content: isLargeText(size, weight) ? 'large' : 'body' },
        size,
        weight,
        ...(backdrop ? { backdrop } : {}),
        ...(veil === null ? {} : { veil }),
      },
    }),
  );
  return [...named, ...met].filter(({ pair }) => {
    const { foreground, background } = pair;
    const key = standing(pair);
    if (foreground === background || declined.has(`${foreground} ${background}`) || known.has(key))
      return false;
    known.add(key);
    return true;
  });
}
