import { writeHex } from '../color/write.ts';
import type { ChoicesOf } from '../document/delivery/forms.ts';
import { shapeOf } from '../document/gradients/gradient.ts';
import { groundOfGrowth } from '../document/links/growth-ground.ts';
import type { Link } from '../document/links/link.ts';
import { writeRoleName } from '../document/naming/role-name.ts';
import type { Role } from '../document/roles/role.ts';
import { placeStops } from '../gradient/model.ts';
import { paintedGradient, type ResolvedGradient } from '../system/gradients/resolved-gradient.ts';
import { colorOf, type Painted } from '../system/painted.ts';
import type { ResolvedTheme, System } from '../system/resolve.ts';
import { inOrder } from './in-order.ts';
import {
  EXTENSION,
  followingByName,
  groundByName,
  type JsonObject,
  NamesById,
  pairByName,
} from './tokens-by-name.ts';
import { reference, type TokenPaths, tokenPaths } from './tokens-names.ts';

/** The version of the format and its resolver module that is written. */
const FORMAT_VERSION = '2025.10';

type Json = JsonObject[string];

/** Things by keys in the order in which they are put; any key is one, also that of a prototype. */
class Group {
  readonly entries = new Map<string, Json | Group>();

  at(path: readonly string[]): Group {
    let group: Group = this;
    for (const name of path) {
      const own = group.entries.get(name);
      const next: Group = own instanceof Group ? own : new Group();
      if (next !== own) group.entries.set(name, next);
      group = next;
    }
    return group;
  }

  put(path: readonly string[], value: Json): void {
    this.at(path.slice(0, -1)).entries.set(path[path.length - 1]!, value);
  }

  toJSON(): object {
    return Object.fromEntries(this.entries);
  }
}

const channel = (v: number) => Math.round((v / 255) * 1e5) / 1e5;

/** A colour in the format's object form (Color Module §4), with its hex code. */
function colorToken(color: Painted): JsonObject {
  const { r, g, b, alpha } = color;
  return {
    colorSpace: 'srgb',
    components: [channel(r), channel(g), channel(b)],
    ...(alpha < 1 ? { alpha: Math.round(alpha * 1e4) / 1e4 } : {}),
    hex: writeHex(colorOf({ ...color, alpha: 1 })),
  };
}

class Writer {
  readonly system: System;
  readonly paths: TokenPaths;
  readonly names: NamesById;

  constructor(system: System) {
    this.system = system;
    this.paths = tokenPaths(system.document);
    this.names = new NamesById(system.document);
  }

  private target(link: Link): readonly string[] | null {
    if (link.to === 'shade') return this.paths.shade(link.family, link.shade);
    if (link.to === 'base') return this.paths.base(link.family);
    return link.to === 'role' ? this.paths.role(link.role) : null;
  }

  /**
   * What a link is written as: a reference, or a colour where it is one or has an opacity; then with the reference and
   * opacity that it came of, which our extension keeps.
   */
  linked(link: Link, color: Painted): { value: Json; link?: JsonObject } {
    const path = this.target(link);
    if (!path)
      return link.to === 'color' && link.opacity === undefined && link.color === color.css
        ? { value: colorToken(color) }
        : { value: colorToken(color), link: { to: link.to === 'color' ? link.color : '', ...opacity(link) } };
    if (link.opacity === undefined) return { value: reference(path) };
    return { value: colorToken(color), link: { to: reference(path), ...opacity(link) } };
  }

  families(): Group {
    const out = new Group();
    for (const { family, shades, base } of this.system.families.values()) {
      for (const shade of shades)
        out.put(this.paths.shade(family.id, shade.label)!, { $type: 'color', $value: colorToken(shade) });
      const root = this.paths.base(family.id)!;
      const at = this.paths.shade(family.id, base.label);
      const isHandSet = family.handSet[base.label] !== undefined;
      const value = at && !isHandSet ? reference(at) : colorToken(base.color);
      out.put(root, { $type: 'color', $value: value });
      const ground = groundOfGrowth(family.growth);
      const growth = ground
        ? { ...family.growth, ground: groundByName(ground, this.names) }
        : { ...family.growth };
      const own: JsonObject = {
        name: family.name,
        base: family.base,
        ...(family.follows ? { follows: followingByName(family.follows, this.names) } : {}),
        growth: growth as unknown as JsonObject,
        ...(Object.keys(family.handSet).length ? { handSet: family.handSet } : {}),
      };
      out.put([...root.slice(0, -1), '$extensions'], { [EXTENSION]: own });
    }
    return out;
  }

  /** What stands with a role in every theme. */
  private told(role: Role, link?: JsonObject): JsonObject {
    const own: JsonObject = {
      ...(role.use === undefined ? {} : { use: role.use }),
      ...(link ? { link } : {}),
    };
    return {
      ...(role.about === undefined ? {} : { $description: role.about }),
      ...(role.retired === undefined ? {} : { $deprecated: role.retired || true }),
      ...(Object.keys(own).length ? { $extensions: { [EXTENSION]: own } } : {}),
    };
  }

  /** The roles and gradients of a theme, those that have a value there. */
  theme(theme: ResolvedTheme): Group {
    const out = new Group();
    for (const role of this.system.document.roles) {
      const { link, color, gradient } = theme.roles.get(role.id)!;
      const path = this.paths.role(role.id)!;
      if (!link) continue;
      if (link.to === 'gradient' || (link.to === 'role' && gradient)) {
        const target = link.to === 'role' ? this.paths.role(link.role) : this.paths.gradient(link.gradient);
        const painted = gradient ? theme.gradients.get(gradient) : undefined;
        if (target && painted && this.stops(painted))
          out.put(path, { $type: 'gradient', $value: reference(target), ...this.told(role) });
        continue;
      }
      if (!color) continue;
      const { value, link: kept } = this.linked(link, color);
      out.put(path, { $type: 'color', $value: value, ...this.told(role, kept) });
    }
    return out;
  }

  /** A gradient in a theme; null where it has too few colours. */
  gradientToken(resolved: ResolvedGradient): JsonObject | null {
    const stops = this.stops(resolved);
    if (!stops) return null;
    return { $type: 'gradient', $value: stops, $extensions: { [EXTENSION]: this.gradient(resolved) } };
  }

  /** The gradients that come to the same tokens in all themes; and of each theme the others. */
  gradients(): { readonly shared: Group; readonly own: ReadonlyMap<ResolvedTheme, Group> } {
    const themes = [...this.system.themes.values()];
    const shared = new Group();
    const own = new Map(themes.map((theme) => [theme, new Group()]));
    for (const { id } of this.system.document.gradients) {
      const path = this.paths.gradient(id)!;
      const resolved = themes.map((theme) => theme.gradients.get(id)!);
      // Most are one object in all themes, and others differ by what their roles are there alone.
      const tokens = resolved.map((one, i) => (i && one === resolved[0] ? null : this.gradientToken(one)));
      const texts = tokens.map((token) => JSON.stringify(token));
      const isShared = tokens[0] && resolved.every((one, i) => one === resolved[0] || texts[i] === texts[0]);
      if (isShared) shared.put(path, tokens[0]!);
      else
        themes.forEach((theme, i) => {
          const token = resolved[i] === resolved[0] ? tokens[0] : tokens[i];
          if (token) own.get(theme)!.put(path, token);
        });
    }
    return { shared, own };
  }

  /** The stops of a gradient as the format has them: a colour and a place, 0–1. */
  private stops(resolved: ResolvedGradient): Json | null {
    const painted = paintedGradient(resolved);
    if (!painted || painted.stops.filter(({ kind }) => kind === 'stop').length < 2) return null;
    const { colors } = placeStops({ ...painted, repeating: false });
    const links = resolved.stops.flatMap((stop, i) =>
      resolved.colors[i] ? stop.places.map(() => ({ link: stop.color, color: resolved.colors[i]! })) : [],
    );
    return colors.map(({ place }, i) => {
      const { link, color } = links[i]!;
      const position = Math.round(Math.min(1, Math.max(0, place / 100)) * 1e4) / 1e4;
      return { color: this.linked(link, color).value, position };
    });
  }

  /** How a gradient lies and is mixed, which the format does not say; with its stops as they are. */
  private gradient(resolved: ResolvedGradient): JsonObject {
    const { gradient } = resolved;
    const { name, group, favourite, repeating, space, hueWay, stops } = gradient;
    let index = -1;
    const items = stops.map((item): Json => {
      if (item.kind === 'hint') return { hint: item.place as unknown as JsonObject };
      index += 1;
      const color = resolved.colors[index] ?? null;
      const written = color && this.linked(item.color, color);
      return {
        color: written ? (written.link ?? written.value) : null,
        places: item.places as unknown as Json,
      };
    });
    return {
      name,
      ...(group === undefined ? {} : { group }),
      ...(favourite ? { favourite } : {}),
      ...(shapeOf(gradient) as unknown as JsonObject),
      repeating,
      space,
      hueWay,
      stops: items,
    };
  }

  /** What belongs to the project as a whole. */
  project(): JsonObject {
    const { document } = this.system;
    const pairs = document.pairs.flatMap((pair) => pairByName(pair, this.names) ?? []);
    const ground = document.ground === null ? null : this.names.role(document.ground);
    const hasToken = (role: Role) =>
      [...this.system.themes.values()].some((theme) => {
        const { link, color, gradient } = theme.roles.get(role.id)!;
        return link && (color || gradient);
      });
    const unset = document.roles
      .filter((role) => !hasToken(role))
      .map(({ group, name, use, about, retired }) => ({
        path: [...group, name],
        ...(use === undefined ? {} : { use }),
        ...(about === undefined ? {} : { about }),
        ...(retired === undefined ? {} : { retired }),
      }));
    return {
      project: document.name,
      themes: document.themes.map(({ name }) => name),
      families: document.families.map(({ name }) => name),
      roles: document.roles.map(writeRoleName),
      gradients: document.gradients.map(({ name }) => name),
      ...(ground === null ? {} : { ground }),
      ...(pairs.length ? { pairs } : {}),
      ...(unset.length ? { unset } : {}),
    };
  }
}

const opacity = ({ opacity: value }: Link): JsonObject => (value === undefined ? {} : { opacity: value });

/**
 * The system as design tokens of the open format (DTCG 2025.10): shades and bases in `family`, roles in `role`, gradients in
 * `gradient`, links as references. All themes are in one file, as contexts of a modifier of the resolver module; or one
 * theme is, as plain tokens. What the format has no words for, such as growth, pairs, the way a gradient is mixed and a
 * link's opacity, stands in an extension of ours, so that the file comes back as it was.
 */
export function writeTokens(system: System, { file, theme: asked }: ChoicesOf<'tokens'>): string {
  const writer = new Writer(system);
  const [first] = system.themes.values();
  const extensions = { [EXTENSION]: writer.project() };
  const { shared, own } = writer.gradients();
  const inTheme = (theme: ResolvedTheme) => joined(writer.theme(theme), own.get(theme)!);
  if (file === 'theme') {
    const theme = system.themes.get(asked ?? '') ?? first;
    const tokens = joined(writer.families(), shared, ...(theme ? [inTheme(theme)] : []));
    return text({ $description: said(system, theme), ...tokens.toJSON(), $extensions: extensions });
  }
  const contexts = [...system.themes.values()].map(
    (theme) => [theme.theme.name, [inTheme(theme).toJSON()]] as const,
  );
  return text({
    name: system.document.name,
    version: FORMAT_VERSION,
    description: said(system),
    sets: { families: { sources: [joined(writer.families(), shared).toJSON()] } },
    modifiers: {
      theme: {
        contexts: Object.fromEntries(contexts),
        ...(first ? { default: first.theme.name } : {}),
      },
    },
    resolutionOrder: [{ $ref: '#/sets/families' }, { $ref: '#/modifiers/theme' }],
    $extensions: extensions,
  });
}

/** Groups as one; what is a group in several is one with what each has in it. */
function joined(...groups: readonly Group[]): Group {
  const out = new Group();
  for (const group of groups)
    for (const [name, value] of group.entries) {
      const before = out.entries.get(name);
      out.entries.set(
        name,
        before instanceof Group && value instanceof Group ? joined(before, value) : value,
      );
    }
  return out;
}

const said = ({ document }: System, theme?: ResolvedTheme) =>
  `${document.name}${theme ? `, ${theme.theme.name}` : ''}: colours, written by Mint Lamp`;

/** What stands in our extension comes out of the document as it is, its records in whatever order. */
const text = (value: object) =>
  `${JSON.stringify(value, (key, part) => (key === EXTENSION ? inOrder(part) : part), 2)}\n`;
