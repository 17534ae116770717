import { oklchToRgb8, rgb8ToOklch } from '../color/gamut.ts';
import { readColor } from '../color/parse.ts';
import { canonical, hexOfRgb8 } from '../color/write.ts';
import type { Content, Level } from '../contrast/targets.ts';
import { applyCommand } from '../document/commands/apply.ts';
import type { SimpleCommand } from '../document/commands/command.ts';
import type { Batch } from '../document/commands/definition.ts';
import type { ProjectDocument } from '../document/document.ts';
import type { Family } from '../document/families/family.ts';
import type { Link, RoleLink } from '../document/links/link.ts';
import { freeName, slugsOf } from '../document/naming/names.ts';
import type { Pair } from '../document/pairs/pair.ts';
import type { Role } from '../document/roles/role.ts';
import { USUAL_GROWTH } from '../family/growth.ts';
import { clamp01 } from '../numbers/clamp.ts';
import { differenceOf, paint } from '../system/painted.ts';
import { resolveSystem } from '../system/resolve.ts';
import { NOTICE_HUES, nearHue, type StarterPart } from './roles/starter-parts.ts';
import { derivedTheme } from './themes/derive-theme.ts';

/** What a first system is made of, and how. */
export interface FirstChoices {
  /** One to eight colours, opaque or taken so. */
  readonly colors: readonly { readonly name: string; readonly color: string }[];
  /** Which of them leads, by its place; and which is the accent, if one is. */
  readonly leads: number;
  readonly accent: number | null;
  /** 0–1: how little of the leading hue the neutral has. */
  readonly calm: number;
  /** The level that text has to reach. */
  readonly level: Level;
  /** The parts that it has besides pages and text: notices bring the families that they lack. */
  readonly parts: ReadonlySet<StarterPart>;
}

/** Something of a first system, and why it is so. */
interface Reason {
  readonly what: string;
  readonly why: string;
}

/** A first system, before it is taken. */
export interface FirstSystem {
  readonly command: Batch<SimpleCommand>;
  readonly reasons: readonly Reason[];
  readonly pairs: number;
  /** Pairs that fail, over both themes. */
  readonly failing: number;
}

export const MOST_FIRST_COLORS = 8;
/** OKLCH chroma below which a colour is a grey, fit to be the neutral. */
const GREY = 0.03;
/** Colours nearer than this (ΔE OK) make one family. */
const ALIKE = 0.02;

/** The families that notices get where no colour does for them: OKLCH lightness and chroma, at the notice's hue. */
const NOTICE_FAMILIES = {
  good: { family: 'Good', l: 0.56, c: 0.13 },
  warning: { family: 'Warning', l: 0.72, c: 0.15 },
  danger: { family: 'Danger', l: 0.56, c: 0.19 },
} as const;

const oklch = (color: string) => {
  const { r, g, b } = paint(color);
  return rgb8ToOklch(r, g, b);
};
const apart = (a: string, b: string) => differenceOf(paint(a), paint(b));
const opaque = (color: string) => canonical({ ...readColor(color), alpha: 1 });

/** The colours that each make a family: greys and colours alike to an earlier one are left out, and told. */
function distinct(colors: FirstChoices['colors'], reasons: Reason[]) {
  const kept: { name: string; color: string; at: number }[] = [];
  colors.slice(0, MOST_FIRST_COLORS).forEach(({ name, color }, at) => {
    const own = opaque(color);
    const twin = kept.find((one) => apart(one.color, own) < ALIKE);
    if (twin) reasons.push({ what: name, why: `is left out: it is nearly the same as ${twin.name}` });
    else kept.push({ name, color: own, at });
  });
  return kept;
}

class FirstMaking {
  readonly families: Family[] = [];
  readonly reasons: Reason[] = [];
  private readonly taken: Set<string>;
  private readonly newId: () => string;

  constructor(doc: ProjectDocument, newId: () => string) {
    this.taken = slugsOf(doc.families);
    this.newId = newId;
  }

  family(name: string, base: string, part: Partial<Family> = {}): Family {
    const family: Family = {
      id: this.newId(),
      name: freeName(name.slice(0, 70), this.taken),
      base,
      follows: null,
      growth: USUAL_GROWTH,
      handSet: {},
      ...part,
    };
    this.families.push(family);
    return family;
  }
}

const shade = (family: Family, label: string): Link => ({ to: 'shade', family: family.id, shade: label });

/**
 * A whole first system from a few colours: a family for each, a neutral that leans to the one that leads, families for
 * notices that are missing, the roles that nearly every interface needs, in a light and a dark theme, and the pairs in
 * which they meet. Every link is moved along its family until its pairs pass. One batch; the document is not changed.
 * `newId` makes ids. Throws a RangeError where there is no colour, or where the document has roles already.
 */
export function firstSystem(doc: ProjectDocument, choices: FirstChoices, newId: () => string): FirstSystem {
  if (!choices.colors.length) throw new RangeError('A first system needs a colour.');
  if (doc.roles.length) throw new RangeError('There is a system already.');
  const making = new FirstMaking(doc, newId);
  const { reasons } = making;
  const kept = distinct(choices.colors, reasons);
  const families = kept.map(({ name, color }) => making.family(name, color));
  const indexOf = (place: number | null) => kept.findIndex(({ at }) => at === place);
  const lead = families[Math.max(0, indexOf(choices.leads))]!;
  reasons.push({ what: lead.name, why: 'leads: it paints actions, links and focus' });
  const accentAt = indexOf(choices.accent);
  const wanted = choices.parts.has('accent') && accentAt >= 0 && families[accentAt] !== lead;
  const accent = wanted ? families[accentAt]! : null;
  if (accent) reasons.push({ what: accent.name, why: 'is the accent, for the one thing that stands out' });
  const neutral = neutralOf(making, families, lead, choices.calm);
  const notices = choices.parts.has('notice') ? noticesOf(making, families) : [];
  const { roles, pairs } = rolesOf({ lead, accent, neutral, notices, choices }, newId);
  return assembled(doc, making, { roles, pairs });
}

function neutralOf(making: FirstMaking, families: readonly Family[], lead: Family, calm: number): Family {
  const grey = families.find((one) => one !== lead && oklch(one.base)[1] < GREY);
  if (grey) {
    making.reasons.push({ what: grey.name, why: 'is the neutral: it is nearly grey' });
    return grey;
  }
  const chroma = Math.round((0.004 + 0.016 * (1 - clamp01(calm))) * 1e4) / 1e4;
  const neutral = making.family('Neutral', '#767676', {
    follows: { by: 'tint', family: lead.id, chroma },
    growth: { ...USUAL_GROWTH, endChroma: 0.8 },
  });
  making.reasons.push({
    what: neutral.name,
    why: `is added: a grey that leans to ${lead.name}, and follows it`,
  });
  return neutral;
}

interface NoticeFamily {
  readonly name: string;
  readonly family: Family;
}

function noticesOf(making: FirstMaking, families: readonly Family[]): NoticeFamily[] {
  const used = new Set<Family>();
  return NOTICE_HUES.map(({ name, hue }) => {
    const { family: wanted, l, c } = NOTICE_FAMILIES[name];
    const own = families.find((one) => {
      return !used.has(one) && nearHue(oklch(one.base), hue);
    });
    if (own) {
      used.add(own);
      making.reasons.push({ what: own.name, why: `serves ${name} notices too: its hue says it` });
      return { name, family: own };
    }
    const family = making.family(wanted, hexOfRgb8(...oklchToRgb8(l, c, hue)));
    making.reasons.push({ what: family.name, why: `is added for ${name} notices: no colour had its hue` });
    return { name, family };
  });
}

interface Cast {
  readonly lead: Family;
  readonly accent: Family | null;
  readonly neutral: Family;
  readonly notices: readonly NoticeFamily[];
  readonly choices: FirstChoices;
}

/** The roles with their links in the light theme, before they are moved to pass, and the pairs that they meet in. */
function rolesOf({ lead, accent, neutral, notices, choices }: Cast, newId: () => string) {
  const { parts, level } = choices;
  const links = new Map<string, Link>();
  const roles: Role[] = [];
  const byName = new Map<string, Role>();
  const role = (written: string, link: Link) => {
    const names = written.split('.');
    // Without a page and text there is nothing to be measured.
    const part = names[0] as StarterPart;
    if (part !== 'page' && part !== 'text' && !parts.has(part)) return;
    const one: Role = { id: newId(), group: names.slice(0, -1), name: names[names.length - 1]!, links: {} };
    roles.push(one);
    byName.set(written, one);
    links.set(one.id, link);
  };
  const base = (family: Family): Link => ({ to: 'base', family: family.id });
  role('page.ground', shade(neutral, '50'));
  role('page.raised', { to: 'color', color: '#ffffff' });
  role('page.sunken', shade(neutral, '100'));
  role('text.main', shade(neutral, '950'));
  role('text.quiet', shade(neutral, '600'));
  role('text.link', shade(lead, '700'));
  role('line.soft', shade(neutral, '200'));
  role('line.strong', shade(neutral, '500'));
  role('action.fill', base(lead));
  role('action.hover', shade(lead, '800'));
  role('action.text', shade(neutral, '50'));
  if (accent) {
    role('accent.fill', base(accent));
    role('accent.text', shade(neutral, '50'));
  }
  role('focus.ring', shade(lead, '600'));
  for (const { name, family } of notices) {
    role(`notice.${name}.ground`, shade(family, '100'));
    role(`notice.${name}.text`, shade(family, '800'));
  }
  const pairs: Pair[] = [];
  const pair = (front: string, back: string, content: Content = 'body') => {
    const [foreground, background] = [byName.get(front)?.id, byName.get(back)?.id];
    if (!foreground || !background) return;
    pairs.push({
      id: newId(),
      foreground,
      background,
      target: { level: content === 'body' ? level : 'AA', content },
      size: 16,
      weight: 400,
    });
  };
  for (const text of ['text.main', 'text.quiet', 'text.link'])
    for (const ground of ['page.ground', 'page.raised']) pair(text, ground);
  pair('text.main', 'page.sunken');
  pair('action.text', 'action.fill');
  pair('action.text', 'action.hover');
  pair('action.fill', 'page.ground', 'graphics');
  if (accent) pair('accent.text', 'accent.fill');
  pair('line.strong', 'page.raised', 'graphics');
  pair('focus.ring', 'page.ground', 'graphics');
  for (const { name } of notices) pair(`notice.${name}.text`, `notice.${name}.ground`);
  return { roles: roles.map((one) => ({ role: one, link: links.get(one.id)! })), pairs };
}

/** Puts it together, moves what does not pass, and derives the dark theme from the light one. */
function assembled(
  doc: ProjectDocument,
  { families, reasons }: FirstMaking,
  {
    roles,
    pairs,
  }: {
    readonly roles: readonly { readonly role: Role; readonly link: Link }[];
    readonly pairs: readonly Pair[];
  },
): FirstSystem {
  const light = doc.themes[0]!;
  const dark = doc.themes[1] ?? { id: 'dark', name: freeName('Dark', slugsOf(doc.themes)) };
  const page = roles[0]!.role.id;
  const label = 'make a first system';
  const build = (links: (id: string) => Readonly<Record<string, RoleLink>>): SimpleCommand[] => [
    ...(doc.themes.length > 1 ? [] : [{ type: 'addTheme' as const, theme: dark, links: {} }]),
    ...families.map((family): SimpleCommand => ({ type: 'addFamily', family })),
    ...roles.map(
      ({ role }): SimpleCommand => ({ type: 'addRole', role: { ...role, links: links(role.id) } }),
    ),
    ...(doc.ground === null ? [{ type: 'setGround' as const, role: page }] : []),
    ...pairs.map((pair): SimpleCommand => ({ type: 'addPair', pair })),
  ];
  const first = new Map(roles.map(({ role, link }) => [role.id, link]));
  const applied = (commands: readonly SimpleCommand[]) => {
    const result = applyCommand(doc, { type: 'batch', label, commands });
    if (!result.ok) throw new Error(result.reason);
    return resolveSystem(result.document);
  };
  const inLight = derivedTheme(applied(build((id) => ({ [light.id]: first.get(id)! }))), light.id, 'up');
  const lightLink = (id: string) => inLight.links[id] ?? first.get(id)!;
  const moved = roles.filter(({ role, link }) => JSON.stringify(lightLink(role.id)) !== JSON.stringify(link));
  if (moved.length)
    reasons.push({
      what: moved.map(({ role }) => [...role.group, role.name].join('.')).join(', '),
      why:
        moved.length === 1
          ? 'moved along its family until its pairs passed'
          : 'moved along their families until their pairs passed',
    });
  const inDark = derivedTheme(applied(build((id) => ({ [light.id]: lightLink(id) }))), light.id, 'down');
  const commands = build((id) => ({
    [light.id]: lightLink(id),
    ...(inDark.links[id] ? { [dark.id]: inDark.links[id] } : {}),
  }));
  reasons.push({ what: dark.name, why: `is derived from ${light.name}, and every pair keeps its target` });
  return {
    command: { type: 'batch', label, commands },
    reasons,
    pairs: pairs.length,
    failing: inLight.failing.length + inDark.failing.length,
  };
}
