import { ROLE_USES } from '../document/roles/use-names.ts';
import { EXTENSION } from '../exchange/tokens-by-name.ts';
import { ROOT } from '../exchange/tokens-names.ts';
import type { ColorStop, CssGradient, Hint, StopPlace } from '../gradient/model.ts';
import { paint } from '../system/painted.ts';
import {
  lightestFirst,
  type NamedFamily,
  type NamedGradient,
  type NamedLink,
  type NamedPair,
  type NamedRole,
  type NamedRoleLink,
  type NamedSystem,
  roleNamesFrom,
} from './named-system.ts';
import { asTrees, key, resolved, ThemeTokens } from './themed-tokens.ts';
import { isTree, type ReadToken, referred, type Tree } from './token-tree.ts';
import { colorOfToken } from './token-values.ts';

export type NamedRead =
  | { readonly ok: true; readonly named: NamedSystem; readonly losses: readonly string[] }
  | { readonly ok: false; readonly reason: string };

const withoutRoot = (path: readonly string[]) => (path[path.length - 1] === ROOT ? path.slice(0, -1) : path);

class Reading {
  readonly losses: string[] = [];
  private readonly themes: ReadonlyMap<string, ThemeTokens>;
  private readonly first: ThemeTokens;
  private readonly own: Tree;
  private readonly file: Tree;
  /** Families by the path of their group. */
  private readonly families = new Map<string, NamedFamily>();
  private readonly shades = new Map<string, { family: string; shade: string }>();
  private readonly bases = new Map<string, string>();

  constructor(file: Tree) {
    this.file = file;
    const own = isTree(file.$extensions) ? file.$extensions[EXTENSION] : null;
    this.own = isTree(own) ? own : {};
    const isResolver = isTree(file.modifiers) || isTree(file.sets);
    const { themes, base } = isResolver
      ? resolved(file, this.losses)
      : { themes: new Map<string, Tree>(), base: file };
    const order = texts(this.own.themes).filter((name) => themes.has(name));
    const named = order.length === themes.size ? order : [...themes.keys()];
    const trees = named.map((name) => [name, themes.get(name)!] as const);
    const usual = texts(this.own.themes)[0] ?? 'From a file';
    this.themes = new Map(
      (trees.length ? trees : [[usual, base] as const]).map(([name, tree]) => [name, new ThemeTokens(tree)]),
    );
    this.first = [...this.themes.values()][0]!;
  }

  private get isOwn(): boolean {
    return typeof this.own.project === 'string';
  }

  read(): NamedSystem {
    this.readFamilies();
    const gradients = this.readGradients();
    const roles = this.readRoles();
    const others = new Map<string, number>();
    for (const token of this.first.tokens)
      if (token.type && token.type !== 'color' && token.type !== 'gradient')
        others.set(token.type, (others.get(token.type) ?? 0) + 1);
    for (const [type, count] of others)
      this.losses.push(
        `${count} ${count === 1 ? 'token' : 'tokens'} of the type ${type}, which is no colour.`,
      );
    const ground = typeof this.own.ground === 'string' ? this.own.ground : null;
    return {
      project: this.isOwn ? String(this.own.project) : textIn(this.file, 'name'),
      themes: [...this.themes.keys()],
      families: [...this.families.values()],
      roles,
      gradients,
      pairs: this.isOwn ? pairsIn(this.own.pairs) : null,
      ground,
    };
  }

  /** Groups of plain colours that are the same in all themes: families, as ours say, or as three of a kind do. */
  private readFamilies(): void {
    const groups = new Map<string, { path: readonly string[]; tokens: ReadToken[] }>();
    for (const token of this.first.tokens) {
      const path = token.path.slice(0, -1);
      if (!path.length || !this.first.isColor(token)) continue;
      if (this.isOwn ? path[0] !== 'family' : referred(token.value) || !this.isSame(token)) continue;
      const group = groups.get(key(path)) ?? { path, tokens: [] };
      group.tokens.push(token);
      groups.set(key(path), group);
    }
    for (const { path, tokens } of groups.values()) {
      const shades = tokens.filter((token) => token.path[token.path.length - 1] !== ROOT);
      // A group of colours is a family where its tokens are steps: three at least, told by numbers mostly.
      const steps = shades.filter((token) => /\d/.test(token.path[token.path.length - 1]!));
      if (shades.length < 3 || (!this.isOwn && steps.length * 2 < shades.length)) continue;
      const extension = this.extensionAt(path);
      const name = typeof extension.name === 'string' ? extension.name : nameOf(path);
      const labels = isTree(extension.growth) ? texts(extension.growth.labels) : [];
      const made = shades.map((token, i) => {
        const written = token.path[token.path.length - 1]!;
        // A label that a token's name does not spell is told by its place among those of the recipe.
        const label = labels.find((one) => one === written) ?? this.spelled(labels, shades, i) ?? written;
        return { token, label, css: paint(this.first.colorOf(token)!).css };
      });
      const root = tokens.find((token) => token.path[token.path.length - 1] === ROOT);
      const to = root && referred(root.value);
      const base = to ? (made.find(({ token }) => key(token.path) === key(to))?.label ?? null) : null;
      for (const { token, label } of made) this.shades.set(key(token.path), { family: name, shade: label });
      if (root) this.bases.set(key(root.path), name);
      this.bases.set(key(path), name);
      const handSet = isTree(extension.handSet) ? extension.handSet : {};
      this.families.set(key(path), {
        name,
        base,
        shades: this.isOwn
          ? made.map(({ label, css }) => ({ label, css }))
          : lightestFirst(made.map(({ label, css }) => ({ label, css }))),
        recipe:
          isTree(extension.growth) && typeof extension.base === 'string'
            ? {
                base: extension.base,
                growth: extension.growth,
                follows: extension.follows ?? null,
                handSet: handSet as Record<string, string>,
              }
            : null,
      });
    }
  }

  /** The label at the place of a token among those whose names are no labels. */
  private spelled(labels: readonly string[], shades: readonly ReadToken[], i: number): string | null {
    const names = shades.map((token) => token.path[token.path.length - 1]!);
    const left = labels.filter((label) => !names.includes(label));
    const odd = names.flatMap((name, n) => (labels.includes(name) ? [] : [n]));
    return labels.length === names.length ? (left[odd.indexOf(i)] ?? null) : null;
  }

  private extensionAt(path: readonly string[]): Tree {
    let at: unknown = isTree(this.file.sets) ? undefined : this.file;
    const trees = isTree(this.file.sets)
      ? Object.values(this.file.sets).flatMap((set) => (isTree(set) ? asTrees(set.sources) : []))
      : [this.file];
    for (const tree of trees) {
      at = tree;
      for (const name of path) at = isTree(at) && Object.hasOwn(at, name) ? at[name] : undefined;
      if (isTree(at)) break;
    }
    const extensions = isTree(at) && isTree(at.$extensions) ? at.$extensions : {};
    const own = extensions[EXTENSION];
    return isTree(own) ? own : {};
  }

  /** Whether a token is the same colour in every theme. */
  private isSame(token: ReadToken): boolean {
    const color = this.first.colorOf(token);
    return [...this.themes.values()].every((theme) => {
      const other = theme.at(token.path);
      return other !== null && !referred(other.value) && theme.colorOf(other) === color;
    });
  }

  /** What a reference leads to, as a link. */
  private linkTo(path: readonly string[]): NamedLink | null {
    const shade = this.shades.get(key(path));
    if (shade) return { to: 'shade', ...shade };
    const base = this.bases.get(key(path)) ?? this.bases.get(key([...path, ROOT]));
    if (base !== undefined) return { to: 'base', family: base };
    const role = this.roleName(path);
    return role ? { to: 'role', role: [...role.group, role.name].join('.') } : null;
  }

  private roleName(path: readonly string[]) {
    const parts = withoutRoot(path);
    return roleNamesFrom(this.isOwn && parts[0] === 'role' ? parts.slice(1) : parts);
  }

  /** A value as a link: a reference, a colour, or ours with an opacity. */
  private linkOf(value: unknown, kept: unknown, said: string): NamedLink | null {
    if (isTree(kept) && typeof kept.to === 'string') {
      const opacity = typeof kept.opacity === 'number' ? { opacity: kept.opacity } : {};
      const path = referred(kept.to);
      const link = path ? this.linkTo(path) : colorLink(kept.to);
      if (link) return { ...link, ...opacity };
    }
    const path = referred(value);
    if (!path) {
      const css = colorOfToken(value);
      return css === null ? null : { to: 'color', color: css };
    }
    const target =
      this.first.at(path) ?? [...this.themes.values()].map((theme) => theme.at(path)).find(Boolean);
    if (!target) {
      this.losses.push(`${said} points to ${path.join('.')}, which is not in the file.`);
      return null;
    }
    return this.linkTo(target.path);
  }

  private readRoles(): NamedRole[] {
    const roles = new Map<string, NamedRole & { links: Map<string, NamedRoleLink> }>();
    for (const [theme, tokens] of this.themes)
      for (const token of tokens.tokens) {
        const isGradient = tokens.isGradient(token);
        const path = withoutRoot(token.path);
        if (
          this.isOwn
            ? path[0] !== 'role'
            : this.shades.has(key(token.path)) || this.bases.has(key(token.path))
        )
          continue;
        if (isGradient && !referred(token.value)) continue;
        const names = this.roleName(path);
        const said = token.path.join('.');
        if (!names) continue;
        const written = [...names.group, names.name].join('.');
        let role = roles.get(written);
        if (!role) {
          const extension = isTree(token.extensions[EXTENSION]) ? (token.extensions[EXTENSION] as Tree) : {};
          const use = ROLE_USES.find((one) => one === extension.use);
          role = {
            ...names,
            ...(use ? { use } : {}),
            ...(token.description ? { about: token.description.slice(0, 400).trim() } : {}),
            ...(token.deprecated === null ? {} : { retired: token.deprecated.slice(0, 400).trim() }),
            links: new Map(),
          };
        }
        const link = isGradient ? this.gradientLink(token) : this.colorLinkOf(tokens, token, said);
        if (!link && !this.isOwn && token.type !== 'color') continue;
        roles.set(written, role);
        if (link) role.links.set(theme, link);
      }
    const unset = asTrees(this.own.unset);
    for (const one of unset) {
      const names = roleNamesFrom(texts(one.path));
      const use = ROLE_USES.find((known) => known === one.use);
      if (names && !roles.has([...names.group, names.name].join('.')))
        roles.set([...names.group, names.name].join('.'), {
          ...names,
          ...(use ? { use } : {}),
          ...(typeof one.about === 'string' ? { about: one.about } : {}),
          ...(typeof one.retired === 'string' ? { retired: one.retired } : {}),
          links: new Map(),
        });
    }
    const order = new Map(texts(this.own.roles).map((name, i) => [name, i]));
    return [...roles].sort(([a], [b]) => (order.get(a) ?? 0) - (order.get(b) ?? 0)).map(([, role]) => role);
  }

  private gradientLink(token: ReadToken): NamedRoleLink | null {
    const path = referred(token.value)!;
    const isOwnGradient = this.isOwn
      ? path[0] === 'gradient'
      : !this.first.tokens.some((one) => key(one.path) === key(path) && referred(one.value));
    if (isOwnGradient) return { to: 'gradient', gradient: this.gradientName(path) };
    const role = this.roleName(path);
    return role ? { to: 'role', role: [...role.group, role.name].join('.') } : null;
  }

  private gradientName(path: readonly string[]): string {
    for (const theme of this.themes.values()) {
      const extension = theme.at(path)?.extensions[EXTENSION];
      if (isTree(extension) && typeof extension.name === 'string') return extension.name;
    }
    return nameOf(this.isOwn ? path.slice(1) : path);
  }

  private colorLinkOf(tokens: ThemeTokens, token: ReadToken, said: string): NamedLink | null {
    const extension = token.extensions[EXTENSION];
    const link = this.linkOf(token.value, isTree(extension) ? extension.link : null, said);
    if (link) return link;
    const css = tokens.colorOf(token);
    return css === null ? null : { to: 'color', color: css };
  }

  private readGradients(): NamedGradient[] {
    const seen = new Map<string, NamedGradient>();
    for (const theme of this.themes.values())
      for (const token of theme.tokens) {
        if (!theme.isGradient(token) || referred(token.value)) continue;
        const name = this.gradientName(token.path);
        if (seen.has(name)) continue;
        const extension = token.extensions[EXTENSION];
        const made =
          isTree(extension) && Array.isArray(extension.stops)
            ? this.ownGradient(extension, name)
            : this.plainGradient(token.value as unknown[], name);
        if (made) seen.set(name, made);
        else this.losses.push(`The gradient ${name}, of which a stop has no colour.`);
      }
    const order = new Map(texts(this.own.gradients).map((name, i) => [name, i]));
    return [...seen.values()].sort((a, b) => (order.get(a.name) ?? 0) - (order.get(b.name) ?? 0));
  }

  /** As we wrote it: everything but the colours of its stops is as a document has it. */
  private ownGradient(
    { stops, name: _, group, favourite, ...shape }: Tree,
    name: string,
  ): NamedGradient | null {
    const items = (stops as unknown[]).map((item): ColorStop<NamedLink> | Hint | null => {
      if (!isTree(item)) return null;
      if ('hint' in item) return { kind: 'hint', place: item.hint as StopPlace };
      const color = this.linkOf(item.color, item.color, name);
      return color && { kind: 'stop', color, places: item.places as ColorStop['places'] };
    });
    if (items.includes(null)) return null;
    return {
      name,
      ...(typeof group === 'string' ? { group } : {}),
      ...(favourite === true ? { favourite } : {}),
      gradient: { ...shape, stops: items } as unknown as CssGradient<ColorStop<NamedLink>>,
    };
  }

  private plainGradient(stops: readonly unknown[], name: string): NamedGradient | null {
    const items = stops.map((item): ColorStop<NamedLink> | null => {
      if (!isTree(item)) return null;
      const color = this.linkOf(item.color, null, name);
      const place = typeof item.position === 'number' ? Math.min(1, Math.max(0, item.position)) * 100 : null;
      return color && place !== null ? { kind: 'stop', color, places: [{ value: place, unit: '%' }] } : null;
    });
    if (items.length < 2 || items.includes(null)) return null;
    return {
      name,
      gradient: {
        kind: 'linear',
        direction: { by: 'angle', degrees: 90 },
        repeating: false,
        space: 'srgb',
        hueWay: 'shorter',
        stops: items as ColorStop<NamedLink>[],
      },
    };
  }
}

const texts = (value: unknown): string[] =>
  Array.isArray(value) ? value.filter((one): one is string => typeof one === 'string') : [];

const textIn = (tree: Tree, name: string): string | null => {
  const value = tree[name];
  return typeof value === 'string' && value.trim() ? value : null;
};

function colorLink(text: string): NamedLink | null {
  const css = colorOfToken(text);
  return css === null ? null : { to: 'color', color: css };
}

/** "sky-blue" as "Sky blue": the last part of a path as a name, with those before it where it is but a number. */
function nameOf(path: readonly string[]): string {
  const last = path[path.length - 1] ?? '';
  const text = last.replace(/[-_]+/g, ' ').trim();
  return text ? text[0]!.toUpperCase() + text.slice(1) : last;
}

const pairsIn = (value: unknown): NamedPair[] =>
  asTrees(value).filter(
    (one) => typeof one.text === 'string' && typeof one.ground === 'string',
  ) as unknown as NamedPair[];

/**
 * Reads design tokens: of the format of 2025.10, with themes by its resolver, and older files with values as text and keys
 * without a dollar sign. Ours come back as they were, by our extension. Never throws.
 */
export function readTokens(text: string): NamedRead {
  let file: unknown;
  try {
    file = JSON.parse(text);
  } catch (error) {
    return { ok: false, reason: `This is no JSON: ${(error as Error).message}.` };
  }
  if (!isTree(file)) return { ok: false, reason: 'These are no design tokens: the file is no object.' };
  const reading = new Reading(file);
  const named = reading.read();
  if (!named.families.length && !named.roles.length && !named.gradients.length)
    return {
      ok: false,
      reason: 'There is no colour token in it: a token has "$type": "color" and a "$value".',
    };
  return { ok: true, named, losses: reading.losses };
}
