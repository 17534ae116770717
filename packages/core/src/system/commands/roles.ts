import { LIMITS, type Link, type ProjectDocument, type Role, slug } from '../document.ts';
import type { CommandOf, SimpleCommand } from './command.ts';
import { refuseLoops } from './links.ts';
import { indexOf, inserted, moved, omit, Refusal, replaced, without } from './lists.ts';
import { checkLength } from './naming.ts';
import type { Step } from './step.ts';

function checkPaths(roles: readonly Role[], changed: readonly Role[]): void {
  const ids = new Set(changed.map((role) => role.id));
  const taken = new Map(
    roles.filter((role) => !ids.has(role.id)).map((role) => [slug(role.path), role.path]),
  );
  for (const role of changed) {
    checkLength(role.path);
    const segments = role.path.split('/');
    if (segments.some((segment) => !slug(segment)))
      throw new Refusal(`"${role.path}" is no role path: write names with slashes between, as in text/main.`);
    const key = slug(role.path);
    const other = taken.get(key);
    if (other) throw new Refusal(`There is a role ${other} already; choose another path.`);
    taken.set(key, role.path);
  }
}

export function addRole(doc: ProjectDocument, { role, index }: CommandOf<'addRole'>): Step {
  checkPaths(doc.roles, [role]);
  // Links for themes that are gone meanwhile are left behind; a theme of that id must not find them later.
  const known = new Set(doc.themes.map((theme) => theme.id));
  const links = Object.fromEntries(Object.entries(role.links).filter(([theme]) => known.has(theme)));
  const next = { ...doc, roles: inserted(doc.roles, { ...role, links }, index, LIMITS.roles, 'role') };
  for (const theme of Object.keys(links)) refuseLoops(next, theme, [role.id]);
  return [next, { type: 'removeRole', role: role.id }];
}

export function removeRole(doc: ProjectDocument, { role }: CommandOf<'removeRole'>): Step {
  const index = indexOf(doc.roles, role, 'role');
  if (doc.ground === role)
    throw new Refusal(
      `${doc.roles[index]!.path} is what lies beneath the page; choose another ground first.`,
    );
  return [
    { ...doc, roles: without(doc.roles, index) },
    { type: 'addRole', role: doc.roles[index]!, index },
  ];
}

export function renameRole(doc: ProjectDocument, { role, path }: CommandOf<'renameRole'>): Step {
  const index = indexOf(doc.roles, role, 'role');
  const old = doc.roles[index]!;
  const renamed = { ...old, path };
  checkPaths(doc.roles, [renamed]);
  return [
    { ...doc, roles: replaced(doc.roles, index, renamed) },
    { type: 'renameRole', role, path: old.path },
  ];
}

export function renameRoleGroup(doc: ProjectDocument, { from, to }: CommandOf<'renameRoleGroup'>): Step {
  const inside = doc.roles.filter((role) => role.path.startsWith(`${from}/`));
  if (!inside.length) throw new Refusal(`There is no role under ${from}/ any more.`);
  const renamed = new Map(
    inside.map((role) => [role.id, { ...role, path: to + role.path.slice(from.length) }]),
  );
  checkPaths(doc.roles, [...renamed.values()]);
  const back = inside.map((role): SimpleCommand => ({ type: 'renameRole', role: role.id, path: role.path }));
  return [
    { ...doc, roles: doc.roles.map((role) => renamed.get(role.id) ?? role) },
    { type: 'batch', label: `Rename ${to} to ${from}`, commands: back },
  ];
}

export function moveRole(doc: ProjectDocument, { role, index }: CommandOf<'moveRole'>): Step {
  const from = indexOf(doc.roles, role, 'role');
  return [
    { ...doc, roles: moved(doc.roles, from, index) },
    { type: 'moveRole', role, index: from },
  ];
}

export function setLink(doc: ProjectDocument, { role, theme, link }: CommandOf<'setLink'>): Step {
  const index = indexOf(doc.roles, role, 'role');
  indexOf(doc.themes, theme, 'theme');
  const old = doc.roles[index]!;
  const links: Readonly<Record<string, Link>> =
    link === null ? omit(old.links, theme) : { ...old.links, [theme]: link };
  const next = { ...doc, roles: replaced(doc.roles, index, { ...old, links }) };
  if (link?.to === 'role') refuseLoops(next, theme, [role]);
  return [next, { type: 'setLink', role, theme, link: old.links[theme] ?? null }];
}
