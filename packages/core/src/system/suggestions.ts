import { rgb8ToOklch } from '../color/gamut.ts';
import type { SimpleCommand } from './commands/command.ts';
import type { Family, Link, Pair, ProjectDocument, Role } from './document.ts';
import { paint } from './painted.ts';

/** Roles that nearly every interface needs, as the share of the way from the lightest to the darkest shade. */
const STARTERS: readonly (readonly [path: string, of: 'neutral' | 'main', light: number, dark: number])[] = [
  ['page/ground', 'neutral', 0, 1],
  ['page/raised', 'neutral', 0.1, 0.9],
  ['text/main', 'neutral', 1, 0],
  ['text/quiet', 'neutral', 0.7, 0.2],
  ['line/soft', 'neutral', 0.2, 0.8],
  ['action/fill', 'main', 0.7, 0.3],
  ['action/hover', 'main', 0.8, 0.2],
  ['action/text', 'main', 0, 1],
  ['focus/ring', 'main', 0.6, 0.4],
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
  const taken = new Set(doc.roles.map((role) => role.path));
  const roles = STARTERS.filter(([path]) => !taken.has(path)).map(([path, of, light, dark]): Role => {
    const family = of === 'neutral' ? neutral : main;
    const links = doc.themes.map(({ id }, i) => [id, shadeAt(family, i === 0 ? light : dark)] as const);
    return { id: newId(), path, links: Object.fromEntries(links) };
  });
  const commands: SimpleCommand[] = roles.map((role) => ({ type: 'addRole', role }));
  const ground = roles.find((role) => role.path === 'page/ground');
  if (ground && doc.ground === null) commands.push({ type: 'setGround', role: ground.id });
  return commands;
}

const TEXTS = new Set(['text', 'label', 'icon']);
const GROUNDS = new Set(['ground', 'fill', 'hover', 'raised', 'surface']);

/**
 * Pairs that the roles' paths suggest and that are not there yet: `x/text` on `x/ground` or `x/fill`, and
 * every `text/…` on every `page/…`. All are asked to reach AA for body text. `newId` makes ids.
 */
export function suggestedPairs(doc: ProjectDocument, newId: () => string): Pair[] {
  const known = new Set(doc.pairs.map((pair) => `${pair.foreground} ${pair.background}`));
  const split = doc.roles.map((role) => {
    const at = role.path.lastIndexOf('/');
    return { id: role.id, group: role.path.slice(0, Math.max(0, at)), name: role.path.slice(at + 1) };
  });
  const out: Pair[] = [];
  for (const text of split)
    for (const ground of split) {
      const together = TEXTS.has(text.name) && GROUNDS.has(ground.name) && text.group === ground.group;
      const onPage = text.group === 'text' && ground.group === 'page';
      if ((!together && !onPage) || known.has(`${text.id} ${ground.id}`)) continue;
      out.push({
        id: newId(),
        foreground: text.id,
        background: ground.id,
        target: { level: 'AA', content: 'body' },
        size: 16,
        weight: 400,
      });
    }
  return out;
}
