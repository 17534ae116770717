import type { ProjectDocument } from '../document/document.ts';
import type { Family } from '../document/families/family.ts';
import type { Gradient } from '../document/gradients/gradient.ts';
import { slug } from '../document/naming/names.ts';
import { roleSlug, writeRoleName } from '../document/naming/role-name.ts';
import { sameJson } from '../document/same.ts';
import { resolveSystem } from '../system/resolve.ts';

/** What a kind of file can say at all; of the rest, what is there stays. */
export interface Holds {
  readonly growth: boolean;
  readonly pairs: boolean;
  /** Uses of roles, what is said of them, groups of gradients. */
  readonly told: boolean;
}

type Ids = ReadonlyMap<string, string>;

const idsByName = <T extends { readonly id: string }>(
  present: readonly T[],
  read: readonly T[],
  nameOf: (one: T) => string,
): Map<string, string> => {
  const known = new Map(present.map((one) => [nameOf(one), one.id]));
  return new Map(read.map((one) => [one.id, known.get(nameOf(one)) ?? one.id]));
};

/** Plain data with ids in it as other ids; what is not in the table stays. */
function withIds<T>(value: T, ids: Ids): T {
  if (typeof value === 'string') return (ids.get(value) ?? value) as T;
  if (Array.isArray(value)) return value.map((one) => withIds(one, ids)) as T;
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, one]) => [ids.get(key) ?? key, withIds(one, ids)]),
  ) as T;
}

/** The names of what a project has and a file does not. */
export interface Aligned {
  readonly document: ProjectDocument;
  readonly stays: readonly string[];
}

/**
 * A project as a file would have it: things of one name are the same thing, what the file cannot say is as it was, and what is
 * not in it stays. Families whose colours come out as they are keep their growth.
 */
export function alignedTo(present: ProjectDocument, read: ProjectDocument, holds: Holds): Aligned {
  const byName = ({ name }: { readonly name: string }) => slug(name);
  const ids = new Map([
    ...idsByName(present.families, read.families, byName),
    ...idsByName(present.themes, read.themes, byName),
    ...idsByName(present.gradients, read.gradients, byName),
    ...idsByName(present.roles, read.roles, roleSlug),
  ]);
  const families = read.families.map((family) => ({ ...withIds(family, ids), name: family.name }));
  const merged = <T extends { readonly id: string }>(
    old: readonly T[],
    now: readonly T[],
    joined: (was: T, is: T) => T = (_, is) => is,
  ): T[] => {
    const news = new Map(now.map((one) => [one.id, one]));
    const kept = old.map((one) => {
      const other = news.get(one.id);
      return other ? joined(one, other) : one;
    });
    return [...kept, ...now.filter((one) => !old.some((other) => other.id === one.id))];
  };
  const before = resolveSystem(present);
  const after = resolveSystem({ ...read, families, roles: [], pairs: [], gradients: [], ground: null });
  const joinFamily = (was: Family, is: Family): Family => {
    if (holds.growth) return is;
    const [old, now] = [before.families.get(was.id), after.families.get(is.id)];
    const same =
      old &&
      now &&
      old.shades.length === now.shades.length &&
      old.shades.every(({ label, css }) => now.byLabel.get(label)?.css === css);
    return same ? { ...was, name: is.name } : is;
  };
  const themes = merged(
    present.themes,
    read.themes.map((theme) => ({ ...theme, id: ids.get(theme.id)! })),
  );
  const roles = merged(
    present.roles,
    read.roles.map((role) => ({
      ...role,
      id: ids.get(role.id)!,
      links: Object.fromEntries(
        Object.entries(role.links).map(([theme, link]) => [ids.get(theme) ?? theme, linkWith(link, ids)]),
      ),
    })),
    (was, is) => ({
      ...is,
      ...(holds.told || was.use === undefined ? {} : { use: was.use }),
      // Themes that the file does not have.
      links: {
        ...Object.fromEntries(
          Object.entries(was.links).filter(([theme]) => ![...ids.values()].includes(theme)),
        ),
        ...is.links,
      },
    }),
  );
  const joinGradient = (was: Gradient, is: Gradient): Gradient => {
    // Stops keep their ids where they are as they were.
    const stops = is.stops.map((item, i) => {
      const old = was.stops[i];
      if (item.kind === 'hint' || old?.kind !== 'stop') return item;
      const { id, ...rest } = old;
      const { id: _, ...now } = item;
      return sameJson(rest, now) ? { ...now, id } : item;
    });
    const told = holds.told
      ? {}
      : {
          ...(was.group === undefined ? {} : { group: was.group }),
          ...(was.favourite ? { favourite: was.favourite } : {}),
        };
    return { ...is, ...told, stops } as Gradient;
  };
  const gradients = merged(
    present.gradients,
    read.gradients.map((gradient) => ({
      ...gradient,
      id: ids.get(gradient.id)!,
      stops: gradient.stops.map((item) =>
        item.kind === 'hint' ? item : { ...item, color: linkWith(item.color, ids) },
      ),
    })) as Gradient[],
    joinGradient,
  );
  const pairs = holds.pairs
    ? merged(
        present.pairs,
        read.pairs.map((pair) => {
          const own = withIds(pair, ids);
          const same = present.pairs.find(
            (other) => other.foreground === own.foreground && other.background === own.background,
          );
          return same ? { ...own, id: same.id } : own;
        }),
      )
    : present.pairs;
  const document: ProjectDocument = {
    ...present,
    families: merged(
      present.families,
      families.map((family) => ({ ...family, id: ids.get(family.id) ?? family.id })),
      joinFamily,
    ),
    themes,
    roles,
    gradients,
    pairs,
    ground: read.ground === null ? present.ground : (ids.get(read.ground) ?? present.ground),
  };
  const inFile = new Set(ids.values());
  const out = <T extends { readonly id: string }>(list: readonly T[], nameOf: (one: T) => string) =>
    list.filter(({ id }) => !inFile.has(id)).map(nameOf);
  return {
    document,
    stays: [
      ...out(present.themes, ({ name }) => name),
      ...out(present.families, ({ name }) => name),
      ...out(present.roles, writeRoleName),
      ...out(present.gradients, ({ name }) => name),
    ],
  };
}

function linkWith<L extends object>(link: L, ids: Ids): L {
  const out = { ...link } as Record<string, unknown>;
  for (const key of ['family', 'role', 'gradient'])
    if (typeof out[key] === 'string') out[key] = ids.get(out[key]) ?? out[key];
  return out as L;
}
