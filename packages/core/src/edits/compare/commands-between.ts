import type { SimpleCommand } from '../../document/commands/command.ts';
import type { ProjectDocument } from '../../document/document.ts';
import type { AnyCompared } from '../../document/kind.ts';
import { KINDS } from '../../document/kinds.ts';
import type { RoleLink } from '../../document/links/link.ts';
import { freeName, slug, slugsOf } from '../../document/naming/names.ts';
import { roles as roleKind } from '../../document/roles/kind.ts';
import type { Role } from '../../document/roles/role.ts';
import { sameJson } from '../../document/same.ts';
import type { Theme } from '../../document/themes/theme.ts';
import { keptIds } from './kept.ts';

interface Identified {
  readonly id: string;
}

/** A list of a document, with the commands that put a thing into it and take one out. */
interface ListCommands<T extends Identified> {
  readonly of: (doc: ProjectDocument) => readonly T[];
  readonly add: (thing: T, index: number) => SimpleCommand;
  readonly remove: (id: string) => SimpleCommand;
}

/** Themes and roles depend on each other, and are exchanged by themselves. */
const BY_THEMSELVES: readonly string[] = ['themes', 'roles'] satisfies readonly (keyof ProjectDocument)[];

/** All other lists. Families come first when they are put in. */
const LISTS = KINDS.flatMap((kind) =>
  Object.entries(kind.compared as Record<string, AnyCompared>).flatMap(
    ([name, one]): ListCommands<Identified>[] =>
      one.as === 'value' || BY_THEMSELVES.includes(name)
        ? []
        : [
            {
              ...(one as Pick<ListCommands<Identified>, 'add' | 'remove'>),
              of: (doc) => doc[name as keyof ProjectDocument] as unknown as readonly Identified[],
            },
          ],
  ),
);

/** What is no list, but for what lies beneath the page, which needs its role. */
const VALUES = KINDS.flatMap((kind) =>
  Object.entries(kind.compared as Record<string, AnyCompared>).flatMap(([name, one]) =>
    one.as === 'value' && name !== 'ground' ? [{ name: name as keyof ProjectDocument, ...one }] : [],
  ),
);

const valuesBetween = (from: ProjectDocument, to: ProjectDocument): SimpleCommand[] =>
  VALUES.flatMap(({ name, between }) =>
    sameJson(from[name], to[name]) ? [] : [...(between(from[name], to[name]) as readonly SimpleCommand[])],
  );

/** Takes out what is not the same, and puts in what is; in two halves, so that nothing meets what is going. */
function exchange<T extends Identified>(
  from: readonly T[],
  to: readonly T[],
  { add, remove }: Pick<ListCommands<T>, 'add' | 'remove'>,
  same: (a: T, b: T) => boolean = sameJson,
): { readonly kept: ReadonlySet<string>; readonly out: SimpleCommand[]; readonly in: SimpleCommand[] } {
  const kept = from === to ? new Set(from.map(({ id }) => id)) : keptIds(from, to, same);
  return {
    kept,
    out: from.filter(({ id }) => !kept.has(id)).map(({ id }) => remove(id)),
    in: to.flatMap((thing, index) => (kept.has(thing.id) ? [] : [add(thing, index)])),
  };
}

/** Makes the themes of one document those of another; `linksOf` gives the links that come with a new theme. */
function themeCommands(
  from: readonly Theme[],
  to: readonly Theme[],
  linksOf: (theme: string) => Record<string, RoleLink>,
): SimpleCommand[] {
  const out: SimpleCommand[] = [];
  const wanted = new Map(to.map((theme) => [theme.id, theme]));
  const now = from.filter(({ id }) => wanted.has(id)).map((theme) => ({ ...theme }));
  const going = from.filter(({ id }) => !wanted.has(id));
  // A project is never without a theme: where all go, the last one goes when the first has come.
  const held = now.length ? null : going[going.length - 1]!;
  for (const { id } of going) if (id !== held?.id) out.push({ type: 'removeTheme', theme: id });
  const taken = () => slugsOf([...now, ...to]);
  if (held && to.some(({ name }) => slug(name) === slug(held.name)))
    out.push({ type: 'renameTheme', theme: held.id, name: freeName('Going', taken()) });
  const rename = (theme: { id: string; name: string }, name: string) => {
    out.push({ type: 'renameTheme', theme: theme.id, name });
    theme.name = name;
  };
  const changed = now.filter(({ id, name }) => wanted.get(id)!.name !== name);
  for (const theme of changed) {
    const { name } = wanted.get(theme.id)!;
    const isTaken = now.some((other) => other !== theme && slug(other.name) === slug(name));
    rename(theme, isTaken ? freeName('Renamed', taken()) : name);
  }
  for (const theme of changed) {
    const { name } = wanted.get(theme.id)!;
    if (theme.name !== name) rename(theme, name);
  }
  to.forEach((theme, index) => {
    if (!now.some(({ id }) => id === theme.id)) {
      out.push({ type: 'addTheme', theme, index, links: linksOf(theme.id) });
      now.splice(index, 0, { ...theme });
      if (held && now.length === 1) out.push({ type: 'removeTheme', theme: held.id });
      return;
    }
    const at = now.findIndex(({ id }) => id === theme.id);
    if (at === index) return;
    out.push({ type: 'moveTheme', theme: theme.id, index });
    now.splice(index, 0, ...now.splice(at, 1));
  });
  return out;
}

/** Of more links than these of one role, the role is taken out and put in anew: fewer commands, and all at once. */
const MOST_LINKS = 2;

/** The themes, of those that are in both documents, in which a role has another link. */
const relinkedIn = (a: Role, b: Role, themes: ReadonlySet<string>): string[] =>
  [...themes].filter((theme) => !sameJson(a.links[theme], b.links[theme]));

/** Gives roles that stay where they are other links; in two halves, as {@link exchange}. */
function relink(
  from: readonly Role[],
  to: readonly Role[],
  kept: ReadonlySet<string>,
  themes: ReadonlySet<string>,
): { readonly out: SimpleCommand[]; readonly in: SimpleCommand[] } {
  const before = new Map(from.map((role) => [role.id, role]));
  const changes = to.flatMap((role) =>
    kept.has(role.id)
      ? relinkedIn(before.get(role.id)!, role, themes).map((theme) => ({
          was: before.get(role.id)!,
          role,
          theme,
        }))
      : [],
  );
  const link = (role: string, theme: string, next: RoleLink | null): SimpleCommand => ({
    type: 'setLink',
    role,
    theme,
    link: next,
  });
  return {
    // A plain colour meets nothing on the way, and is only taken away where nothing comes in its place.
    out: changes.flatMap(({ was, role, theme }) => {
      const old = was.links[theme];
      const goes = old && (old.to !== 'color' || !role.links[theme]);
      return goes ? [link(was.id, theme, null)] : [];
    }),
    in: changes.flatMap(({ role, theme }) =>
      role.links[theme] ? [link(role.id, theme, role.links[theme]!)] : [],
    ),
  };
}

/**
 * Small commands that make one document another, exactly: for going back to an earlier one, whole or in part, as an
 * edit like any other. What is the same in both is not touched. Both have to be sound, and of one schema version.
 */
export function commandsBetween(from: ProjectDocument, to: ProjectDocument): SimpleCommand[] {
  const toThemes = new Set(to.themes.map(({ id }) => id));
  const common = new Set(from.themes.map(({ id }) => id).filter((id) => toThemes.has(id)));
  // Links in themes that come or go, come and go with them.
  const sameRole = (a: Role, b: Role) =>
    sameJson({ ...a, links: {} }, { ...b, links: {} }) && relinkedIn(a, b, common).length <= MOST_LINKS;
  const roles = exchange(from.roles, to.roles, roleKind.compared.roles, sameRole);
  const links = relink(from.roles, to.roles, roles.kept, common);
  const lists = LISTS.map((list) => exchange(list.of(from), list.of(to), list));
  const linksOf = (theme: string) =>
    Object.fromEntries(
      to.roles.flatMap((role) => {
        const link = role.links[theme];
        return link && roles.kept.has(role.id) ? [[role.id, link] as const] : [];
      }),
    );
  const out: SimpleCommand[] = [];
  out.push(...valuesBetween(from, to));
  const loosened = from.ground !== null && !roles.kept.has(from.ground);
  if (loosened) out.push({ type: 'setGround', role: null });
  for (const list of [...lists].reverse()) out.push(...list.out);
  out.push(...roles.out, ...links.out, ...themeCommands(from.themes, to.themes, linksOf));
  const [families, ...others] = lists;
  out.push(...families!.in, ...roles.in, ...links.in, ...others.flatMap((list) => list.in));
  if (to.ground !== (loosened ? null : from.ground)) out.push({ type: 'setGround', role: to.ground });
  return out;
}
