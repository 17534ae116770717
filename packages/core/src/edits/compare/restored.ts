import type { ProjectDocument } from '../../document/document.ts';
import { stopsOf } from '../../document/gradients/gradient.ts';
import { followedBy } from '../../document/links/following.ts';
import { groundOfGrowth } from '../../document/links/growth-ground.ts';
import type { RoleLink } from '../../document/links/link.ts';
import type { Role } from '../../document/roles/role.ts';
import { LIST_OF, type Portion, portionKey, type ThingKind } from './parts.ts';

interface Identified {
  readonly id: string;
}

const find = <T extends Identified>(list: readonly T[], id: string): T | undefined =>
  list.find((thing) => thing.id === id);

/** A list with a thing in its place, or after the nearest that stands before it where it comes from. */
function put<T extends Identified>(list: readonly T[], thing: T, source: readonly T[]): T[] {
  const at = list.findIndex(({ id }) => id === thing.id);
  if (at >= 0) return list.map((other, i) => (i === at ? thing : other));
  const places = new Map(list.map(({ id }, i) => [id, i]));
  let index = source.findIndex(({ id }) => id === thing.id) - 1;
  while (index >= 0 && !places.has(source[index]!.id)) index -= 1;
  const after = index >= 0 ? places.get(source[index]!.id)! + 1 : 0;
  return [...list.slice(0, after), thing, ...list.slice(after)];
}

/** A list in the order of another; what that does not have stays behind the one that it stood behind. */
function reordered<T extends Identified>(list: readonly T[], order: readonly Identified[]): T[] {
  const places = new Map(order.map(({ id }, i) => [id, i]));
  const known = list.filter(({ id }) => places.has(id));
  const sorted = [...known].sort((a, b) => places.get(a.id)! - places.get(b.id)!);
  const behind = new Map<string | null, T[]>();
  let last: string | null = null;
  for (const thing of list) {
    if (places.has(thing.id)) last = thing.id;
    else behind.set(last, [...(behind.get(last) ?? []), thing]);
  }
  return [
    ...(behind.get(null) ?? []),
    ...sorted.flatMap((thing) => [thing, ...(behind.get(thing.id) ?? [])]),
  ];
}

/** Without the links of a theme. */
function unthemed(roles: readonly Role[], theme: string): Role[] {
  return roles.map((role) => {
    if (!(theme in role.links)) return role;
    const { [theme]: _, ...links } = role.links;
    return { ...role, links };
  });
}

/** A role as it was, but for its links, which are those that it has now where it is there. */
function roleAs(was: Role, now: Role | undefined, themes: ProjectDocument['themes']): Role {
  const known = new Set(themes.map(({ id }) => id));
  const links = now
    ? now.links
    : Object.fromEntries(Object.entries(was.links).filter(([theme]) => known.has(theme)));
  return { ...was, links };
}

function withTheme(now: ProjectDocument, then: ProjectDocument, id: string): ProjectDocument {
  const theme = find(then.themes, id);
  if (!theme)
    return {
      ...now,
      themes: now.themes.filter((one) => one.id !== id),
      roles: unthemed(now.roles, id),
    };
  const isNew = !find(now.themes, id);
  const links = new Map(then.roles.map((role) => [role.id, role.links[id]]));
  return {
    ...now,
    themes: put(now.themes, theme, then.themes),
    roles: isNew
      ? now.roles.map((role) => {
          const link = links.get(role.id);
          return link ? { ...role, links: { ...role.links, [id]: link } } : role;
        })
      : now.roles,
  };
}

function withThing(now: ProjectDocument, then: ProjectDocument, kind: ThingKind, id: string) {
  if (kind === 'theme') return withTheme(now, then, id);
  const key = LIST_OF[kind];
  const was = find<Identified>(then[key], id);
  if (!was) return { ...now, [key]: (now[key] as readonly Identified[]).filter((one) => one.id !== id) };
  const thing = kind === 'role' ? roleAs(was as Role, find(now.roles, id), now.themes) : was;
  return { ...now, [key]: put<Identified>(now[key], thing, then[key]) };
}

function withCell(now: ProjectDocument, then: ProjectDocument, id: string, theme: string): ProjectDocument {
  const link = find(then.roles, id)?.links[theme];
  if (!find(now.themes, theme)) return now;
  return {
    ...now,
    roles: now.roles.map((role) => {
      if (role.id !== id) return role;
      const { [theme]: _, ...links } = role.links;
      return { ...role, links: link ? { ...links, [theme]: link } : links };
    }),
  };
}

function withPart(now: ProjectDocument, then: ProjectDocument, part: Portion): ProjectDocument {
  switch (part.part) {
    case 'name':
    case 'ground':
    case 'words':
    case 'relatives':
    case 'scenes':
    case 'delivery':
      return { ...now, [part.part]: then[part.part] };
    case 'list':
      return { ...now, [part.list]: then[part.list] };
    case 'order':
      return { ...now, [part.list]: reordered<Identified>(now[part.list], then[part.list]) };
    case 'cell':
      return withCell(now, then, part.id, part.theme);
    default:
      return withThing(now, then, part.part, part.id);
  }
}

// Themes and roles are there before their cells, and orders come last.
const RANK: Readonly<Record<Portion['part'], number>> = {
  name: 0,
  ground: 5,
  words: 0,
  relatives: 0,
  scenes: 0,
  delivery: 0,
  list: 0,
  order: 6,
  theme: 1,
  family: 2,
  role: 3,
  cell: 4,
  pair: 5,
  gradient: 5,
};

/** A document with some parts as they were in an earlier one. What they need is given with them: {@link withNeeds}. */
export function restoredIn(
  now: ProjectDocument,
  then: ProjectDocument,
  parts: readonly Portion[],
): ProjectDocument {
  const sorted = [...parts].sort((a, b) => RANK[a.part] - RANK[b.part]);
  return sorted.reduce((doc, part) => withPart(doc, then, part), now);
}

/** The parts that a link needs: the family, role or gradient that it points to, where it is not there now. */
function needsOfLink(now: ProjectDocument, link: RoleLink): Portion[] {
  if (link.to === 'gradient')
    return find(now.gradients, link.gradient) ? [] : [{ part: 'gradient', id: link.gradient }];
  if (link.to === 'role') return find(now.roles, link.role) ? [] : [{ part: 'role', id: link.role }];
  if (link.to === 'color') return [];
  return find(now.families, link.family) ? [] : [{ part: 'family', id: link.family }];
}

function needsOfRole(now: ProjectDocument, then: ProjectDocument, id: string): Portion[] {
  const was = find(then.roles, id);
  if (was && find(now.roles, id)) return [];
  if (was) return Object.values(was.links).flatMap((link) => needsOfLink(now, link));
  // A role that goes takes its pairs along, and lets the page go, where they were not there either.
  const pairs = now.pairs.filter(
    (pair) => (pair.foreground === id || pair.background === id) && !find(then.pairs, pair.id),
  );
  const needs = pairs.map((pair): Portion => ({ part: 'pair', id: pair.id }));
  return now.ground === id && then.ground !== id ? [...needs, { part: 'ground' }] : needs;
}

function needsOf(now: ProjectDocument, then: ProjectDocument, part: Portion): Portion[] {
  const roleThere = (id: string | null): Portion[] =>
    id === null || find(now.roles, id) ? [] : [{ part: 'role', id }];
  switch (part.part) {
    case 'ground':
      return roleThere(then.ground);
    case 'cell': {
      const link = find(then.roles, part.id)?.links[part.theme];
      const theme: Portion[] = find(now.themes, part.theme) ? [] : [{ part: 'theme', id: part.theme }];
      return [...roleThere(part.id), ...theme, ...(link ? needsOfLink(now, link) : [])];
    }
    case 'role':
      return needsOfRole(now, then, part.id);
    case 'theme':
      if (find(now.themes, part.id) || !find(then.themes, part.id)) return [];
      return now.roles.flatMap(({ id }) => {
        const link = find(then.roles, id)?.links[part.id];
        return link ? needsOfLink(now, link) : [];
      });
    case 'family': {
      const was = find(then.families, part.id);
      if (!was) return [];
      const ground = groundOfGrowth(was.growth);
      const role = ground?.to === 'role' ? roleThere(ground.role) : [];
      const families = followedBy(was.follows).flatMap((family) => needsOfLink(now, { to: 'base', family }));
      return [...families, ...role, ...(ground && ground.to !== 'role' ? needsOfLink(now, ground) : [])];
    }
    case 'pair': {
      const was = find(then.pairs, part.id);
      return was ? [was.foreground, was.background, was.veil ?? null].flatMap((role) => roleThere(role)) : [];
    }
    case 'gradient': {
      const was = find(then.gradients, part.id);
      return was ? stopsOf(was).flatMap(({ color }) => needsOfLink(now, color)) : [];
    }
    default:
      return [];
  }
}

/** Some parts of an earlier document with all that they need to stand in the present one, each once. */
export function withNeeds(now: ProjectDocument, then: ProjectDocument, parts: readonly Portion[]): Portion[] {
  const all = new Map(parts.map((part) => [portionKey(part), part]));
  // What is added while it is gone through is gone through too.
  for (const part of all.values())
    for (const need of needsOf(now, then, part)) {
      const key = portionKey(need);
      if (!all.has(key)) all.set(key, need);
    }
  return [...all.values()];
}
