import { contrastRatio, luminance, paintedOver, reaches } from '../../contrast/ratio.ts';
import { meetingOf, usageOf } from '../../document/coherence/role-use.ts';
import type { Command, SimpleCommand } from '../../document/commands/command.ts';
import type { Link } from '../../document/links/link.ts';
import { linkName } from '../../document/naming/link-name.ts';
import { slug } from '../../document/naming/names.ts';
import { writeRoleName } from '../../document/naming/role-name.ts';
import type { Pair } from '../../document/pairs/pair.ts';
import type { Role } from '../../document/roles/role.ts';
import { groundOf } from '../../judged/pairs/measure.ts';
import { type Painted, paint } from '../../system/painted.ts';
import type { ResolvedTheme, System } from '../../system/resolve.ts';

/** A text that can stand on a colour, measured on it. */
export interface Standing {
  readonly name: string;
  readonly link: Link;
  readonly painted: Painted;
  /** WCAG contrast, 1–21, both over the ground of the theme. */
  readonly ratio: number;
  /** The one to take: the project's own text that stands out most, where it reaches body text; else whatever does. */
  readonly best: boolean;
}

/** Texts of the project that are shown at most. */
const MOST_TEXTS = 4;
const BODY = 4.5;

/** Texts of the project by role, each colour once, then its lightest and darkest shade, then white and black. `own` is left out. */
export function standingOn(
  system: System,
  theme: ResolvedTheme,
  lit: Painted,
  own: string | null = null,
): Standing[] {
  const ground = paintedOver(lit, groundOf(system, theme));
  const measured = (name: string, link: Link, painted: Painted) => ({
    name,
    link,
    painted,
    ratio: contrastRatio(paintedOver(painted, ground), ground),
  });
  const { document } = system;
  const isThere = ({ link }: { readonly link: Link }) =>
    own !== null && isPaired(document.pairs, link, { role: own });
  const texts = document.roles
    .filter((role) => role.id !== own && usageOf(role, document.pairs) === 'text')
    .flatMap((role) => {
      const color = theme.roles.get(role.id)?.color;
      return color ? [measured(writeRoleName(role), { to: 'role', role: role.id }, color)] : [];
    })
    .sort((a, b) => b.ratio - a.ratio || Number(isThere(b)) - Number(isThere(a)))
    // Texts of one colour read alike: the one that stands on it already, else the first.
    .filter(({ painted }, i, all) => all.findIndex((one) => one.painted.css === painted.css) === i)
    .slice(0, MOST_TEXTS);
  const [light, dark] = extremesOf(system);
  const extremes = [light, dark].flatMap((one, i) => {
    if (!one) return [];
    const link: Link = { to: 'shade', family: one.family, shade: one.label };
    return [measured(`${i ? 'darkest' : 'lightest'}: ${linkName(document, link)}`, link, one.painted)];
  });
  const plain = ['#ffffff', '#000000'].map((color, i) =>
    measured(i ? 'black' : 'white', { to: 'color', color }, paint(color)),
  );
  const all = [...texts, ...extremes, ...plain];
  const [first] = texts;
  const best =
    first && reaches(first.ratio, BODY) ? first : all.reduce((a, b) => (b.ratio > a.ratio ? b : a));
  return all.map((one) => ({ ...one, best: one === best }));
}

interface Extreme {
  readonly family: string;
  readonly label: string;
  readonly painted: Painted;
}

/** The lightest and the darkest shade of all families. */
function extremesOf({ families }: System): readonly [Extreme | null, Extreme | null] {
  let [light, dark]: [Extreme | null, Extreme | null] = [null, null];
  for (const { family, shades } of families.values())
    for (const painted of shades) {
      if (painted.alpha < 1) continue;
      const one = { family: family.id, label: painted.label, painted };
      if (!light || luminance(painted) > luminance(light.painted)) light = one;
      if (!dark || luminance(painted) < luminance(dark.painted)) dark = one;
    }
  return [light, dark];
}

/** What a colour is that something is to stand on: a role, or something that roles can point to. */
export type StoodOn = { readonly role: string } | { readonly link: Link; readonly name: string };

/** Whether a text stands on a role in a pair already. */
export const isPaired = (pairs: readonly Pair[], text: Link, on: StoodOn): boolean =>
  'role' in on &&
  text.to === 'role' &&
  pairs.some(({ foreground, background }) => foreground === text.role && background === on.role);

const pairOf = (id: string, foreground: string, background: string): Pair => ({
  id,
  foreground,
  background,
  target: { level: 'AA', content: 'body' },
  size: 16,
  weight: 400,
});

/**
 * Puts a text to use on a colour. On a role: a text role comes into a pair with it; any other colour goes to the text
 * role of its own group, in this theme, or to a new one there, in every theme. On a colour that belongs to no role, two
 * roles are made in a group of its name, with their pair. `newId` makes ids; null where it is in use so already.
 */
export function standCommand(
  { document }: System,
  theme: string,
  text: Pick<Standing, 'link' | 'name'>,
  on: StoodOn,
  newId: () => string,
): { readonly command: Command; readonly pair: string } | null {
  const { roles, pairs, themes } = document;
  const inAll = (link: Link) => Object.fromEntries(themes.map(({ id }) => [id, link]));
  const pair = newId();
  const commands: SimpleCommand[] = [];
  const add = (group: readonly string[], wanted: string, link: Link): string => {
    const taken = new Set(
      roles.filter((role) => role.group.join('.') === group.join('.')).map(({ name }) => name),
    );
    let name = wanted;
    for (let n = 2; taken.has(name); n++) name = `${wanted}-${n}`;
    const role: Role = { id: newId(), group, name, links: inAll(link) };
    commands.push({ type: 'addRole', role });
    return role.id;
  };
  if ('role' in on) {
    const ground = roles.find(({ id }) => id === on.role);
    if (!ground || isPaired(pairs, text.link, on)) return null;
    let foreground = text.link.to === 'role' ? text.link.role : null;
    if (foreground === null) {
      const own = ownText(roles, pairs, ground);
      if (own) commands.push({ type: 'setLink', role: own.id, theme, link: text.link });
      foreground = own?.id ?? add(ground.group, 'text', text.link);
    }
    const there = pairs.find((one) => one.foreground === foreground && one.background === on.role);
    if (!there) commands.push({ type: 'addPair', pair: pairOf(pair, foreground, on.role) });
    const label = `let ${text.name} stand on ${writeRoleName(ground)}`;
    return { command: { type: 'batch', label, commands }, pair: there?.id ?? pair };
  }
  const groups = new Set(roles.map(({ group }) => group[0]));
  const stem = slug(on.name) || 'colour';
  let group = stem;
  for (let n = 2; groups.has(group); n++) group = `${stem}-${n}`;
  const ground = add([group], 'ground', on.link);
  const foreground = text.link.to === 'role' ? text.link.role : add([group], 'text', text.link);
  commands.push({ type: 'addPair', pair: pairOf(pair, foreground, ground) });
  return {
    command: { type: 'batch', label: `let ${text.name} stand on ${on.name}`, commands },
    pair,
  };
}

/** The text role that stands on a role and belongs to it: in the same group, by its pairs or by its use. */
function ownText(roles: readonly Role[], pairs: readonly Pair[], ground: Role): Role | null {
  const group = ground.group.join('.');
  const siblings = roles.filter((role) => role.id !== ground.id && role.group.join('.') === group);
  const met = meetingOf(pairs, ground.id).text;
  return (
    siblings.find(({ id }) => id === met) ??
    siblings.find((role) => group !== '' && usageOf(role, pairs) === 'text') ??
    null
  );
}
