import { rgb8ToOklch } from '../../color/gamut.ts';
import type { SimpleCommand } from '../commands/command.ts';
import type { ProjectDocument } from '../document.ts';
import type { Family } from '../families/family.ts';
import type { Link } from '../links/link.ts';
import { paint } from '../resolve/painted.ts';
import type { Role } from './role.ts';
import { writeRoleName } from './role-name.ts';

/** Roles that nearly every interface needs, as the share of the way from the lightest to the darkest shade. */
const STARTERS: readonly (readonly [
  group: string,
  name: string,
  of: 'neutral' | 'main',
  light: number,
  dark: number,
])[] = [
  ['page', 'ground', 'neutral', 0, 1],
  ['page', 'raised', 'neutral', 0.1, 0.9],
  ['text', 'main', 'neutral', 1, 0],
  ['text', 'quiet', 'neutral', 0.7, 0.2],
  ['line', 'soft', 'neutral', 0.2, 0.8],
  ['action', 'fill', 'main', 0.7, 0.3],
  ['action', 'hover', 'main', 0.8, 0.2],
  ['action', 'text', 'main', 0, 1],
  ['focus', 'ring', 'main', 0.6, 0.4],
];

const chromaOf = (family: Family) => {
  const { r, g, b } = paint(family.base);
  return rgb8ToOklch(r, g, b)[1];
};

const shadeAt = (family: Family, along: number): Link => {
  const { labels } = family.growth;
  return { to: 'shade', family: family.id, shade: labels[Math.round(along * (labels.length - 1))]! };
};

/**
 * Commands that give a project the roles nearly every interface needs, linked to its families: the greyest
 * family paints pages and text, the most colourful of the others the actions. The first theme is light, the
 * others dark. Roles that exist already are left out; without a family there is nothing to suggest.
 * `newId` makes ids.
 */
export function starterRoles(doc: ProjectDocument, newId: () => string): SimpleCommand[] {
  const byChroma = [...doc.families].sort((a, b) => chromaOf(a) - chromaOf(b));
  const neutral = byChroma[0];
  if (!neutral) return [];
  const main = byChroma[byChroma.length - 1]!;
  const taken = new Set(doc.roles.map(writeRoleName));
  const roles = STARTERS.map(([group, name, of, light, dark]): Role => {
    const family = of === 'neutral' ? neutral : main;
    const links = doc.themes.map(({ id }, i) => [id, shadeAt(family, i === 0 ? light : dark)] as const);
    return { id: newId(), group: [group], name, links: Object.fromEntries(links) };
  }).filter((role) => !taken.has(writeRoleName(role)));
  const commands: SimpleCommand[] = roles.map((role) => ({ type: 'addRole', role }));
  const ground = roles.find((role) => writeRoleName(role) === 'page.ground');
  if (ground && doc.ground === null) commands.push({ type: 'setGround', role: ground.id });
  return commands;
}
