import type { ProjectDocument } from '../document/document.ts';
import type { Following } from '../document/links/following.ts';
import type { GrowthGround } from '../document/links/growth-ground.ts';
import { writeRoleName } from '../document/naming/role-name.ts';
import type { Pair } from '../document/pairs/pair.ts';

/**
 * What the open token format has no words for, as it stands in our own extension of a file: by names, since ids are of one
 * project alone. Null where something points to what is gone.
 */

/** The key of our extension, in `$extensions`. */
export const EXTENSION = 'mint-lamp';

type Json = null | boolean | number | string | readonly Json[] | { readonly [key: string]: Json };
export type JsonObject = { readonly [key: string]: Json };

/** Names of everything by its id. */
export class NamesById {
  private readonly doc: ProjectDocument;
  private readonly maps = new Map<string, ReadonlyMap<string, string>>();

  constructor(doc: ProjectDocument) {
    this.doc = doc;
  }

  private in(key: 'families' | 'gradients' | 'themes' | 'roles', id: string): string | null {
    let map = this.maps.get(key);
    if (!map) {
      map =
        key === 'roles'
          ? new Map(this.doc.roles.map((role) => [role.id, writeRoleName(role)]))
          : new Map(this.doc[key].map((one) => [one.id, one.name]));
      this.maps.set(key, map);
    }
    return map.get(id) ?? null;
  }

  family = (id: string) => this.in('families', id);
  role = (id: string) => this.in('roles', id);
  gradient = (id: string) => this.in('gradients', id);
  theme = (id: string) => this.in('themes', id);
}

export function followingByName(follows: Following, names: NamesById): JsonObject | null {
  const family = names.family(follows.family);
  if (family === null) return null;
  if (follows.by !== 'between') return { ...follows, family };
  const other = names.family(follows.other);
  return other === null ? null : { ...follows, family, other };
}

export function groundByName(ground: GrowthGround, names: NamesById): JsonObject | null {
  if (ground.to === 'color') return { ...ground };
  if (ground.to === 'role') {
    const [role, theme] = [names.role(ground.role), names.theme(ground.theme)];
    return role === null || theme === null ? null : { ...ground, role, theme };
  }
  const family = names.family(ground.family);
  return family === null ? null : { ...ground, family };
}

/** A pair by names; null where one of its roles is gone, or what lies under it is a picture, which files of tokens have none of. */
export function pairByName(pair: Pair, names: NamesById): JsonObject | null {
  const { id: _, foreground, background, veil, backdrop, ...rest } = pair;
  const [text, ground] = [names.role(foreground), names.role(background)];
  const over = veil === undefined ? undefined : names.role(veil);
  if (text === null || ground === null || over === null || backdrop?.kind === 'picture') return null;
  const gradient = backdrop ? names.gradient(backdrop.gradient) : undefined;
  if (gradient === null) return null;
  return {
    text,
    ground,
    ...(rest as unknown as JsonObject),
    ...(over === undefined ? {} : { veil: over }),
    ...(backdrop ? { backdrop: { ...backdrop, gradient: gradient! } as unknown as JsonObject } : {}),
  };
}
