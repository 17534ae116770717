import { rgb8ToOklch } from '../../color/gamut.ts';
import type { SimpleCommand } from '../../document/commands/command.ts';
import type { ProjectDocument } from '../../document/document.ts';
import type { Family } from '../../document/families/family.ts';
import type { Link } from '../../document/links/link.ts';
import { writeRoleName } from '../../document/naming/role-name.ts';
import type { Role } from '../../document/roles/role.ts';
import { paint } from '../../system/painted.ts';
import { hueApart, NOTICE_HUES, nearHue, type StarterPart } from './starter-parts.ts';

type Of = 'neutral' | 'main' | 'accent' | 'good' | 'warning' | 'danger';

/** Roles that nearly every interface needs, as the share of the way from the lightest to the darkest shade. */
const STARTERS: readonly (readonly [
  part: StarterPart,
  group: readonly string[],
  name: string,
  of: Of,
  light: number,
  dark: number,
])[] = [
  ['page', ['page'], 'ground', 'neutral', 0, 1],
  ['page', ['page'], 'raised', 'neutral', 0.1, 0.9],
  ['text', ['text'], 'main', 'neutral', 1, 0],
  ['text', ['text'], 'quiet', 'neutral', 0.7, 0.2],
  ['line', ['line'], 'soft', 'neutral', 0.2, 0.8],
  ['action', ['action'], 'fill', 'main', 0.7, 0.3],
  ['action', ['action'], 'hover', 'main', 0.8, 0.2],
  ['action', ['action'], 'text', 'main', 0, 1],
  ['accent', ['accent'], 'fill', 'accent', 0.7, 0.3],
  ['accent', ['accent'], 'text', 'accent', 0, 1],
  ['focus', ['focus'], 'ring', 'main', 0.6, 0.4],
  ['notice', ['notice', 'good'], 'ground', 'good', 0.1, 0.9],
  ['notice', ['notice', 'good'], 'text', 'good', 0.8, 0.2],
  ['notice', ['notice', 'warning'], 'ground', 'warning', 0.1, 0.9],
  ['notice', ['notice', 'warning'], 'text', 'warning', 0.8, 0.2],
  ['notice', ['notice', 'danger'], 'ground', 'danger', 0.1, 0.9],
  ['notice', ['notice', 'danger'], 'text', 'danger', 0.8, 0.2],
];

const oklchOf = (family: Family) => {
  const { r, g, b } = paint(family.base);
  return rgb8ToOklch(r, g, b);
};

const shadeAt = (family: Family, along: number): Link => {
  const { labels } = family.growth;
  return { to: 'shade', family: family.id, shade: labels[Math.round(along * (labels.length - 1))]! };
};

/** Which family paints what: the greyest pages and text, the first with a hue actions, others by their hue. */
function castOf(families: readonly Family[]): ReadonlyMap<Of, Family> {
  const byChroma = [...families].sort((a, b) => oklchOf(a)[1] - oklchOf(b)[1]);
  const cast = new Map<Of, Family>();
  const neutral = byChroma[0];
  if (!neutral) return cast;
  const main = byChroma[byChroma.length - 1]!;
  cast.set('neutral', neutral);
  cast.set('main', main);
  const others = families.filter((family) => family !== neutral && family !== main);
  const [accent] = [...others].reverse().sort((a, b) => oklchOf(b)[1] - oklchOf(a)[1]);
  if (accent) cast.set('accent', accent);
  for (const { name, hue } of NOTICE_HUES) {
    const near = families.filter((one) => nearHue(oklchOf(one), hue));
    const apart = (one: Family) => hueApart(oklchOf(one)[2], hue);
    const [family] = near.sort((a, b) => apart(a) - apart(b));
    if (family) cast.set(name, family);
  }
  return cast;
}

/** The usual roles that a project has not yet, and what of it there is no family for. */
export interface StarterRoles {
  readonly commands: readonly SimpleCommand[];
  readonly ids: readonly string[];
  /** Their names, written out. */
  readonly names: readonly string[];
  /** Names of those that no family has a colour for. */
  readonly lacking: readonly string[];
}

/**
 * The roles nearly every interface needs, part by part, linked to the families there are: the greyest paints pages and
 * text, the most colourful actions, others notices by their hue. The first theme is light, the others dark. Roles that
 * exist already are left out; without a family there is nothing to suggest. `newId` makes ids.
 */
export function starterRoles(
  doc: ProjectDocument,
  parts: ReadonlySet<StarterPart>,
  newId: () => string,
): StarterRoles {
  const cast = castOf(doc.families);
  const taken = new Set(doc.roles.map(writeRoleName));
  const roles: Role[] = [];
  const lacking: string[] = [];
  for (const [part, group, name, of, light, dark] of STARTERS) {
    const written = writeRoleName({ group, name });
    if (!parts.has(part) || taken.has(written)) continue;
    const family = cast.get(of);
    if (!family) {
      lacking.push(written);
      continue;
    }
    const links = doc.themes.map(({ id }, i) => [id, shadeAt(family, i === 0 ? light : dark)] as const);
    roles.push({ id: newId(), group, name, links: Object.fromEntries(links) });
  }
  const commands: SimpleCommand[] = roles.map((role) => ({ type: 'addRole', role }));
  const ground = roles.find((role) => writeRoleName(role) === 'page.ground');
  if (ground && doc.ground === null) commands.push({ type: 'setGround', role: ground.id });
  return { commands, ids: roles.map(({ id }) => id), names: roles.map(writeRoleName), lacking };
}
