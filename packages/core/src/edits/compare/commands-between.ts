import type { SimpleCommand } from '../../document/commands/command.ts';
import type { ProjectDocument } from '../../document/document.ts';
import type { RoleLink } from '../../document/links/link.ts';
import { freeName, slug, slugsOf } from '../../document/names.ts';
import type { Role } from '../../document/roles/role.ts';
import type { Theme } from '../../document/themes/theme.ts';
import { keptIds } from './kept.ts';
import { sameJson } from './same.ts';

interface Identified {
  readonly id: string;
}

/** A list of a document, with the commands that put a thing into it and take one out. */
interface ListCommands<T extends Identified> {
  readonly of: (doc: ProjectDocument) => readonly T[];
  readonly add: (thing: T, index: number) => SimpleCommand;
  readonly remove: (id: string) => SimpleCommand;
}

const listed = <T extends Identified>(list: ListCommands<T>) => list as unknown as ListCommands<Identified>;

/** All lists but themes and roles, which depend on each other. Families come first when they are put in. */
const LISTS: readonly ListCommands<Identified>[] = [
  listed({
    of: (doc) => doc.families,
    add: (family, index) => ({ type: 'addFamily', family, index }),
    remove: (family) => ({ type: 'removeFamily', family }),
  }),
  listed({
    of: (doc) => doc.pairs,
    add: (pair, index) => ({ type: 'addPair', pair, index }),
    remove: (pair) => ({ type: 'removePair', pair }),
  }),
  listed({
    of: (doc) => doc.declined,
    add: (declined, index) => ({ type: 'declinePair', declined, index }),
    remove: (declined) => ({ type: 'reconsiderPair', declined }),
  }),
  listed({
    of: (doc) => doc.gradients,
    add: (gradient, index) => ({ type: 'addGradient', gradient, index }),
    remove: (gradient) => ({ type: 'removeGradient', gradient }),
  }),
  listed({
    of: (doc) => doc.tray,
    add: (swatch, index) => ({ type: 'addSwatch', swatch, index }),
    remove: (swatch) => ({ type: 'removeSwatch', swatch }),
  }),
  listed({
    of: (doc) => doc.pictures,
    add: (picture, index) => ({ type: 'addPicture', picture, index }),
    remove: (picture) => ({ type: 'removePicture', picture }),
  }),
  listed({
    of: (doc) => doc.rounds,
    add: (round, index) => ({ type: 'addRound', round, index }),
    remove: (round) => ({ type: 'removeRound', round }),
  }),
  listed({
    of: (doc) => doc.recipes,
    add: (recipe, index) => ({ type: 'addRecipe', recipe, index }),
    remove: (recipe) => ({ type: 'removeRecipe', recipe }),
  }),
  listed({
    of: (doc) => doc.notes,
    add: (note, index) => ({ type: 'addNote', note, index }),
    remove: (note) => ({ type: 'removeNote', note }),
  }),
];

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

const ROLES = {
  add: (role: Role, index: number): SimpleCommand => ({ type: 'addRole', role, index }),
  remove: (role: string): SimpleCommand => ({ type: 'removeRole', role }),
};

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
 * edit like any other. What is the same in both is not touched. Both have to be sound, and of one form.
 */
export function commandsBetween(from: ProjectDocument, to: ProjectDocument): SimpleCommand[] {
  const toThemes = new Set(to.themes.map(({ id }) => id));
  const common = new Set(from.themes.map(({ id }) => id).filter((id) => toThemes.has(id)));
  // Links in themes that come or go, come and go with them.
  const sameRole = (a: Role, b: Role) =>
    sameJson({ ...a, links: {} }, { ...b, links: {} }) && relinkedIn(a, b, common).length <= MOST_LINKS;
  const roles = exchange(from.roles, to.roles, ROLES, sameRole);
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
  if (from.name !== to.name) out.push({ type: 'renameProject', name: to.name });
  if (!sameJson(from.words, to.words)) out.push({ type: 'setWords', words: to.words });
  const loosened = from.ground !== null && !roles.kept.has(from.ground);
  if (loosened) out.push({ type: 'setGround', role: null });
  for (const list of [...lists].reverse()) out.push(...list.out);
  out.push(...roles.out, ...links.out, ...themeCommands(from.themes, to.themes, linksOf));
  const [families, ...others] = lists;
  out.push(...families!.in, ...roles.in, ...links.in, ...others.flatMap((list) => list.in));
  if (!sameJson(from.relatives, to.relatives)) {
    if (from.relatives.source !== to.relatives.source)
      out.push({ type: 'setRelativesSource', color: to.relatives.source });
    const wanted = new Map(to.relatives.rows.map((row) => [row.relation, row]));
    for (const { relation } of from.relatives.rows)
      if (!wanted.has(relation)) out.push({ type: 'setRelation', relation, row: null });
    for (const row of to.relatives.rows) {
      const old = from.relatives.rows.find(({ relation }) => relation === row.relation);
      if (!sameJson(old, row)) out.push({ type: 'setRelation', relation: row.relation, row });
    }
  }
  if (to.ground !== (loosened ? null : from.ground)) out.push({ type: 'setGround', role: to.ground });
  return out;
}
