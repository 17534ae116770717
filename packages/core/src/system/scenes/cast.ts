import { usageOf } from '../../document/coherence/role-use.ts';
import type { ProjectDocument } from '../../document/document.ts';
import type { Gradient } from '../../document/gradients/gradient.ts';
import { rolesOf } from '../../document/links/roles-by-id.ts';
import type { Pair } from '../../document/pairs/pair.ts';
import type { Role } from '../../document/roles/role.ts';
import type { RoleUse } from '../../document/roles/use-names.ts';
import { sameJson } from '../../document/same.ts';
import {
  type CastLink,
  SCENE_USE_IDS,
  SCENE_USES,
  type SceneUse,
  sceneUse,
} from '../../document/scenes/scene-uses.ts';
import { usesByName } from './use-names.ts';

/** What paints a use of scenes, and how it came to. */
export interface CastUse {
  readonly use: SceneUse;
  /** Null where it is left unpainted, by choice or since nothing is for it. */
  readonly link: Exclude<CastLink, { to: 'nothing' }> | null;
  /** Chosen; found by its name, or by the pairs that it is in; another use's stands in; or nothing does. */
  readonly how: 'chosen' | 'name' | 'pairs' | 'stand-in' | 'nothing';
  /** The use whose paint stands in. */
  readonly standIn: SceneUse | null;
  /** Ids of all roles that are as good by name; more than one where somebody has to say which. */
  readonly fits: readonly string[];
}

export type CastUses = ReadonlyMap<SceneUse, CastUse>;

/** What roles may be shown as, that paint what a use paints. */
const SHOWN_AS: Readonly<Record<'ground' | 'text' | 'line', readonly RoleUse[]>> = {
  ground: ['ground', 'fill', 'other'],
  text: ['text', 'other'],
  line: ['line', 'ring', 'fill', 'other'],
};

// A role never changes, only its successor does; what it is called mostly stays.
const named = new Map<string, ReadonlyMap<SceneUse, number>>();
const MOST_NAMED = 4000;

function usesOf({ group, name }: Role): ReadonlyMap<SceneUse, number> {
  const key = [...group, name].join('.');
  let uses = named.get(key);
  if (!uses) {
    uses = usesByName([...group, name]);
    if (named.size >= MOST_NAMED) named.clear();
    named.set(key, uses);
  }
  return uses;
}

/** The roles that do best for each use by their names. */
function foundByName(roles: readonly Role[], pairs: readonly Pair[]): ReadonlyMap<SceneUse, string[]> {
  const best = new Map<SceneUse, { score: number; ids: string[] }>();
  for (const role of roles)
    for (const [use, score] of usesOf(role)) {
      const known = best.get(use);
      if (known && known.score < score) continue;
      if (!SHOWN_AS[SCENE_USES[use].paints].includes(usageOf(role, pairs))) continue;
      if (known?.score === score) known.ids.push(role.id);
      else best.set(use, { score, ids: [role.id] });
    }
  return new Map([...best].map(([use, { ids }]) => [use, ids]));
}

/** The one that comes most often; the first of several. */
function mostOften(ids: readonly string[]): string | null {
  const counts = new Map<string, number>();
  for (const id of ids) counts.set(id, (counts.get(id) ?? 0) + 1);
  let most: string | null = null;
  for (const [id, count] of counts) if (most === null || count > counts.get(most)!) most = id;
  return most;
}

/** The gradient that a hero is painted with: one that is called so, a favourite, or the first. */
function heroGradient(gradients: readonly Gradient[]): string | null {
  const called = gradients.find(({ name }) => /\b(hero|banner)\b/i.test(name));
  return (called ?? gradients.find(({ favourite }) => favourite) ?? gradients[0])?.id ?? null;
}

/** The page, and what lies on it. */
const SURFACES: ReadonlySet<SceneUse> = new Set(['page', 'raised', 'sunken']);

const toRole = (role: string) => ({ to: 'role', role }) as const;

/** A document, as far as it says what paints scenes. */
export type CastDocument = Pick<
  ProjectDocument,
  'roles' | 'pairs' | 'ground' | 'gradients' | 'pictures' | 'scenes'
>;

class Casting {
  private readonly doc: CastDocument;
  private readonly byName: ReadonlyMap<SceneUse, string[]>;
  private readonly own = new Map<SceneUse, CastUse | null>();

  constructor(doc: CastDocument) {
    this.doc = doc;
    this.byName = foundByName(doc.roles, doc.pairs);
  }

  /** What paints a use. */
  use(use: SceneUse): CastUse {
    return this.ownOf(use) ?? this.standIn(use);
  }

  /** What is for the use itself. */
  private ownOf(use: SceneUse): CastUse | null {
    let found = this.own.get(use);
    if (found === undefined) {
      // A use that is asked for on the way to itself has none of its own by that way.
      this.own.set(use, null);
      found = this.chosen(use) ?? this.found(use);
      this.own.set(use, found);
    }
    return found;
  }

  private chosen(use: SceneUse): CastUse | null {
    const { roles, gradients, pictures, scenes } = this.doc;
    const link = scenes.cast[use];
    const isThere =
      link?.to === 'nothing' ||
      (link?.to === 'role' && rolesOf(roles).has(link.role)) ||
      (link?.to === 'gradient' && gradients.some(({ id }) => id === link.gradient)) ||
      (link?.to === 'picture' && pictures.some(({ id }) => id === link.picture));
    if (!link || !isThere) return null;
    return {
      use,
      link: link.to === 'nothing' ? null : link,
      how: 'chosen',
      standIn: null,
      fits: this.fits(use),
    };
  }

  private fits(use: SceneUse): readonly string[] {
    return this.byName.get(use) ?? [];
  }

  private found(use: SceneUse): CastUse | null {
    const { ground, gradients, roles } = this.doc;
    const fits = this.fits(use);
    const as = (link: CastUse['link'], how: 'name' | 'pairs', of: readonly string[] = []): CastUse => ({
      use,
      link,
      how,
      standIn: null,
      fits: of,
    });
    // What lies beneath everything is the page.
    if (use === 'page' && ground !== null && rolesOf(roles).has(ground)) return as(toRole(ground), 'name');
    if (fits.length) return as(toRole(fits[0]!), 'name', fits);
    if (use === 'hero') {
      const gradient = heroGradient(gradients);
      return gradient === null ? null : as({ to: 'gradient', gradient }, 'name');
    }
    const met = this.met(use);
    return met === null ? null : as(toRole(met), 'pairs');
  }

  /** The role that pairs speak for: the page is what most stands on, a text what stands on its ground most often. */
  private met(use: SceneUse): string | null {
    const { pairs } = this.doc;
    if (use === 'page') return mostOften(pairs.map(({ background }) => background));
    const { on } = sceneUse(use);
    // Of several texts on the page only the main one is told by that.
    if (on === undefined || (on === 'page' && use !== 'text')) return null;
    if (use === 'board-quiet') return null;
    const ground = this.ownOf(on as SceneUse)?.link;
    if (ground?.to !== 'role') return null;
    return mostOften(
      pairs.flatMap((pair) =>
        pair.background === ground.role && pair.target.content !== 'graphics' ? [pair.foreground] : [],
      ),
    );
  }

  private standIn(use: SceneUse): CastUse {
    const by = this.standInOf(use);
    const fits = this.fits(use);
    if (by === null) return { use, link: null, how: 'nothing', standIn: null, fits };
    return { use, link: this.ownOf(by)!.link, how: 'stand-in', standIn: by, fits };
  }

  private standInOf(use: SceneUse): SceneUse | null {
    const { on } = sceneUse(use);
    // A text goes with what stands in for its ground.
    if (on !== undefined && on !== 'page' && !this.ownOf(on as SceneUse)) {
      const ground = this.standInOf(on as SceneUse);
      const text = ground && SCENE_USE_IDS.find((one) => sceneUse(one).on === ground);
      if (text && ground !== 'page' && this.ownOf(text)) return text;
      // On the page's own surfaces stands the page's text; a light text of buttons could not be read there.
      if (ground && SURFACES.has(ground) && this.ownOf('text')) return 'text';
    }
    // A hero in the colour of the buttons on it would swallow them.
    if (use === 'hero' && !this.ownOf('accent'))
      return (['sunken', 'raised', 'page'] as const).find((one) => this.ownOf(one)) ?? null;
    return (sceneUse(use).standIns as readonly SceneUse[]).find((one) => this.ownOf(one)?.link) ?? null;
  }
}

/** Whether roles are called and shown alike; what they are linked to is nothing that finds them. */
const sameNames = (a: readonly Role[], b: readonly Role[]): boolean =>
  a === b ||
  (a.length === b.length &&
    a.every((role, i) => {
      const other = b[i]!;
      return (
        role === other ||
        (role.id === other.id &&
          role.name === other.name &&
          role.use === other.use &&
          (role.group === other.group || role.group.join('.') === other.group.join('.')))
      );
    }));

let last: { readonly doc: CastDocument; readonly uses: CastUses } | null = null;

/**
 * What paints every use of scenes in a project: what was chosen, else the role whose name or pairs say that it is for
 * it, else what stands in. The same object for as long as that comes to the same.
 */
export function castOf(doc: CastDocument): CastUses {
  const { roles, pairs, ground, gradients, pictures, scenes } = doc;
  const isSame =
    last &&
    sameNames(last.doc.roles, roles) &&
    last.doc.pairs === pairs &&
    last.doc.ground === ground &&
    last.doc.gradients === gradients &&
    last.doc.pictures === pictures &&
    last.doc.scenes === scenes;
  if (isSame) return last!.uses;
  const casting = new Casting(doc);
  const made = SCENE_USE_IDS.map((use) => casting.use(use));
  const before = last && [...last.uses.values()];
  const uses =
    before && made.every((one, i) => sameJson(one, before[i]))
      ? last!.uses
      : new Map(made.map((one) => [one.use, one]));
  last = { doc: { roles, pairs, ground, gradients, pictures, scenes }, uses };
  return uses;
}
