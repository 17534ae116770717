import { LIMITS, type Link, type ProjectDocument } from '../document.ts';
import type { CommandOf } from './command.ts';
import { refuseLoops } from './links.ts';
import { indexOf, inserted, moved, omit, replaced, without } from './lists.ts';
import { checkLength, checkName } from './naming.ts';
import type { Step } from './step.ts';

export function renameProject(doc: ProjectDocument, { name }: CommandOf<'renameProject'>): Step {
  checkLength(name);
  return [
    { ...doc, name },
    { type: 'renameProject', name: doc.name },
  ];
}

export function setGround(doc: ProjectDocument, { role }: CommandOf<'setGround'>): Step {
  if (role !== null) indexOf(doc.roles, role, 'role');
  return [
    { ...doc, ground: role },
    { type: 'setGround', role: doc.ground },
  ];
}

export function addTheme(doc: ProjectDocument, { theme, index, links }: CommandOf<'addTheme'>): Step {
  checkName(theme.name, doc.themes, theme.id, 'theme');
  const themes = inserted(doc.themes, theme, index, LIMITS.themes, 'theme');
  const roles = doc.roles.map((role) => {
    const link = links[role.id];
    return link ? { ...role, links: { ...role.links, [theme.id]: link } } : role;
  });
  const next = { ...doc, themes, roles };
  refuseLoops(next, theme.id, Object.keys(links));
  return [next, { type: 'removeTheme', theme: theme.id }];
}

export function removeTheme(doc: ProjectDocument, { theme }: CommandOf<'removeTheme'>): Step {
  const index = indexOf(doc.themes, theme, 'theme');
  const links: Record<string, Link> = {};
  const roles = doc.roles.map((role) => {
    const link = role.links[theme];
    if (!link) return role;
    links[role.id] = link;
    return { ...role, links: omit(role.links, theme) };
  });
  return [
    { ...doc, themes: without(doc.themes, index), roles },
    { type: 'addTheme', theme: doc.themes[index]!, index, links },
  ];
}

export function renameTheme(doc: ProjectDocument, { theme, name }: CommandOf<'renameTheme'>): Step {
  const index = indexOf(doc.themes, theme, 'theme');
  checkName(name, doc.themes, theme, 'theme');
  const old = doc.themes[index]!;
  return [
    { ...doc, themes: replaced(doc.themes, index, { ...old, name }) },
    { type: 'renameTheme', theme, name: old.name },
  ];
}

export function moveTheme(doc: ProjectDocument, { theme, index }: CommandOf<'moveTheme'>): Step {
  const from = indexOf(doc.themes, theme, 'theme');
  return [
    { ...doc, themes: moved(doc.themes, from, index) },
    { type: 'moveTheme', theme, index: from },
  ];
}
